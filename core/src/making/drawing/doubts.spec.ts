import { RINGS } from '../../book/rings';
import { newPart, surface, validatePart, type Part, type PartFeature } from '../part';
import { addedBore, addedFeature, deepened } from './adding';
import { drawingDoubts } from './doubts';

const SHAFT: Part = {
  ...newPart('plain-pin', 'Shaft', 40, 100),
  outside: [
    surface('a', 'cylinder', 'Shoulder', 20, 50),
    surface('b', 'cylinder', 'Seat', 60, 40),
    surface('c', 'cylinder', 'Nose', 40, 24),
  ],
  features: [],
};
const cut = (part: Part, on: string, kind: PartFeature['kind'], change: object): Part =>
  addedFeature(part, on, kind, `${kind}-${on}`, change)!.part;
const said = (part: Part): string[] => {
  expect(validatePart(part).ok).toBe(true);
  return drawingDoubts(part, 'mm').map((d) => `${d.ownerId}: ${d.words}`);
};
const thread = (lengthMm: number): Part => cut(SHAFT, 'c', 'thread', { thread: 'M24 x 2', end: 'right', lengthMm });

it('a plain stepped shaft leaves nothing to ask', () => expect(said(SHAFT)).toEqual([]));

it('a thread needs 1.25 pitches up to a shoulder, or an undercut', () => {
  expect(said(thread(37.5))).toEqual([]);
  expect(said(thread(37.6))).toEqual([expect.stringMatching(/^thread-c: .*comes to 2.40 mm of the shoulder.*5.00 mm, 2.50 mm/)]);
  expect(said(cut(thread(34), 'c', 'undercut', { end: 'left', widthMm: 5, depthMm: 1.5 }))).toEqual([]);
  // Towards the free end, where nothing stands, it may run out as it likes.
  expect(said(cut({ ...SHAFT, outside: [SHAFT.outside[1]!] }, 'b', 'thread', { thread: 'M40 x 3', end: 'left', lengthMm: 60 }))).toEqual(
    [],
  );
});

it('a layer is asked about where nobody lays on so much, or so little', () => {
  const layer = (process: string, aSideMm: number): Part => cut(SHAFT, 'b', 'treatment', { process, aSideMm, plusMinusMm: 0 });
  expect(said(layer('plate', 0.02))).toEqual([]);
  expect(said(layer('build-up', 1.5))).toEqual([]);
  expect(said(layer('build-up', 0.02))).toEqual([expect.stringMatching(/^treatment-b: .*0.020 mm a side.*0.300 mm to 10/)]);
});

it('the land beside a ring is three depths, less its chamfer', () => {
  // 24 mm shaft: groove 22.9, 1.3 wide (DIN 471), 0.55 deep: 1.65 of land.
  const groove = (atMm: number): Part => cut(SHAFT, 'c', 'ring-groove', { atMm, widthMm: 1.3, diameterMm: 22.9 });
  expect(said(groove(40 - 1.3 - 1.65))).toEqual([]);
  expect(said(groove(40 - 1.3 - 1.6))).toEqual([expect.stringMatching(/1.60 mm of land.*1.65 mm/)]);
  expect(said(cut(groove(40 - 1.3 - 2), 'c', 'chamfer', { end: 'right', lengthMm: 1 }))).toEqual([
    expect.stringMatching(/1.00 mm of land/),
  ]);
  // Against a shoulder there is metal enough.
  expect(said(groove(0.5))).toEqual([]);
});

it('beside a retaining washer stands what its own standard says', () => {
  const washer = RINGS.find((r) => r.standard === 'DIN 6799' && r.grooveMm === 15)!;
  const part: Part = { ...SHAFT, outside: [surface('s', 'cylinder', 'Pin', 60, 18)] };
  const at = (landMm: number): Part =>
    cut(part, 's', 'ring-groove', { atMm: 60 - washer.widthMm - landMm, widthMm: washer.widthMm, diameterMm: 15, ring: 'book' });
  expect(washer.outsideMm).not.toBeCloseTo((3 * (18 - 15)) / 2, 1);
  expect(said(at(washer.outsideMm! + 0.01))).toEqual([]);
  expect(said(at(washer.outsideMm! - 0.1))).toEqual([expect.stringContaining('n of DIN 6799')]);
});

it('a keyseat through a ring’s groove is asked about', () => {
  const both = cut(cut(SHAFT, 'b', 'ring-groove', { atMm: 50, widthMm: 1.85, diameterMm: 37.5 }), 'b', 'keyseat', {
    atMm: 20,
    lengthMm: 35,
  });
  expect(said(both)).toEqual(['keyseat-b: Keyseat runs through ring groove: what sits there loses its edge.']);
});

it('a seat between two larger steps takes nothing that is whole', () => {
  const outside = [
    surface('l', 'cylinder', 'Left', 10, 50),
    { ...surface('m', 'cylinder', 'Journal', 30, 40), fitsPlaceIds: ['hole'] },
    surface('r', 'cylinder', 'Right', 10, 45),
  ];
  expect(said({ ...SHAFT, outside })).toEqual([expect.stringMatching(/^m: Journal: what fits it cannot be pushed on/)]);
  expect(said({ ...SHAFT, outside: outside.slice(0, 2) })).toEqual([]);
});

it('a bore that is wider inside is asked about, unless the other end reaches it', () => {
  const bored = deepened(addedBore(SHAFT, 'near', 'x', 'mm').part, 'x', 'deep', 'mm').part;
  const wide = (through: boolean): Part => ({
    ...bored,
    bores: [
      { ...bored.bores[0]!, through, surfaces: bored.bores[0]!.surfaces.map((s, i) => ({ ...s, diameterMm: i ? 18 : 12, lengthMm: 20 })) },
    ],
  });
  expect(said(wide(false))).toEqual([expect.stringMatching(/^deep: .*recessing tool/)]);
  expect(said(wide(true))).toEqual([]);
});
