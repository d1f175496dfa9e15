import { tiesOf, type TiedBox } from './ties';

const box = (key: string, after: readonly string[], from: number, to: number, middlePx: number): TiedBox => ({
  key,
  after,
  from,
  to,
  middlePx,
});

/** Where a line goes, from its own commands. */
const points = (path: string): [number, number][] => {
  const at: [number, number][] = [];
  for (const [, how, x, y] of path.matchAll(/([MHV]) ([\d.-]+)(?: ([\d.-]+))?/g)) {
    const [lastX, lastY] = at.at(-1) ?? [0, 0];
    at.push(how === 'M' ? [Number(x), Number(y)] : how === 'H' ? [Number(x), lastY] : [lastX, Number(x)]);
  }
  return at;
};

it('a line goes from where one ends to where the next begins, and turns between them', () => {
  const [saw, turn] = [box('a', [], 0, 10, 20), box('b', ['a'], 30, 50, 80)];
  const line = points(tiesOf([saw, turn], null)[0]!.path);
  expect([line[0], line.at(-1)]).toEqual([
    [10, 20],
    [30, 80],
  ]);
  expect(line[1]![0]).toBeGreaterThan(10);
  expect(line[1]![0]).toBeLessThan(30);
  const close = points(tiesOf([saw, { ...turn, from: 10.2 }], null)[0]!.path);
  expect(close[1]![0]).toBeCloseTo(10.1, 9);
});

it('of what is out of the picture there is none; what is looked at is marked both ways', () => {
  const boxes = [box('a', ['gone'], 0, 10, 20), box('b', ['a'], 20, 30, 20), box('c', ['b'], 40, 50, 20), box('d', ['c'], 60, 70, 20)];
  expect(tiesOf(boxes, 'b').map((t) => [t.key, t.near])).toEqual([
    ['a b', true],
    ['b c', true],
    ['c d', false],
  ]);
  expect(tiesOf([], 'b')).toEqual([]);
});
