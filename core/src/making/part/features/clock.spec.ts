import { hostOf, newPart, type Part } from '..';
import { addedFeature } from '../../drawing';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, clockWords, isTiming, onceRound, timedWords } from './clock';

/** A shaft with two keyseats at those angles, the second timed to the first. */
function keyed(firstDeg: number, secondDeg: number): Part {
  const shaft = newPart('plain-pin', 'Shaft', 100, 30);
  const on = shaft.outside[0]!.id;
  const first = addedFeature(shaft, on, 'keyseat', 'gear', { atMm: 10, lengthMm: 20, name: 'Gear keyseat', clockDeg: firstDeg })!.part;
  return addedFeature(first, on, 'keyseat', 'out', { atMm: 60, lengthMm: 20, clockDeg: secondDeg, timedTo: 'gear' })!.part;
}
const second = (part: Part) => {
  const f = part.features.find((x) => x.id === 'out')!;
  if (f.kind !== 'keyseat') throw new Error(f.kind);
  return { f, host: hostOf(part, f.on)! };
};

it('an angle that is held to nothing is no dimension: a lone keyseat may stand anywhere', () => {
  const { host } = second(keyed(0, 90));
  expect(clockDimension({ clockDeg: 37, timedTo: '' }, host)).toEqual([]);
  expect(timedWords({ clockDeg: 37, timedTo: '' }, host)).toBe('');
  expect(clockMade({ clockDeg: 37, timedTo: '' })).toEqual([]);
  expect(CLOCK_START.timedTo).toBe('');
});

it.each([
  [0, 90, 90, '90° clockwise of gear keyseat seen from the right end, counter-clockwise seen from the left'],
  [30, 120, 90, '90° clockwise of gear keyseat seen from the right end, counter-clockwise seen from the left'],
  [30, 0, 330, '30° counter-clockwise of gear keyseat seen from the right end, clockwise seen from the left'],
  [350, 170, 180, 'opposite gear keyseat'],
  [45, 45, 0, 'in line with gear keyseat'],
] as const)('held to what stands at %s°, one at %s° is told and made by the angle between them', (first, own, between, words) => {
  const { f, host } = second(keyed(first, own));
  expect(clockDimension(f, host)).toEqual([{ name: 'clock', what: 'angle', label: 'clock angle from gear keyseat', value: between }]);
  expect(timedWords(f, host)).toBe(words);
  expect(clockMade(f)).toEqual(['clock']);
  expect(clockDimension(f, host).every(isTiming)).toBe(true);
});

it('turning the whole part changes no angle between two, and the other way round is what is left of a turn', () => {
  for (let turn = 0; turn < 360; turn += 7.3) {
    const { f, host } = second(keyed(onceRound(turn), onceRound(turn + 110)));
    expect(clockDimension(f, host)[0]!.value).toBeCloseTo(110, 1);
    const back = second(keyed(onceRound(turn + 110), onceRound(turn)));
    expect(clockDimension(back.f, back.host)[0]!.value).toBeCloseTo(250, 1);
  }
});

it('what it was timed to is gone: no dimension, and no words of it', () => {
  const part = keyed(0, 90);
  const { f, host } = second({ ...part, features: part.features.filter((x) => x.id !== 'gear') });
  expect([clockDimension(f, host), timedWords(f, host)]).toEqual([[], '']);
});

it('goes once round and not on: 360 is 0, and what is typed finer than a head is turned is rounded', () => {
  const { from, to } = CLOCK_FIELDS.clockDeg;
  expect([from, to < 360, to > 359]).toEqual([0, true, true]);
  expect([360, -90, 719.999, 359.999, 12.345].map(onceRound)).toEqual([0, 270, 0, 0, 12.35]);
  expect(clockWords(-90, 'the top')).toBe('90° counter-clockwise of the top seen from the right end, clockwise seen from the left');
});
