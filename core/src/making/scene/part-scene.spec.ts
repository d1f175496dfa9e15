import { newPart, surface, type Part, type PartFeature } from '../part';
import { partLines } from './part-scene';

const shaft = (...features: object[]): Part => ({
  ...newPart('plain-pin', 'Shaft', 30, 60),
  outside: [surface('a', 'cylinder', 'Seat', 30, 20), surface('b', 'cylinder', 'Body', 30, 30)],
  features: features as PartFeature[],
});
/** The edges that are seen below the centre line: where, and how far down. */
const edges = (part: Part): [number, number][] =>
  partLines(part).flatMap((l): [number, number][] =>
    l.kind === 'path' && l.style === 'thin' && l.points.length === 2 && l.points[0]![1] === 0 && l.points[0]![0] === l.points[1]![0]
      ? [[l.points[0]![0], -l.points[1]![1]]]
      : [],
  );

it('a shoulder is one edge down to the smaller diameter, a chamfer one at each of its ends', () => {
  expect(edges(shaft())).toEqual([
    [30, 10],
    [60, 15],
  ]);
  const chamfer = { id: 'c', kind: 'chamfer', on: 'b', name: 'Chamfer', end: 'right', lengthMm: 2, angleDeg: 45 };
  expect(edges(shaft(chamfer))).toEqual([
    [30, 10],
    [58, 15],
    [60, 13],
  ]);
});

it('a fillet runs into its seat: no bundle of edges, however finely it is drawn', () => {
  const fillet = { id: 'f', kind: 'fillet', on: 'a', name: 'Fillet', end: 'right', radiusMm: 2 };
  const seen = edges(shaft(fillet));
  expect(seen.filter(([x]) => x > 27 && x < 31).length).toBeLessThanOrEqual(1);
});

it('what is cut into a bore is seen where it is cut open, and lies behind metal below the centre line', () => {
  const hub: Part = {
    ...shaft({
      id: 'k',
      kind: 'keyway',
      on: 'hole',
      name: 'Keyway',
      cutter: 'broach',
      widthMm: 6,
      overMm: 19,
      taper: 'none',
      clockDeg: 0,
      timedTo: '',
    }),
    bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 0, 16)] }],
  };
  const walls = partLines(hub).flatMap((l) =>
    l.kind === 'path' && l.points.length === 4 && l.points.every(([, y]) => Math.abs(y) < 1e-9 || Math.abs(Math.abs(y) - 3) < 1e-9)
      ? [[l.style, Math.sign(l.points[1]![1])]]
      : [],
  );
  expect(walls).toEqual([
    ['thin', 1],
    ['hidden', -1],
  ]);
});

it('what lies beside the axis is drawn there, its middle off by the throw', () => {
  const bore = {
    id: 'e',
    kind: 'eccentric-bore',
    on: 'b',
    name: 'Bore',
    end: 'right',
    diameterMm: 8,
    reach: 'to depth',
    depthMm: 20,
    throwMm: 3,
    clockDeg: 0,
  };
  const boxes = partLines(shaft(bore)).flatMap((l) => (l.kind === 'path' && l.closed && l.style === 'thin' ? [l.points] : []));
  expect(boxes).toEqual([
    [
      [40, 7],
      [60, 7],
      [60, -1],
      [40, -1],
    ],
  ]);
});
