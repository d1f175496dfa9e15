import { addedFeature } from '../drawing';
import { newPart, surface, type Part } from '../part';
import { schedulesOf } from './schedules';
import { TEST_BENCH } from './testing-bench';

const shaft: Part = { ...newPart('plain-pin', 'Shaft', 30, 80), outside: [surface('a', 'cylinder', 'Seat', 80, 30)], features: [] };
function plunged(widthMm: number, partingMm: number) {
  const { part } = addedFeature(shaft, 'a', 'ring-groove', 'g', { atMm: 20, widthMm, diameterMm: 28.6, ring: 'measured' })!;
  return schedulesOf(part, { ...TEST_BENCH, partingMm }).find((s) => s.id === 'g')!;
}
const setting = (s: ReturnType<typeof plunged>, name: string): number | undefined =>
  s.settings.find((x) => x.figure.key.endsWith(`.${name}`))?.figure.value;

it('is as deep as half of what the floor lies under the surface, in cuts that end there and are none deeper than half a millimetre', () => {
  const s = plunged(1.6, 1.6);
  expect(setting(s, 'depth')).toBeCloseTo(0.7, 9);
  const { toMm } = s.cuts!;
  expect(toMm.at(-1)).toBeCloseTo(0.7, 9);
  toMm.forEach((to, i) => expect(to - (toMm[i - 1] ?? 0)).toBeLessThanOrEqual(0.5 + 1e-9));
});

it('a tool as wide as the groove plunges once; a narrower one goes over by what it is narrower', () => {
  expect(setting(plunged(1.6, 1.6), 'over')).toBeUndefined();
  const wide = plunged(6, 2);
  expect(setting(wide, 'over')).toBeCloseTo(4, 9);
  const count = Number(/^(\d+) plunges/.exec(wide.words.find((w) => w.includes('plunges'))!)![1]);
  // Side by side, each at least 0.2 of the tool over the last, they reach from wall to wall.
  expect(2 + (count - 1) * 2 * 0.8).toBeGreaterThanOrEqual(6);
  expect(2 + (count - 2) * 2 * 0.8).toBeLessThan(6);
});

it('a tool that is wider than the groove has to be ground first', () => {
  expect(plunged(1.6, 3).words[0]).toMatch(/3(\.0+)? mm wide and the groove 1\.6/);
});
