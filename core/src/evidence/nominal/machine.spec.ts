import { recoverMachine, type MachinePlace } from './machine';

const place = (id: string, sizeMm: number, more: Partial<MachinePlace> = {}): MachinePlace => ({
  ...{ id, side: 'outside', land: { sizeMm, uMm: 0.004 }, worn: null, twinIds: [] },
  ...more,
});
const inch = (n: number): number => 25.4 * n;
const bestOf = (found: ReturnType<typeof recoverMachine>, id: string): string => found.byPlace.get(id)![0]!.candidate.name;

it('chances of a place, with that of no listed size, come to one', () => {
  const found = recoverMachine([place('a', 24.98), place('b', 39.97)], 0.5);
  for (const id of ['a', 'b']) {
    const listed = found.byPlace.get(id)!.reduce((s, w) => s + w.probability, 0);
    expect(listed + found.noneOf.get(id)!).toBeCloseTo(1, 9);
    const order = found.byPlace.get(id)!.map((w) => w.probability);
    expect(order).toEqual([...order].sort((p, q) => q - p));
  }
});

it('other places tell the system: 19.01 by a caliper, between 19 mm and 3/4 in, is what its neighbours are', () => {
  const odd = place('odd', 0, { land: { sizeMm: 19.01, uMm: 0.02 } });
  const inches = [0.5, 0.625, 1, 1.25].map((n, i) => place(`i${i}`, inch(n) - 0.012));
  const metric = [12, 16, 25, 30].map((mm, i) => place(`m${i}`, mm - 0.012));
  const [a, b] = [recoverMachine([odd, ...inches], 0.5), recoverMachine([odd, ...metric], 0.5)];
  expect(a.inch).toBeGreaterThan(0.95);
  expect(b.inch).toBeLessThan(0.05);
  expect(bestOf(a, 'odd')).toContain('3/4');
  expect(bestOf(b, 'odd')).toContain('19 mm');
});

it('a place does not speak for itself: its own size does not tell the system by which it is judged', () => {
  const alone = recoverMachine([place('a', inch(0.75) - 0.01)], 0.5);
  const inchShare = alone.byPlace
    .get('a')!
    .filter((w) => w.candidate.unit === 'in')
    .reduce((s, w) => s + w.probability, 0);
  const sure = recoverMachine([place('a', inch(0.75) - 0.01)], 0.999);
  const there = sure.byPlace
    .get('a')!
    .filter((w) => w.candidate.unit === 'in')
    .reduce((s, w) => s + w.probability, 0);
  expect(there).toBeGreaterThan(inchShare);
});

it('a thread’s pitch or a key’s width speaks too: nine times likelier makes even odds nine to one', () => {
  expect(recoverMachine([], 0.5, [{ unit: 'in', times: 9 }]).inch).toBeCloseTo(0.9, 9);
  expect(
    recoverMachine([], 0.5, [
      { unit: 'in', times: 9 },
      { unit: 'mm', times: 9 },
    ]).inch,
  ).toBeCloseTo(0.5, 9);
  expect(recoverMachine([], 0.3).inch).toBeCloseTo(0.3, 9);
});

it('a twin that was read well tells a worn place: a seat at 24.6 whose other end is 24.98 was 25', () => {
  const worn = place('worn', 0, { land: null, worn: { sizeMm: 24.6, uMm: 0.004 }, twinIds: ['good'] });
  const found = recoverMachine([worn, place('good', 24.985, { twinIds: ['worn'] })], 0.2);
  expect(found.byPlace.get('worn')![0]!.candidate.sizeMm).toBe(25);
  const share = (f: ReturnType<typeof recoverMachine>) =>
    f.byPlace
      .get('worn')!
      .filter((w) => w.candidate.sizeMm === 25)
      .reduce((s, w) => s + w.probability, 0);
  const without = recoverMachine([{ ...worn, twinIds: [] }], 0.2);
  expect(share(found)).toBeGreaterThan(share(without));
});

it('a place of which nothing was read has no candidates, and is of no size that is not listed either', () => {
  const found = recoverMachine([place('a', 0, { land: null })], 0.5);
  expect(found.byPlace.get('a')).toEqual([]);
  expect(found.noneOf.get('a')).toBe(0);
});

it('the order of the places does not matter, and nothing is remembered from the last time', () => {
  const places = [place('a', 24.98), place('b', 19.04), place('c', inch(0.5) - 0.01)];
  const [first, second] = [recoverMachine(places, 0.4), recoverMachine([...places].reverse(), 0.4)];
  expect(second.inch).toBeCloseTo(first.inch, 12);
  for (const { id } of places) expect(second.byPlace.get(id)![0]!.probability).toBeCloseTo(first.byPlace.get(id)![0]!.probability, 12);
});
