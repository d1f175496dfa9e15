import {
  boundsOf,
  outline,
  partFromProfile,
  partLines,
  placeOutside,
  sceneDxf,
  newPart,
  PART_KINDS,
  type Part,
  type PartKind,
} from '@iron-patch/core';
import { dxfProfile } from './dxf-profile';

const written = (part: Part): string => sceneDxf({ title: part.name, ...boundsOf(partLines(part)), primitives: partLines(part) });

async function read(text: string, unit: 'mm' | 'in' = 'mm') {
  const pieces = await dxfProfile(text, unit);
  const part = pieces.ok ? partFromProfile(pieces.value, 'Read') : pieces;
  if (!part.ok) throw new Error(part.problems[0]!.message);
  return part.value.part;
}

const ROUND = (Object.keys(PART_KINDS) as PartKind[]).filter((k) => !newPart(k, 'x', 40, 120).block);

it.each(ROUND)('%s: written as DXF and read back it has the same outline', async (kind) => {
  const part = newPart(kind, 'x', 40, 120);
  const back = await read(written(part));
  const sizes = (p: Part): unknown => placeOutside(p).map((s) => [s.fromMm, s.toMm, s.leftMm, s.rightMm].map((v) => Number(v.toFixed(2))));
  expect(sizes(back)).toEqual(sizes(part));
  expect(outline(back).map((p) => [Number(p.x.toFixed(2)), Number(p.r.toFixed(2))])).toEqual(
    outline({ ...part, features: part.features.filter((f) => f.kind === 'chamfer') }).map((p) => [
      Number(p.x.toFixed(2)),
      Number(p.r.toFixed(2)),
    ]),
  );
});

const dxf = (...entities: readonly (readonly (string | number)[])[]): string =>
  ['0', 'SECTION', '2', 'ENTITIES', ...entities.flat().map(String), '0', 'ENDSEC', '0', 'EOF'].join('\n');

it('takes polylines with bulges, and arcs, as fillets of a shoulder', async () => {
  // 20 across to x = 28, a quarter of radius 2 up to 12, on to 15: bulge of a quarter is tan(22.5°).
  const vertices = [
    [0, 10, 0],
    [28, 10, Math.tan(Math.PI / 8)],
    [30, 12, 0],
    [30, 15, 0],
    [60, 15, 0],
  ];
  const polyline = dxf([0, 'LWPOLYLINE', 8, 'PROFILE', 90, 5, 70, 0, ...vertices.flatMap(([x, y, b]) => [10, x!, 20, y!, 42, b!])]);
  const expected = [
    ['cylinder', 20, 30],
    ['cylinder', 30, 30],
  ];
  const part = await read(polyline);
  expect(part.outside.map((s) => [s.kind, s.diameterMm, s.lengthMm])).toEqual(expected);
  expect(part.features).toMatchObject([{ kind: 'fillet', end: 'right', radiusMm: 2 }]);
  const inch = await read(
    dxf(
      [0, 'LINE', 8, '0', 10, 0, 20, 0.5, 11, 1, 21, 0.5],
      [0, 'ARC', 8, '0', 10, 1, 20, 0.6, 40, 0.1, 50, 270, 51, 360],
      [0, 'LINE', 8, '0', 10, 1.1, 20, 0.75, 11, 2, 21, 0.75],
      [0, 'LINE', 8, 'CENTER', 10, -1, 20, 3, 11, 4, 21, 3],
    ),
    'in',
  );
  expect(inch.outside.map((s) => [s.diameterMm, s.lengthMm].map((v) => Number((v / 25.4).toFixed(3))))).toEqual([
    [1, 1.1],
    [1.5, 0.9],
  ]);
  expect(inch.features).toMatchObject([{ kind: 'fillet', radiusMm: 2.54 }]);
});

it.each(['', 'hello', '0\nSECTION\n2\nENTITIES', '<svg/>', '\u0000\u0001'])('%j is no drawing file, and said so', async (text) => {
  const pieces = await dxfProfile(text, 'mm');
  const part = pieces.ok ? partFromProfile(pieces.value, 'x') : pieces;
  expect(part.ok).toBe(false);
});
