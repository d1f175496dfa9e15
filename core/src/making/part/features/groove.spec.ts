import { surface } from '../surface';
import { hostOf } from '../host';
import type { Part } from '../part';
import { checkGroove, GROOVE_FIELDS, grooveCut, grooveDimensions, grooveOperations, grooveRaiser, type Groove } from './groove';

const part: Part = {
  ...{ name: 'Part', materialId: 'steel-c45', features: [], limits: {}, block: null },
  outside: [surface('a', 'cylinder', 'Left', 20, 30), { ...surface('t', 'taper', 'Taper', 40, 40), farDiameterMm: 30 }],
  bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 60, 16)] }],
};
const host = (id: string) => hostOf(part, id)!;
const groove = (atMm: number, widthMm: number, diameterMm: number): Groove => ({
  ...{ id: 'g', kind: 'ring-groove', on: 'a', name: 'Groove' },
  ...{ atMm, widthMm, diameterMm },
});
const fieldsOf = (f: Groove, on: string): string[] => checkGroove(f, host(on)).map((p) => p.field);

it.each([
  ['lies wholly on it', 5, 3, 26, 'a', []],
  ['ends where it ends', 17, 3, 26, 'a', []],
  ['leaves it', 17.1, 3, 26, 'a', ['atMm']],
  ['begins before it', -0.1, 3, 26, 'a', ['atMm']],
  ['cuts nothing', 5, 3, 30, 'a', ['diameterMm']],
  ['comes out in the bore', 5, 3, 16.5, 'a', ['diameterMm']],
  // The taper is 40 at its left end and 32 at 32 of 40 mm along: a floor of 33 is in the metal at one wall and in the air at the other.
  ['has no wall at its thin end on a taper', 10, 22, 33, 't', ['diameterMm']],
  ['has both walls on a taper', 10, 5, 33, 't', []],
  ['inside cuts nothing', 5, 3, 16, 'in', ['diameterMm']],
  ['inside breaks out', 5, 3, 29.5, 'in', ['diameterMm']],
  ['inside', 5, 3, 18, 'in', []],
] as const)('a groove that %s', (_, atMm, widthMm, floor, on, wrong) => expect(fieldsOf(groove(atMm, widthMm, floor), on)).toEqual(wrong));

/** What a closed contour takes when it is turned round the axis, from its corners: Guldin by trapezoids, mm³. */
function turned(points: readonly { readonly x: number; readonly r: number }[]): number {
  let sum = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!;
    sum += ((q.x - p.x) * (p.r ** 2 + p.r * q.r + q.r ** 2)) / 3;
  });
  return Math.abs(Math.PI * sum);
}

it('3 wide and 2 deep in 30 takes a ring of 30 on 26; round corners leave some of it', () => {
  const cut = grooveCut(groove(5, 3, 26), host('a'));
  const rounded = grooveCut(groove(5, 3, 26), host('a'), 0.5);
  if (cut.shape !== 'turned' || rounded.shape !== 'turned') throw new Error('not turned');
  const ring = (Math.PI / 4) * (30 ** 2 - 26 ** 2) * 3;
  expect(turned(cut.contour)).toBeCloseTo(ring, 6);
  // Each corner keeps a spandrel of r² (1 - π/4), at about 13.1 mm from the axis.
  const left = 2 * 0.5 ** 2 * (1 - Math.PI / 4) * 2 * Math.PI * (13 + 0.5 * 0.2234);
  expect(ring - turned(rounded.contour)).toBeCloseTo(left, 0);
  expect(ring - turned(rounded.contour)).toBeGreaterThan(0.9 * left);
});

it('it lies where its surface lies', () => {
  const second = grooveCut({ ...groove(10, 5, 30), on: 't' }, host('t'));
  if (second.shape !== 'turned') throw new Error('not turned');
  expect([second.contour[0]!.x, second.contour.at(-1)!.x]).toEqual([30, 35]);
});

it('is a notch of its floor outside, in its middle, and none in a bore', () => {
  expect(grooveRaiser(groove(5, 3, 26), host('a'), 'a groove')).toEqual({ atMm: 6.5, coreMm: 26, words: 'a groove' });
  expect(grooveRaiser(groove(5, 3, 18), host('in'), 'a groove')).toBeNull();
});

it('every dimension is made by its plunge, and has a field', () => {
  const names = grooveDimensions(groove(5, 3, 26), host('a')).map((d) => d.name);
  expect(grooveOperations('Plunge it')[0]!.makes).toEqual(names);
  expect(Object.keys(GROOVE_FIELDS)).toEqual(names.map((n) => `${n}Mm`));
  expect(grooveOperations('Plunge it', ['corner'])[0]!.makes).toContain('corner');
});
