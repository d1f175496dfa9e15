import { mailFile } from './mail-file';

const text = 'Hello,\nabout your pin:\nhttps://shop.example/q/abc\nGrüße — 19.05 ± 0.02';

it('is a file that a mail program reads: a decoder gives back what went in', () => {
  const file = mailFile('ada@ferry.example', 'Quote, ½″ ü', `${text}\n${'long line '.repeat(40)}`);
  const cut = file.indexOf('\r\n\r\n');
  const [head, body] = [file.slice(0, cut), file.slice(cut + 4)];
  const decoded = (b: string): string => Buffer.from(b.replace(/\s/g, ''), 'base64').toString('utf8');
  expect(head.split('\r\n')[0]).toBe('To: ada@ferry.example');
  expect(decoded(/=\?utf-8\?B\?(.*?)\?=/.exec(head)![1]!)).toBe('Quote, ½″ ü');
  expect(decoded(body)).toBe(`${text}\n${'long line '.repeat(40)}`.replaceAll('\n', '\r\n'));
  expect(body.split('\r\n').every((l) => l.length <= 76)).toBe(true);
});

it('names nobody by what is no address, and nothing can be put among its heads', () => {
  for (const to of ['', 'telephone 12 34', 'a@b.example\r\nBcc: eve@x.example', 'a@b.example, c@d.example'])
    expect(mailFile(to, 'x\r\nBcc: eve@x.example', 'y').split('\r\n\r\n')[0]).not.toMatch(/^(To|Bcc):/m);
});
