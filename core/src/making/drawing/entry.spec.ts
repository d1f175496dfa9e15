import { newPart, partLengthMm, placeOutside, surface, validatePart, volumeMm3, type Part } from '../part';
import { asksOf, type Ask } from './asks';
import { entry } from './entry';

/** What somebody types line by line, as the page goes on: to what was added, else to what is asked next. */
function typed(start: Part, lines: readonly string[]): { readonly part: Part; readonly said: readonly string[] } {
  let part = start;
  let ask: Ask | null = asksOf(part)[0]!;
  const said: string[] = [];
  lines.forEach((line, i) => {
    if (line !== '') {
      const got = entry(part, ask, ask?.surfaceId ?? null, line, 'mm', `n${i}`);
      if (got.kind !== 'drawn') return void said.push(got.kind === 'refused' ? got.message : got.names.join(', '));
      part = got.part;
      if (got.next) return void (ask = got.next);
    }
    const all = asksOf(part);
    ask = all[all.findIndex((a) => a.id === ask?.id) + 1] ?? ask;
  });
  return { part, said };
}

const ROUND: Part = { ...newPart('plain-pin', 'Shaft', 25, 60), features: [] };

it('a stepped shaft with groove, keyseat and thread is typed in a few dozen lines', () => {
  const lines = [
    ...['25 k6', '30', 'step', '30', '40', 'keyseat', '6', '28'],
    ...['step', '25 k6', '34', 'ring', '30.35', '', '', 'chamfer', '2', '1'],
    ...['step', '20', '24', 'M20 x 1.5', '2', '', '18', 'undercut', '1', '4', '1.2'],
  ];
  const { part, said } = typed(ROUND, lines);
  expect(said).toEqual([]);
  expect(lines.length).toBeLessThan(60);
  expect(validatePart(part)).toMatchObject({ ok: true });
  expect(placeOutside(part).map((s) => [s.diameterMm, s.fromMm, s.toMm])).toEqual([
    [25, 0, 30],
    [30, 30, 70],
    [25, 70, 104],
    [20, 104, 128],
  ]);
  expect(part.features.map((f) => f.kind)).toEqual(['keyseat', 'ring-groove', 'chamfer', 'thread', 'undercut']);
  // DIN 6885: a 30 mm shaft takes a key of 8 x 7, 4.0 deep; DIN 471: the groove of a 25 mm shaft is 23.9 across, 1.3 wide.
  expect(part.features[0]).toMatchObject({ atMm: 6, lengthMm: 28, widthMm: 8, depthMm: 4 });
  expect(part.features[1]).toMatchObject({ atMm: 30.35, widthMm: 1.3, diameterMm: 23.9 });
  // The chamfer of the end goes along with the end.
  expect(part.features[2]).toMatchObject({ on: part.outside.at(-1)!.id, end: 'right', lengthMm: 1 });
  expect(part.features[3]).toMatchObject({ thread: 'M20 x 1.5', end: 'right', lengthMm: 18 });
  const bar = placeOutside(part).reduce((v, s) => v + (Math.PI / 4) * s.diameterMm ** 2 * (s.toMm - s.fromMm), 0);
  expect(volumeMm3(part)).toBeLessThan(bar);
  expect(volumeMm3(part)).toBeGreaterThan(0.93 * bar);
});

it('acts are called by a word, and nothing that is not understood draws', () => {
  const { part } = typed(ROUND, ['25', '60', 'ring', '5', 'copy']);
  expect(part.features).toHaveLength(2);
  expect(typed(part, ['remove']).said).toEqual(['The only cylinder of a part cannot go.']);
  expect(typed(part, ['copy']).said).toEqual(['What is cut into a surface can be copied. A step is added by its name.']);
  for (const words of ['crank', 'constructor', '__proto__', 'toString'])
    expect([words, typed(part, [words]).said.length]).toEqual([words, 1]);
  expect(typed(part, ['groove']).said).toEqual(['Ring groove, O-ring groove, Seal groove as measured, Oil groove']);
  // Where a thread's name is asked for, an act is an act.
  expect(typed(ROUND, ['25', '60', 'thread', '2', 'remove']).part.features).toEqual([]);
  const two: Part = { ...ROUND, outside: [...ROUND.outside, surface('b', 'cylinder', 'Nose', 20, 18)] };
  expect(placeOutside(typed(two, ['mirror']).part).map((s) => s.diameterMm)).toEqual([18, 25]);
  expect(partLengthMm(typed(two, ['remove']).part)).toBe(20);
});

it('a thread’s name at a thread is its name, whatever of it is asked; a hole that does not suit it becomes the one it wants', () => {
  const bush: Part = {
    ...ROUND,
    bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('h', 'cylinder', 'Bore', 60, 7.14)] }],
  };
  const added = entry(
    bush,
    asksOf(bush).find((a) => a.surfaceId === 'h')!,
    'h',
    'thread',
    'mm',
    't',
  );
  if (added.kind !== 'drawn') throw new Error(added.kind);
  for (const field of ['end', 'thread', 'lengthMm']) {
    const ask = asksOf(added.part).find((a) => a.id === `t.${field}`)!;
    const named = entry(added.part, ask, 'h', 'M8', 'mm', 'n');
    if (named.kind !== 'drawn') throw new Error(named.kind);
    expect(named.part.features).toMatchObject([{ id: 't', thread: 'M8' }]);
    // ISO 724: 6.647 in the crests of an M8 nut.
    expect(named.part.bores[0]!.surfaces[0]!.diameterMm).toBeCloseTo(6.647, 3);
  }
  // One that suits is left as it is.
  const right = { ...added.part, bores: [{ ...bush.bores[0]!, surfaces: [surface('h', 'cylinder', 'Bore', 60, 6.8)] }] };
  const kept = entry(
    right,
    asksOf(right).find((a) => a.id === 't.end')!,
    'h',
    'M8',
    'mm',
    'n',
  );
  expect(kept).toMatchObject({ kind: 'drawn', part: { bores: [{ surfaces: [{ diameterMm: 6.8 }] }] } });
  // A number is still the length.
  const long = entry(
    added.part,
    asksOf(added.part).find((a) => a.id === 't.lengthMm')!,
    'h',
    '12',
    'mm',
    'n',
  );
  expect(long).toMatchObject({ kind: 'drawn', part: { features: [{ lengthMm: 12 }] } });
});
