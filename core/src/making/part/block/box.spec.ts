import { edgeOf, FACE_NAMES, faceOf, FACES, sizeAlong, type Face } from './box';

const BOX = { lengthMm: 60, widthMm: 40, heightMm: 30 };

it.each([
  ['top', 60, 40, 30],
  ['bottom', 60, 40, 30],
  ['front', 60, 30, 40],
  ['back', 60, 30, 40],
  ['left', 40, 30, 60],
  ['right', 40, 30, 60],
] as const)('the %s is %f by %f, and the block %f thick behind it', (face, uMm, vMm, thickMm) =>
  expect(faceOf(BOX, face)).toEqual({ uMm, vMm, thickMm }),
);

it('length goes along, width across, height up', () =>
  expect([sizeAlong(BOX, 'x'), sizeAlong(BOX, 'y'), sizeAlong(BOX, 'z')]).toEqual([60, 40, 30]));

it('each axis is square to two faces, a near and a far one; a face’s own two axes are the others', () => {
  for (const normal of ['x', 'y', 'z'] as const) {
    const both = (Object.keys(FACES) as Face[]).filter((f) => FACES[f].normal === normal);
    expect(both.map((f) => FACES[f].far).sort()).toEqual([false, true]);
    for (const f of both) expect([FACES[f].u, FACES[f].v, normal].sort()).toEqual(['x', 'y', 'z']);
  }
  expect(Object.keys(FACE_NAMES).sort()).toEqual(Object.keys(FACES).sort());
});

it('places count from the left, the front and the lower edge', () =>
  expect((['x', 'y', 'z'] as const).map(edgeOf)).toEqual(['left', 'front', 'lower']));
