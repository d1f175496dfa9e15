import { grossError, grossErrors, repeatConflicts } from './gross-errors';

const reading = (id: string, stationMm: number, clockDeg: number, valueMm: number) =>
  ({ id, stationMm, clockDeg, valueMm, uMm: 0.003, points: 2, unit: 'mm', decimals: 3 }) as const;
/** A round place of 24.985, read at three stations in two directions, with a few micrometres of scatter. */
const place = (change: Readonly<Record<string, number>> = {}) =>
  [10, 30, 50].flatMap((at, i) =>
    [0, 90].map((deg, j) => {
      const id = `${at} ${deg}`;
      return reading(id, at, deg, change[id] ?? 24.985 + 0.001 * ((i + 2 * j) % 3));
    }),
  );

it('a place that is read well has none', () => expect(grossErrors(place())).toEqual([]));

it.each([
  ['a turn of the thimble', 25.485, 24.985],
  ['the tens of the scale', 34.986, 24.986],
  ['two digits swapped', 29.485, 24.985],
])('%s is found, with what it was meant to be', (_, read, meant) => {
  const [suspect, ...rest] = grossErrors(place({ '30 0': read }));
  expect(rest).toEqual([]);
  expect(suspect).toMatchObject({ id: '30 0', valueMm: read });
  expect(suspect!.slip!.mm).toBeCloseTo(meant, 2);
});

it('wear in one direction all along is no slip', () => {
  const worn = Object.fromEntries([10, 30, 50].map((at) => [`${at} 90`, 24.485]));
  expect(grossErrors(place(worn))).toEqual([]);
});

it('of two repeats that differ the one is told that the section speaks against', () => {
  const twice = [...place(), reading('again', 30, 0, 24.935)];
  expect(grossErrors(twice).map((s) => s.id)).toContain('again');
  expect(grossErrors(twice).map((s) => s.id)).not.toContain('30 0');
  const [conflict, ...more] = repeatConflicts(twice, () => 'mic');
  expect(more).toEqual([]);
  expect(conflict!.differenceMm).toBeCloseTo(0.05, 2);
  // Another instrument's reading is no repeat.
  expect(repeatConflicts(twice, (id) => (id === 'again' ? 'caliper' : 'mic'))).toEqual([]);
});

it('a reading is weighed before it is kept; with nothing beside it nothing can be said', () => {
  expect(grossError(reading('new', 70, 0, 25.486), place())).toMatchObject({ id: 'new', valueMm: 25.486 });
  expect(grossError(reading('new', 70, 0, 24.986), place())).toBeNull();
  expect(grossError(reading('new', 70, 0, 25.486), [])).toBeNull();
});
