import { seededRandom } from '../../evidence/proof';
import { addedFeature } from '../drawing';
import { balancesAtMm, unbalanceOf } from './balance';
import { radiusAt } from './host';
import { mirrored } from './mirrored';
import { partLengthMm, placeAll, type Part } from './part';
import { surface } from './surface';
import { newPart } from './templates';
import { anyPart } from './testing-parts';

const bare = (...outside: Part['outside']): Part => ({ ...newPart('plain-pin', 'Part', 20, 50), outside, features: [] });

it('a plain bar balances in the middle, a frustum where its textbook says', () => {
  expect(balancesAtMm(bare(surface('a', 'cylinder', 'Bar', 80, 20)))).toBeCloseTo(40, 9);
  // Centroid of a frustum from its end of radius a: h/4 (a² + 2ab + 3b²) / (a² + ab + b²).
  const [h, a, b] = [60, 10, 25];
  const cone = { ...surface('a', 'taper' as const, 'Cone', h, 2 * a), farDiameterMm: 2 * b };
  expect(balancesAtMm(bare(cone))).toBeCloseTo(((h / 4) * (a * a + 2 * a * b + 3 * b * b)) / (a * a + a * b + b * b), 9);
});

it('of any turned body it is where the slices balance', () => {
  const random = seededRandom(5);
  for (let n = 0; n < 25; n++) {
    const part = { ...anyPart(random), features: [] };
    const [surfaces, long] = [placeAll(part), partLengthMm(part)];
    let [volume, moment] = [0, 0];
    const slices = 40_000;
    for (let i = 0; i < slices; i++) {
      const x = (long * (i + 0.5)) / slices;
      const here = surfaces.filter((s) => s.fromMm <= x && s.toMm >= x);
      const out = Math.max(...here.filter((s) => s.side === 'outside').map((s) => radiusAt(s, x)));
      const hole = Math.max(0, ...here.filter((s) => s.side === 'inside').map((s) => radiusAt(s, x)));
      volume += out * out - hole * hole;
      moment += (out * out - hole * hole) * x;
    }
    expect(balancesAtMm(part)).toBeCloseTo(moment / volume, 2);
  }
});

it('of any part with all that is cut into it, its mirror image balances as far from the other end', () => {
  const random = seededRandom(11);
  for (let n = 0; n < 40; n++) {
    const part = anyPart(random);
    expect(balancesAtMm(mirrored(part))).toBeCloseTo(partLengthMm(part) - balancesAtMm(part)!, 4);
  }
});

describe('an eccentric', () => {
  const shaft = bare(surface('a', 'cylinder', 'Journal', 40, 40), surface('b', 'cylinder', 'Cheek', 60, 80));
  const thrown = (part: Part, id: string, clockDeg: number): Part =>
    addedFeature(part, 'b', 'eccentric', id, { atMm: id === 'e' ? 0 : 30, lengthMm: 30, diameterMm: 50, throwMm: 12, clockDeg })!.part;

  it('is out of balance by its own mass times its throw, on its side', () => {
    // Steel of 7850 kg/m³: 50 across and 30 long is 462.4 g; 12 mm off that is 5,549 g mm.
    const found = unbalanceOf(thrown(shaft, 'e', 90))!;
    expect(found.gMm).toBeCloseTo(0.25 * Math.PI * 25 * 3 * 7.85 * 12, 3);
    expect(found.gMm).toBeGreaterThan(5500);
    expect(found.clockDeg).toBeCloseTo(90, 9);
  });

  it('two opposite each other balance, two at a right angle add up as the sides of a square', () => {
    const one = unbalanceOf(thrown(shaft, 'e', 0))!.gMm;
    expect(unbalanceOf(thrown(thrown(shaft, 'e', 0), 'f', 180))!.gMm).toBeCloseTo(0, 6);
    const two = unbalanceOf(thrown(thrown(shaft, 'e', 0), 'f', 90))!;
    expect(two.gMm).toBeCloseTo(one * Math.SQRT2, 6);
    expect(two.clockDeg).toBeCloseTo(45, 9);
  });

  it('nothing is said of a part without one, nor of a metal that nobody knows', () => {
    expect(unbalanceOf(shaft)).toBeNull();
    expect(unbalanceOf({ ...thrown(shaft, 'e', 0), materialId: 'unknown' })).toBeNull();
  });
});
