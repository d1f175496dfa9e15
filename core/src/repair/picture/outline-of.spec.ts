import { workOut } from '../job';
import { testPlace, testReading, testSheet, testShop } from '../job/testing';
import { along } from './along';
import { outlineOf, radiusOf } from './outline-of';
import { reworked } from './reworked';

const place = (id: string, startMm: number, lengthMm: number) =>
  testPlace(id, { name: id, componentId: 'pin', startMm, lengthMm, stationsMm: [startMm + 1], clocksDeg: [0] });
const found = (sizes: Readonly<Record<string, readonly [from: number, long: number, size: number]>>) => {
  const entries = Object.entries(sizes);
  return workOut(
    testSheet({
      places: entries.map(([id, [from, long]]) => place(id, from, long)),
      readings: entries.map(([id, [from, , size]]) => testReading({ placeId: id, stationMm: from + 1, valueMm: size })),
    }),
    testShop,
  ).places;
};
const drawn = (points: ReturnType<typeof outlineOf>) => points.map((p) => [p.x, Number((2 * p.r).toFixed(6))]);

it('where places overlap the shorter is seen, and a gap goes on as what stands before it', () => {
  const places = found({ body: [0, 50, 40], land: [10, 5, 40.1], nose: [60, 20, 25] });
  expect(drawn(outlineOf(places, radiusOf))).toEqual([
    ...[
      [0, 40],
      [10, 40],
      [10, 40.1],
      [15, 40.1],
      [15, 40],
      [50, 40],
    ],
    ...[
      [50, 40],
      [60, 40],
      [60, 25],
      [80, 25],
    ],
  ]);
  expect(outlineOf([], radiusOf)).toEqual([]);
});

it('a line moved along the axis keeps its shape', () => {
  const path = {
    kind: 'path',
    points: [
      [0, 1],
      [2, 3],
    ],
    closed: false,
    style: 'edge',
  } as const;
  expect(along(path, 5)).toEqual({
    ...path,
    points: [
      [5, 1],
      [7, 3],
    ],
  });
});

it('a component that is cut shows what is cut at its new size, and what is not as found', () => {
  const places = found({ body: [0, 50, 40], nose: [60, 20, 25] });
  const dimension = { dimension: { key: 'nose' }, figure: { value: 24 } };
  const { lines, spans } = reworked(places, ['pin'], { dimensions: [dimension as never] });
  const edge = lines.find((l) => l.kind === 'path' && l.style === 'edge');
  expect(edge?.kind === 'path' && edge.points.map(([x, y]) => [x, 2 * y]).filter(([x]) => x === 50 || x === 80)).toEqual(
    expect.arrayContaining([
      [50, 40],
      [80, 24],
    ]),
  );
  expect(spans.map((s) => [s.id, s.radiusMm])).toEqual([['nose', 12]]);
});
