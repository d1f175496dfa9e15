import { boundsOf, type Primitive } from '../../making/scene';
import { newPart, type Part } from '../../making/part';
import { choiceKey, originalSizeMm, seenAt, workOut, type JobSheet } from '../job';
import { drawnPin, testChoice, testItem, testPlace, testReading, testSheet, testShop } from '../job/testing';
import { pictureModel } from './picture';

const pictureOf = (sheet: JobSheet, which: 'worn' | 'new', itemId?: string) => {
  const repair = workOut(sheet, testShop);
  return pictureModel(itemId ? seenAt(repair, itemId) : repair, which, sheet);
};

const places = testSheet().places.map((f) =>
  f.id === 'body' ? { ...f, startMm: 8, lengthMm: 112 } : f.id === 'land' ? { ...f, startMm: 10, lengthMm: 12 } : f,
);

it('shows the worn part from its measured places, the land inside the body', () => {
  const model = pictureOf(testSheet({ places }), 'worn');
  expect(model.shows).toBe('found');
  const edge = model.lines.find((l) => l.kind === 'path' && l.style === 'edge') as Extract<Primitive, { kind: 'path' }>;
  expect(edge.points.slice(1, -1).map(([x, y]) => [x, Number((2 * y).toFixed(3))])).toEqual([
    [8, 39.68],
    [10, 39.68],
    [10, 39.975],
    [22, 39.975],
    [22, 39.68],
    [120, 39.68],
  ]);
  expect(model.mates).toMatchObject([{ name: 'Barrel bore', fromMm: 36, toMm: 76 }]);
});

it('puts readings on one axis and tells the wear against the unworn land', () => {
  const repair = workOut(testSheet({ places }), testShop);
  expect(originalSizeMm(repair.places[0]!)).toBe(40);
  const { stations } = pictureModel(repair, 'worn', testSheet({ places }));
  expect(stations.find((s) => s.placeId === 'body')).toMatchObject({ atMm: 60, wearMm: expect.closeTo(39.975 - 39.67, 6) });
  expect(stations.filter((s) => s.placeId === 'barrel').map((s) => s.atMm)).toEqual([41, 56, 71]);
});

it('counts wear from what it was, by name, when there is no land', () => {
  const bare = testSheet({
    places: places.filter((f) => f.id !== 'land'),
    choices: [testChoice(choiceKey.nominal('body'), { sizeMm: 40, name: '40 mm f7' })],
  });
  const { stations } = pictureOf(bare, 'worn');
  expect(stations.find((s) => s.placeId === 'body')!.wearMm).toBeCloseTo(0.33, 6);
});

it('shows the new part once it is drawn, and something when nothing is known', () => {
  const sheet = testSheet({ choices: [testChoice(choiceKey.part, drawnPin())] });
  const drawn = pictureOf(sheet, 'new');
  expect(pictureOf(sheet, 'worn').shows).toBe('found');
  expect(drawn).toMatchObject({ shows: 'part', toMm: 120, largestRadiusMm: 28 });
  expect(drawn.spans.map((s) => s.id)).toEqual(['head', 'body']);
  // The old one lies dashed under it.
  expect(drawn.ghost.length).toBeGreaterThan(0);
  expect(pictureOf(sheet, 'worn').ghost).toEqual([]);
  const empty = pictureOf(testSheet({ components: [], places: [], readings: [] }), 'new');
  expect(empty).toMatchObject({ lines: [], fromMm: 0, toMm: 100 });
});

it('round a new part stand what it fits and what ran with the old one, not whatever else was measured', () => {
  const [far, near] = [
    testPlace('cylinder', { name: 'Cylinder', side: 'inside', componentId: 'barrel-part', startMm: 0, lengthMm: 300, stationsMm: [10] }),
    testPlace('ring', {
      name: 'Ring',
      side: 'inside',
      componentId: 'barrel-part',
      startMm: 40,
      lengthMm: 10,
      stationsMm: [45],
      matesPlaceId: 'body',
    }),
  ];
  const readings = [...testSheet().readings, testReading({ placeId: 'cylinder', stationMm: 10, valueMm: 300 })];
  const drawn = testSheet({ places: [...places, far, near], readings, choices: [testChoice(choiceKey.part, drawnPin())] });
  const model = pictureOf(drawn, 'new');
  expect(model.mates.map((m) => m.id).sort()).toEqual(['barrel', 'ring']);
  expect(model.largestRadiusMm).toBe(28);
  expect(pictureOf(drawn, 'worn').mates.map((m) => m.id)).toContain('cylinder');
});

it('what takes no component’s place has no old one under it', () => {
  const sheet = testSheet({
    places,
    choices: [testChoice(choiceKey.item('spacer'), testItem('make', 'Spacer')), testChoice(`${choiceKey.part}:spacer`, drawnPin())],
  });
  expect(pictureOf(sheet, 'new', 'spacer')).toMatchObject({ shows: 'part', ghost: [] });
});

