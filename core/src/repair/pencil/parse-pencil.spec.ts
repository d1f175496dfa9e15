import * as fc from 'fast-check';
import { clocksOfMany, parsePencil, withoutPlace, type PencilLine } from './index';

const line = (text: string, unit: 'mm' | 'in' = 'mm') => {
  const parsed = parsePencil(text, unit);
  return parsed.ok ? parsed.value : parsed.problems[0]!.code;
};

it('reads a line of a pencil sheet', () => {
  expect(line('jaw / swivel hole: @3 20.32 20.41 20.49 20.40 @12 20.33 20.40 20.48 20.41')).toEqual({
    component: 'jaw',
    name: 'Swivel hole',
    kind: 'diameter',
    side: 'inside',
    startMm: null,
    lengthMm: null,
    mate: null,
    unworn: false,
    suspicions: [],
    supportsMm: null,
    groups: [
      { stationMm: 3, texts: ['20.32', '20.41', '20.49', '20.40'], clocksDeg: [0, 45, 90, 135] },
      { stationMm: 12, texts: ['20.33', '20.40', '20.48', '20.41'], clocksDeg: [0, 45, 90, 135] },
    ],
  });
});

it.each([
  ['peg / press end in press hole: 18.02', { component: 'peg', name: 'Press end', side: 'outside', mate: 'press hole' }],
  [
    'bearing seat, 40 long from 12: 19.98 19.97',
    { name: 'Bearing seat', lengthMm: 40, startMm: 12, groups: [{ stationMm: null, texts: ['19.98', '19.97'], clocksDeg: [0, 90] }] },
  ],
  [
    'peg / press end: 18.02, 18.01, 20 long, in press hole',
    { component: 'peg', name: 'Press end', lengthMm: 20, mate: 'press hole', groups: [{ stationMm: null, texts: ['18.02', '18.01'] }] },
  ],
  [
    'peg / press end: @3 18.02 18.01 @12 18.03 18.02; 1 1/2 in long from 4 in the press hole',
    {
      lengthMm: expect.closeTo(38.1, 9),
      startMm: 4,
      mate: 'press hole',
      groups: [{ stationMm: 3 }, { stationMm: 12, texts: ['18.03', '18.02'] }],
    },
  ],
  [
    'peg / swivel end: 19.80 19.60, 15 long from 20, in swivel hole',
    { lengthMm: 15, startMm: 20, mate: 'swivel hole', name: 'Swivel end' },
  ],
  ['bearing seat from 12, 40 long, in press hole: 18.02', { startMm: 12, lengthMm: 40, mate: 'press hole', name: 'Bearing seat' }],
  ['bearing seat from 12 in press hole: 18.02', { startMm: 12, mate: 'press hole', name: 'Bearing seat' }],
  ['seat: 0.748 in 0.749 in', { mate: null, groups: [{ stationMm: null, texts: ['0.748 in', '0.749 in'] }] }],
  ['seat: 0.748 in 0.749 in in housing', { mate: 'housing', groups: [{ stationMm: null, texts: ['0.748 in', '0.749 in'] }] }],
  ['bearing seat left: 0.9845', { suspicions: ['bearing'], unworn: false }],
  ['shaft / seal land: 1.125', { suspicions: ['seal-groove'], unworn: false }],
  ['housing / bearing bore: 47.01', { side: 'inside', suspicions: [] }],
  ['bearing length: 20', { kind: 'length', suspicions: [] }],
  ['land 12 long: 40.00', { unworn: true, lengthMm: 12 }],
  ['ring groove: 0.046 0.812', { kind: 'groove', side: 'outside', groups: [{ stationMm: null, texts: ['0.046', '0.812'] }] }],
  ['thread, left end: 9.47 10.58', { kind: 'thread', name: 'Thread, left end' }],
  ['3/4-16 thread: 0.748', { kind: 'thread', name: '3/4-16 thread' }],
  ['stud / thread: 0.312 22', { kind: 'thread', groups: [{ stationMm: null, texts: ['0.312', '22 tpi'] }] }],
  ['thread, right end: 9.47 24 tpi', { kind: 'thread', groups: [{ stationMm: null, texts: ['9.47', '24 tpi'] }] }],
  ['thread, right end: 9.97 1.5', { kind: 'thread', groups: [{ stationMm: null, texts: ['9.97', '1.5'] }] }],
  ['jaw / screw hole A: 8.52 1.5', { kind: 'thread', side: 'inside', groups: [{ texts: ['8.52', '1.5'] }] }],
  ['jaw / bolt hole: 10.5 18', { kind: 'diameter', groups: [{ texts: ['10.5', '18'] }] }],
  ['jaw / hole C: 7.95 16 tpi', { kind: 'thread', side: 'inside' }],
  ['rod / thread: 1/2 13', { kind: 'thread', groups: [{ texts: ['1/2', '13 tpi'] }] }],
  ['rod / thread: 10 1.5', { kind: 'thread', groups: [{ texts: ['10', '1.5'] }] }],
  ['jaw / tapped hole: 8.52', { kind: 'thread', side: 'inside' }],
  ['axle / tapped end: 0.314 16 tpi', { kind: 'thread', side: 'inside' }],
  ['cap / bolt hole: 10.52 10.61', { kind: 'diameter', side: 'inside', groups: [{ texts: ['10.52', '10.61'] }] }],
  ['rod / relief from 18: 2 8.2', { kind: 'groove', startMm: 18, groups: [{ texts: ['2', '8.2'] }] }],
  ['rod / thread relief: 2 8.2', { kind: 'groove' }],
  ['rod / relief groove: 2', { kind: 'groove' }],
  ['rod / relief: 8.21 8.20', { kind: 'diameter' }],
  ['rod / undercut: 8.2', { kind: 'diameter' }],
  ['engine / stud, plain part: 12.01', { kind: 'diameter' }],
  ['flats 5/8: 0.625', { kind: 'flats' }],
  ['keyseat: 0.1875 0.11', { kind: 'keyseat' }],
  ['axle / half-moon seat from 4: 1/4 wide, 0.3 deep', { kind: 'keyseat', startMm: 4, groups: [{ texts: ['1/4', '0.3'] }] }],
  ['axle / Woodruff seat: 0.25 0.3', { kind: 'keyseat', groups: [{ texts: ['0.25', '0.3'] }] }],
  ['axle / key seat: 6 3.5', { kind: 'keyseat' }],
  ['box / key: 6 5.98', { kind: 'key' }],
  ['Seat DE: 1.1814', { name: 'Seat DE', groups: [{ stationMm: null, texts: ['1.1814'] }] }],
  ['body: 1 3/16; 1 3/16 15 thou', { groups: [{ stationMm: null, texts: ['1 3/16', '1 3/16', '15 thou'] }] }],
  ['rod', { name: 'Rod', groups: [] }],
  ['seat 2', { name: 'Seat 2', groups: [] }],
  ['overall length: 7 3/32', { kind: 'length', groups: [{ stationMm: null, texts: ['7 3/32'] }] }],
])('%s', (text, what) => expect(line(text)).toMatchObject(what));

