import { THREADS } from '../../book/threads';
import { hangingFor, parseTool, toolWords, TOOL_KINDS, type CribTool } from '.';

const mm = (text: string) => parseTool(text, 'mm');

it.each([
  ['reamer 12 H7', { kind: 'reamer', sizeMm: 12, thread: '', note: 'H7', pieces: 1 }],
  ['Reamer 1/2 in', { kind: 'reamer', sizeMm: 12.7, thread: '', note: '', pieces: 1 }],
  ['tap M10 x 1.25, plug', { kind: 'tap', sizeMm: null, thread: 'M10 x 1.25', note: 'plug', pieces: 1 }],
  ['taps 3/8-16 UNC taper and plug, 2 off', { kind: 'tap', sizeMm: null, thread: '3/8-16 UNC', note: 'taper and plug', pieces: 2 }],
  ['die 1/2-13', { kind: 'die', sizeMm: null, thread: '1/2-13 UNC', note: '', pieces: 1 }],
  ['end mill 6, 4 teeth, 3 pcs', { kind: 'end-mill', sizeMm: 6, thread: '', note: '4 teeth', pieces: 3 }],
  ['slot drill 1/4 in', { kind: 'end-mill', sizeMm: 6.35, thread: '', note: 'slot drill', pieces: 1 }],
  ['parting 3, right hand', { kind: 'parting', sizeMm: 3, thread: '', note: 'right hand', pieces: 1 }],
  ['boring bar 10 carbide', { kind: 'boring', sizeMm: 10, thread: '', note: 'carbide', pieces: 1 }],
  ['threading tool 60°', { kind: 'threading', sizeMm: null, thread: '', note: '60°', pieces: 1 }],
  ['slitting saw 1,6 x 63', { kind: 'cutter', sizeMm: 1.6, thread: '', note: 'slitting saw, x 63', pieces: 1 }],
  [
    'turning tool right hand, high-speed steel',
    { kind: 'turning', sizeMm: null, thread: '', note: 'right hand, high-speed steel', pieces: 1 },
  ],
])('%s', (text, tool) => expect(mm(text)).toEqual({ ok: true, value: tool }));

it('a bare size is in the unit of the shop', () => {
  expect(parseTool('reamer .5', 'in')).toMatchObject({ ok: true, value: { sizeMm: 12.7 } });
  expect(parseTool('end mill 1/2', 'mm')).toMatchObject({ ok: true, value: { sizeMm: 12.7 } });
});

it.each([
  ['', 'kind'],
  ['hammer', 'kind'],
  ['reamer', 'sizeMm'],
  ['end mill four teeth', 'sizeMm'],
  ['tap', 'thread'],
  ['tap banana', 'thread'],
  ['die 12', 'thread'],
  ['reamer 1/0', 'sizeMm'],
  ['tap M10, 0 off', 'pieces'],
  ['reamer 12 '.padEnd(400, '9'), null],
])('“%s” is told off at its field, or kept as a note; it never throws', (text, path) => {
  const parsed = mm(text);
  if (path) expect(parsed).toMatchObject({ ok: false, problems: [{ path }] });
});

it('every thread of the book that is written on a tap is understood as itself', () => {
  const wrong = THREADS.filter((t) => t.common).filter((t) => {
    const parsed = mm(`tap ${t.name}, plug`);
    return !parsed.ok || parsed.value.thread !== t.name || parsed.value.note !== 'plug';
  });
  expect(wrong.map((t) => t.name)).toEqual([]);
});

it('what is written out is understood again, whatever the tool and the unit', () => {
  const sizes = [3, 6.35, 12.7, 25.01];
  for (const kind of TOOL_KINDS.filter((k) => k !== 'other'))
    for (const [i, sizeMm] of sizes.entries())
      for (const unit of ['mm', 'in'] as const) {
        const threaded = kind === 'tap' || kind === 'die';
        const tool = { kind, sizeMm: threaded ? null : sizeMm, thread: threaded ? 'M12' : '', note: i % 2 ? 'carbide' : '', pieces: i + 1 };
        const again = parseTool(toolWords(tool, unit), unit);
        expect(again).toMatchObject({ ok: true, value: { kind, thread: tool.thread, note: tool.note, pieces: tool.pieces } });
        if (again.ok && !threaded) expect(again.value.sizeMm).toBeCloseTo(sizeMm, 2);
      }
});

it('finds what hangs there for a thread or a size, in whichever unit it was written', () => {
  const crib: CribTool[] = [
    { id: 'a', kind: 'tap', sizeMm: null, thread: 'M10', note: '', pieces: 1, version: 1 },
    { id: 'b', kind: 'die', sizeMm: null, thread: 'M10', note: '', pieces: 1, version: 1 },
    { id: 'c', kind: 'reamer', sizeMm: 12.7, thread: '', note: '', pieces: 1, version: 1 },
  ];
  expect(hangingFor(crib, 'tap', { thread: 'M10' }).map((t) => t.id)).toEqual(['a']);
  expect(hangingFor(crib, 'reamer', { sizeMm: 0.5 * 25.4 }).map((t) => t.id)).toEqual(['c']);
  expect(hangingFor(crib, 'reamer', { sizeMm: 12 })).toEqual([]);
  // Half a thou over size is another reamer, made so on purpose.
  expect(hangingFor(crib, 'reamer', { sizeMm: 0.5005 * 25.4 })).toEqual([]);
  expect(hangingFor(crib, 'tap', { thread: 'M12' })).toEqual([]);
});
