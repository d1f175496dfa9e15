/** Most characters of a line, as RFC 2045 has it. */
const LINE = /.{1,76}/g;
const ADDRESS = /^[^\s<>@,;:]+@[^\s<>@,;:]+$/;

/** Base64 of text in UTF-8. */
const encoded = (text: string): string => btoa(String.fromCharCode(...new TextEncoder().encode(text)));

/**
 * A message as a file that a mail program opens to send (RFC 5322, its text in UTF-8 as RFC 2045 has it, its subject as RFC 2047).
 *
 * @param to left out where it is no address
 */
export function mailFile(to: string, subject: string, text: string): string {
  const heads = [
    ...(ADDRESS.test(to) ? [`To: ${to}`] : []),
    `Subject: =?utf-8?B?${encoded(subject)}?=`,
    'X-Unsent: 1',
    'MIME-Version: 1.0',
    'Content-Type: text/plain; charset=utf-8',
    'Content-Transfer-Encoding: base64',
  ];
  return [...heads, '', ...(encoded(text.replace(/\r?\n/g, '\r\n')).match(LINE) ?? []), ''].join('\r\n');
}
