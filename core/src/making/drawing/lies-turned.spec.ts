import { seededRandom } from '../../evidence/proof';
import { mirrored, outline } from '../part';
import { anyPart } from '../part/testing-parts';
import { liesTurned, turnedContour } from './lies-turned';

it('a part and its other hand lie end for end, a part and itself do not', () => {
  const random = seededRandom(31);
  for (let i = 0; i < 60; i++) {
    const part = { ...anyPart(random), features: [] };
    const [here, there] = [outline(part), outline(mirrored(part))];
    expect(liesTurned(here, here)).toBe(false);
    const symmetric = JSON.stringify(here.map((p) => p.r)) === JSON.stringify(there.map((p) => p.r));
    if (part.outside.length > 1 && !symmetric) expect(liesTurned(here, there)).toBe(true);
    turnedContour(here).forEach((p, k) => {
      expect(p.x).toBeCloseTo(there[k]!.x, 6);
      expect(p.r).toBeCloseTo(there[k]!.r, 6);
    });
  }
});

it('nothing lies any way', () => {
  expect(liesTurned([], [])).toBe(false);
});
