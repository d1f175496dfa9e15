import type { Primitive } from '../../making/scene';
import { choiceKey, workOut, type JobSheet } from '../job';
import { testChoice, testPlace, testReading, testSheet, testShop } from '../job/testing';
import { asFoundDrawing, foundSurfaces } from './as-found';
import { pictureModel } from './picture';

const shaft = { ...testSheet().components.find((c) => c.id === 'pin')!, axisOffsetMm: 10 };
const bare = (over: Partial<JobSheet>): JobSheet => testSheet({ components: [shaft], choices: [], ...over });
const body = testPlace('body', { name: 'Body', componentId: 'pin', startMm: 0, lengthMm: 100, stationsMm: [50], clocksDeg: [0] });
const size = (placeId: string, valueMm: number, quantity = 'size', stationMm = 50) =>
  testReading({ placeId, stationMm, valueMm, quantity: quantity as 'size' });
const shown = (sheet: JobSheet) => {
  const repair = workOut(sheet, testShop);
  return { drawing: asFoundDrawing(repair, sheet), bare: foundSurfaces(repair, ['pin']).lines };
};
const paths = (lines: readonly Primitive[], style: string) =>
  lines.flatMap((l) => (l.kind === 'path' && l.style === style ? [l.points.map(([x, y]) => [x, Number((2 * y).toFixed(3))])] : []));

it('shows a groove at its floor and as wide as it was read, where it was read on the job’s axis', () => {
  const groove = testPlace('ring', { name: 'Ring groove', kind: 'groove', componentId: 'pin', startMm: 80, lengthMm: 2, stationsMm: [81] });
  const sheet = bare({
    places: [body, groove],
    readings: [size('body', 29.5), size('ring', 2, 'width', 81), size('ring', 26.4, 'groove-size', 81)],
  });
  const { drawing, bare: surfaces } = shown(sheet);
  const edge = paths(drawing.lines, 'edge')[0]!;
  expect(edge).toEqual(
    expect.arrayContaining([
      [90, 29.5],
      [90, 26.4],
      [92, 26.4],
      [92, 29.5],
      [110, 29.5],
    ]),
  );
  // Under a new drawing the old one lies without what is cut into it.
  expect(
    Math.min(
      ...paths(surfaces, 'edge')[0]!
        .slice(1, -1)
        .map(([, y]) => y!),
    ),
  ).toBe(29.5);
  expect(drawing.cuts).toEqual([expect.objectContaining({ id: 'ring', fromMm: 90, toMm: 92, radiusMm: 14.75 })]);
});

it('is hollow where a bore was read, and has metal round it where nobody measured the outside', () => {
  const bore = testPlace('bore', {
    ...{ name: 'Bore', side: 'inside', componentId: 'pin', startMm: 20, lengthMm: 80, stationsMm: [50], clocksDeg: [0] },
  });
  const tube = bare({ places: [body, bore], readings: [size('body', 90), size('bore', 80)] });
  const edges = paths(shown(tube).drawing.lines, 'edge');
  expect(edges.some((e) => e.some(([x, y]) => x === 30 && y === 80) && e.some(([x, y]) => x === 110 && y === 80))).toBe(true);
  const housing = bare({ places: [bore], readings: [size('bore', 80)] });
  const { lines } = shown(housing).drawing;
  expect(paths(lines, 'hidden')[0]!.every(([, y]) => y === 0 || y === 120)).toBe(true);
  expect(pictureModel(workOut(housing, testShop), 'worn', housing).toMm).toBe(110);
});

it('shows a thread at its crests with what it is, and a keyseat where it lies', () => {
  const sheet = bare({
    places: [
      body,
      testPlace('thread', { name: 'Thread', kind: 'thread', componentId: 'pin', startMm: 100, lengthMm: 20, stationsMm: [110] }),
      testPlace('key', { name: 'Keyseat', kind: 'keyseat', componentId: 'pin', startMm: 30, lengthMm: 25, stationsMm: [42] }),
    ],
    readings: [
      size('body', 29.5),
      size('thread', 19.9, 'major', 110),
      size('thread', 25, 'crests', 110),
      size('key', 8, 'width', 42),
      size('key', 4, 'key-depth', 42),
    ],
  });
  const { drawing } = shown(sheet);
  expect(drawing.spans.map((s) => [s.id, s.fromMm, s.toMm, s.radiusMm])).toEqual([
    ['body', 10, 110, 14.75],
    ['thread', 110, 130, 9.95],
  ]);
  const { lines } = drawing;
  expect(lines.some((l) => l.kind === 'path' && l.points.some(([x]) => Math.abs(x - 40) < 1e-9))).toBe(true);
  expect(lines.some((l) => l.kind === 'path' && l.points.some(([x]) => Math.abs(x - 65) < 1e-9))).toBe(true);
  expect(drawing.cuts.map((c) => c.id)).toEqual(['key']);
});

it('what is cut is touched as high as the stretch that it is cut into', () => {
  const nose = testPlace('nose', { name: 'Nose', componentId: 'pin', startMm: 100, lengthMm: 20, stationsMm: [110], clocksDeg: [0] });
  const groove = testPlace('ring', {
    name: 'Ring groove',
    kind: 'groove',
    componentId: 'pin',
    startMm: 110,
    lengthMm: 2,
    stationsMm: [111],
  });
  const sheet = bare({ places: [body, nose, groove], readings: [size('body', 29.5), size('nose', 20, 'size', 110)] });
  expect(shown(sheet).drawing.cuts.map((c) => [c.id, c.radiusMm])).toEqual([['ring', 10]]);
});

it.each([
  ['straightness', 'outside'],
  ['thread', 'inside'],
  ['length', 'outside'],
  ['depth', 'inside'],
  ['keyseat', 'outside'],
] as const)('a worn part of which a %s %s is all that is known is no drawing, and no trouble', (kind, side) => {
  const only = testPlace('only', { name: 'Only', kind, side, componentId: 'pin', startMm: 0, lengthMm: 20, stationsMm: [10] });
  const sheet = bare({ places: [only], readings: [] });
  expect(shown(sheet)).toMatchObject({ drawing: { lines: [], spans: [] }, bare: [] });
  for (const which of ['worn', 'new'] as const) expect(pictureModel(workOut(sheet, testShop), which, sheet).toMm).toBeGreaterThan(0);
});

it('leaves out what does not go where it was said, and keeps the rest', () => {
  const deep = testPlace('ring', { name: 'Ring groove', kind: 'groove', componentId: 'pin', startMm: 99, lengthMm: 5, stationsMm: [100] });
  const sheet = bare({
    places: [body, deep],
    readings: [size('body', 29.5), size('ring', 40, 'width', 100), size('ring', 35, 'groove-size', 100)],
  });
  expect(paths(shown(sheet).drawing.lines, 'edge')[0]!.slice(1, -1)).toEqual([
    [10, 29.5],
    [110, 29.5],
  ]);
});

it('a worn part that nothing was read of is drawn as before: at the size it was told to be, with nothing thrown', () => {
  const sheet = bare({ places: [body], readings: [], choices: [testChoice(choiceKey.nominal('body'), { sizeMm: 30, name: '30 mm' })] });
  expect(shown(sheet).drawing.spans[0]!.radiusMm).toBe(15);
  expect(shown(bare({ places: [], readings: [] })).drawing.lines).toEqual([]);
});