it.each([
  ['', 'no-name'],
  ['19.98', 'no-name'],
  [': 19.98', 'no-name'],
  ['shaft / seal land 1.125', 'no-colon'],
  ['seal land 1.125 1.124', 'no-colon'],
  ['body 1 3/16', 'no-colon'],
  ['seat: 1: 2', 'colons'],
  ['seat: 1 2 3 4 5', 'how-many'],
  ['seat: @3', 'no-readings'],
  ['seat: 20 21 @12 20 21', 'no-station'],
  ['ring groove: 1 2 3', 'how-many'],
  ['seat: 18.o2 18.02', 'unknown-unit'],
  ['seat: 18..02 18.02', 'not-a-number'],
  ['rod / thread: M10', 'thread-name'],
  ['rod / thread: 3/8-24', 'thread-name'],
  ['jaw / screw hole: M10', 'thread-name'],
  ['jaw / hole: 3/8-16', 'thread-name'],
  ['rod / seat: M999', 'not-a-number'],
])('asks about %s: %s', (text, code) => expect(line(text)).toBe(code));

it('never throws, and loses no reading', () => {
  const readings = fc
    .constantFrom(1, 2, 3, 4, 6, 8)
    .chain((n) => fc.array(fc.integer({ min: 1000, max: 9999 }), { minLength: n, maxLength: n }));
  fc.assert(
    fc.property(readings, (all) => {
      const texts = all.map((n) => (n / 100).toFixed(2));
      const read = line(`seat: ${texts.join(' ')}`);
      return typeof read !== 'string' && JSON.stringify(read.groups[0]!.texts) === JSON.stringify(texts);
    }),
  );
  fc.assert(fc.property(fc.string(), (text) => ['string', 'object'].includes(typeof line(text))));
});

it.each([
  ['shaft / bearing seat from 12, 40 long', 'shaft / bearing seat'],
  ['seat 1 1/2 long', 'seat'],
  ['seat, starts at 0.5 in in press hole', 'seat in press hole'],
  ['long seat', 'long seat'],
])('%s, where it lies taken out', (head, bare) => {
  expect(withoutPlace(head)).toBe(bare);
});

