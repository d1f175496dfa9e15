import { addedFeature } from '../drawing';
import { dimensionsOf } from './dimensions';
import { limitsOf } from './limits';
import { newPart, type PartKind } from './templates';
import type { Part } from './part';

const pin = newPart('plain-pin', 'Pin', 25, 80);
const limits = (part: Part, key: string) =>
  limitsOf(
    part,
    dimensionsOf(part).find((d) => d.key === key)!,
  );

it('what nobody limits has the general tolerance: 25 is ± 0.2, 80 is ± 0.3 (ISO 2768-1 class m)', () => {
  expect(limits(pin, 'body')).toMatchObject({ from: 'general', lower: 24.8, upper: 25.2 });
  expect(limits(pin, 'body.length')).toMatchObject({ from: 'general', lower: 79.7, upper: 80.3 });
});

it('what is typed comes before it, counted from the size', () => {
  const typed = { ...pin, limits: { body: { lowerDev: -0.02, upperDev: -0.007, text: 'f7' } } };
  expect(limits(typed, 'body')).toMatchObject({ from: 'typed', lower: 24.98, upper: 24.993, words: 'f7' });
});

it('a groove by its standard has the standard’s, a keyseat of no book has none: never the general tolerance on a seat', () => {
  const ringed = addedFeature(pin, 'body', 'ring-groove', 'g', { atMm: 20 })!.part;
  // DIN 471, 25: 23.9 h12 (+0 -0.21).
  expect(limits(ringed, 'g.diameter')).toMatchObject({ from: 'book', lower: expect.closeTo(23.69, 2), upper: 23.9 });
  const keyed = addedFeature(pin, 'body', 'keyseat', 'k', { atMm: 20, lengthMm: 20, widthMm: 9.3, depthMm: 4.7 })!.part;
  expect(limits(keyed, 'k.width')).toBeNull();
});

it('a bored hole of a link is a seat and waits for its limits; a drilled one does not', () => {
  const of = (kind: PartKind) => {
    const part = newPart(kind, 'x', 50, 120);
    return limits(part, 'hole-a');
  };
  expect(of('link')).toBeNull();
  expect(of('cap')).toMatchObject({ from: 'general' });
});

it('is never below nothing', () => {
  const thin = { ...pin, outside: pin.outside.map((s) => ({ ...s, lengthMm: 0.05 })), features: [] };
  expect(limits(thin, 'body.length')!.lower).toBe(0);
});
