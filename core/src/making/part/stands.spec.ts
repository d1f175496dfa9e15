import { addedFeature } from '../drawing';
import { newPart, standsWords } from '.';

const shaft = newPart('plain-pin', 'Shaft', 100, 30);
const on = shaft.outside[0]!.id;
const part = addedFeature(shaft, on, 'keyseat', 'gear', { atMm: 10, lengthMm: 20, name: 'Gear keyseat', clockDeg: 30 })!.part;
const told = (f: object): string => {
  const { part: more } = addedFeature(part, on, 'cross-hole', 'f', { atMm: 60, diameterMm: 4, ...f })!;
  return standsWords(
    more,
    more.features.find((x) => x.id === 'f')!,
  );
};

it('is told from the top, or from what it is timed to', () => {
  expect(told({ clockDeg: 90 })).toBe('It stands 90° clockwise of the top seen from the right end, counter-clockwise seen from the left.');
  expect(told({ clockDeg: 0 })).toBe('It stands in line with the top.');
  expect(told({ clockDeg: 210, timedTo: 'gear' })).toBe('It stands opposite gear keyseat.');
});

it('of what has no clock angle, or of whose surface is gone, nothing is told', () => {
  const { part: cut } = addedFeature(part, on, 'chamfer', 'c', { end: 'right' })!;
  expect(
    standsWords(
      cut,
      cut.features.find((x) => x.id === 'c')!,
    ),
  ).toBe('');
  const key = part.features.find((f) => f.id === 'gear')!;
  expect(standsWords({ ...part, outside: [] }, key)).toBe('');
});