it('shows a component that stays as it will be cut, its outside dashed where nobody measured it', () => {
  const cuts = [{ placeId: 'barrel', sizeMm: 42, limits: { lowerDev: 0, upperDev: 0.025, text: 'H7' } }];
  const sheet = testSheet({
    places,
    components: testSheet().components.map((c) => (c.id === 'barrel-part' ? { ...c, verdict: 'repair' as const } : c)),
    choices: [testChoice(choiceKey.item('barrel-part'), testItem('rework', 'Ramp barrel', { componentIds: ['barrel-part'], cuts }))],
  });
  const model = pictureOf(sheet, 'new', 'barrel-part');
  expect(model.shows).toBe('rework');
  expect(model.spans).toEqual([expect.objectContaining({ id: 'barrel', fromMm: 36, toMm: 76, radiusMm: expect.closeTo(21.00625, 5) })]);
  // The barrel is no mate of itself.
  expect(model.mates).toEqual([]);
  const paths = model.lines.filter((l) => l.kind === 'path');
  expect(paths.map((l) => l.style)).toEqual(['hidden', 'hidden', 'edge']);
  expect(Math.max(...paths[2]!.points.map(([, y]) => y))).toBeCloseTo(21.00625, 5);
});

it('shows a block in its views, and keeps the axis of what came in', () => {
  const block = { lengthMm: 60, widthMm: 40, heightMm: 30, cuts: [] };
  const part = { ...drawnPin(), outside: [], features: [], limits: {}, block };
  const sheet = testSheet({ places, choices: [testChoice(choiceKey.part, part)] });
  const model = pictureOf(sheet, 'new');
  expect(model).toMatchObject({ shows: 'block', spans: [], toMm: 120 });
  const { fromX, toX } = boundsOf(model.lines);
  expect(toX - fromX).toBeGreaterThan(60 + 40);
});

describe('what is joined', () => {
  const bush = { ...newPart('plain-bush', 'Bush', 42, 40), features: [] };
  const outsideId = bush.outside[0]!.id;
  const pressed = { ...bush, outside: bush.outside.map((s) => ({ ...s, fitsPlaceIds: ['barrel'] })) };
  const cuts = [{ placeId: 'barrel', sizeMm: 42, limits: { lowerDev: 0, upperDev: 0.025, text: 'H7' } }];
  const sheet = (after: readonly string[], part: Part = pressed) =>
    testSheet({
      places,
      choices: [
        testChoice(choiceKey.item('bore'), testItem('rework', 'Ramp barrel', { componentIds: ['barrel-part'], cuts })),
        testChoice(choiceKey.item('bush'), testItem('make', 'Bush')),
        testChoice(`${choiceKey.part}:bush`, part),
        testChoice(choiceKey.item('press'), testItem('join', 'Press it in', { after })),
      ],
    });
  const seen = (after: readonly string[]) => pictureOf(sheet(after), 'new', 'press');

  it('lies where it sits: the bush in the middle of its hole, the bored hole round it', () => {
    const model = seen(['bore', 'bush']);
    expect(model.shows).toBe('joined');
    // The barrel's bore lies from 36 to 76 of the axis.
    expect(model.spans).toMatchObject([{ id: `bush.${outsideId}`, fromMm: 36, toMm: 76 }]);
    expect(model.mates).toEqual([]);
    const areas = model.lines.filter((l) => l.kind === 'area' && l.fill === 'section');
    const tops = areas.map((a) => Math.max(...(a as Extract<Primitive, { kind: 'area' }>).points.map(([, y]) => y)));
    // Metal of the barrel round it, and the bush up to the hole.
    expect(tops.some((y) => y > 30)).toBe(true);
    expect(tops.some((y) => y < 22)).toBe(true);
  });

  it('is shown in what it sits in also where that is not cut, and as found where nothing of it is drawn', () => {
    expect(seen(['bush']).lines.length).toBeGreaterThan(0);
    expect(seen(['bush']).shows).toBe('joined');
    expect(seen([]).shows).toBe('found');
  });

  it('sits home against its head', () => {
    const flanged = newPart('flanged-bush', 'Bush', 42, 46);
    const fitted = { ...flanged, outside: flanged.outside.map((s) => (s.kind === 'head' ? s : { ...s, fitsPlaceIds: ['barrel'] })) };
    const { spans, fromMm } = pictureOf(sheet(['bush'], fitted), 'new', 'press');
    const [head, body] = [flanged.outside[0]!, flanged.outside[1]!];
    expect(spans.find((s) => s.id === `bush.${body.id}`)!.fromMm).toBeCloseTo(36, 9);
    expect(fromMm).toBeCloseTo(Math.min(0, 36 - head.lengthMm), 9);
    expect(spans.find((s) => s.id === `bush.${body.id}`)!.toMm).toBeCloseTo(36 + body.lengthMm, 9);
  });
});