it('a place said anew is read as it was said', () => {
  const parsed = parsePencil(`${withoutPlace('shaft / seat from 12, 40 long')} from 8, 30 long: 20.01`, 'mm');
  expect(parsed.ok && [parsed.value.startMm, parsed.value.lengthMm, parsed.value.name]).toEqual([8, 30, 'Seat']);
});

it('says where the colon belongs', () => {
  const told = parsePencil('shaft / seal land 1.125 1.124', 'in');
  expect(told.ok ? '' : told.problems[0]!.message).toBe('Write a colon before what was read: seal land: 1.125 1.124');
});

it.each([
  ['keyseat 2 1/2 long from 2.8: 3/16 wide', { name: 'Keyseat', startMm: 2.8 * 25.4, lengthMm: 63.5 }, ['3/16']],
  ['keyseat: 3/16 wide, 0.094 deep, 2 1/2 long from 2.8', { startMm: 2.8 * 25.4, lengthMm: 63.5 }, ['3/16', '0.094']],
  ['keyseat: 0.094 deep 3/16 in wide', { startMm: null }, ['3/16 in', '0.094']],
  ['shaft / ring groove from 3: 0.046 wide 0.812', { component: 'shaft', startMm: 76.2 }, ['0.046', '0.812']],
  ['ring groove: 0.812, 0.046 wide', {}, ['0.046', '0.812']],
])('sizes called by name: %s', (text, head, texts) => {
  expect(line(text, 'in')).toMatchObject(
    Object.fromEntries(Object.entries(head).map(([k, v]) => [k, typeof v === 'number' ? expect.closeTo(v, 9) : v])),
  );
  expect(line(text, 'in')).toMatchObject({ groups: [{ stationMm: null, texts }] });
});
it.each([
  ['keyseat: 0.094 deep', 'no-width'],
  ['ring groove: 0.046 wide 0.03 deep', 'groove-deep'],
])('asks for what is missing: %s', (text, code) => expect(line(text, 'in')).toBe(code));

it('a bare number of hundreds on an inch shaft was read off in thousandths; a length may be that long, and a metric shaft that thick', () => {
  const texts = (text: string, unit: 'mm' | 'in') => (line(text, unit) as PencilLine).groups[0]!.texts;
  expect(texts('land: 787.6 787', 'in')).toEqual(['787.6 thou', '787 thou']);
  expect(texts('land: 99.5 787.6 thou', 'in')).toEqual(['99.5', '787.6 thou']);
  expect(texts('overall length: 120', 'in')).toEqual(['120']);
  expect(texts('land: 787.6', 'mm')).toEqual(['787.6']);
});

it.each([
  ['land beside the seal track: 20.005', true, []],
  ['land next to the bearing seat: 20.005', true, []],
  ['seal track: 19.9', false, ['seal-groove']],
  ['seal track beside the land: 19.9', false, ['seal-groove']],
])('what lies beside something is not that itself: %s', (text, unworn, suspicions) => {
  expect(line(text)).toMatchObject({ unworn, suspicions, kind: 'diameter', side: 'outside' });
});

it.each([
  [
    'rod / bend on blocks at 2 and 28: @15 0.018',
    { kind: 'straightness', name: 'Bend', supportsMm: [2 * 25.4, 28 * 25.4] },
    [['0', '0.018']],
  ],
  ['rod / bend: @15 0.018, on V-blocks at 2 in and 28 in', { kind: 'straightness', supportsMm: [2 * 25.4, 28 * 25.4] }, [['0', '0.018']]],
  [
    'bend between centres: @5 0.004 @15 0.018',
    { kind: 'straightness', name: 'Bend', supportsMm: null },
    [
      ['0', '0.004'],
      ['0', '0.018'],
    ],
  ],
  ['seat run-out: @3 0 0.001 0.002 0.001', { kind: 'run-out', supportsMm: null }, [['0', '0.001', '0.002', '0.001']]],
])('what an indicator shows in all is from nought to that: %s', (text, head, texts) => {
  const supportsMm = head.supportsMm && head.supportsMm.map((mm) => expect.closeTo(mm, 9));
  expect(line(text, 'in')).toMatchObject({ ...head, supportsMm, groups: texts.map((t) => ({ texts: t })) });
});
it('an indicator is read once round, at even angles', () => {
  expect([2, 4, 8, 3].map((n) => clocksOfMany(n, 'straightness'))).toEqual([
    [0, 180],
    [0, 90, 180, 270],
    [0, 45, 90, 135, 180, 225, 270, 315],
    null,
  ]);
  expect(line('bend: @15 1 2 3', 'in')).toBe('how-many');
});

it.each(['bent end: 19.8 19.7', 'bow pin: 19.8', 'bend radius: 40'])('what only sounds of a bend is a diameter: %s', (text) =>
  expect(line(text)).toMatchObject({ kind: 'diameter', supportsMm: null }),
);
