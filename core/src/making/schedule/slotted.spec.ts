import { addedFeature } from '../drawing';
import { newPart, surface, type Part } from '../part';
import { schedulesOf } from './schedules';
import { TEST_BENCH } from './testing-bench';

const hub: Part = {
  ...newPart('plain-pin', 'Hub', 60, 40),
  outside: [surface('a', 'cylinder', 'Rim', 40, 60)],
  bores: [{ id: 'q', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 0, 25)] }],
  features: [],
};
const of = (kind: 'keyway' | 'oil-groove', given: object) => {
  const { part } = addedFeature(hub, 'in', kind, 'f', given)!;
  return schedulesOf(part, TEST_BENCH).find((s) => s.id === 'f')!;
};
const value = (s: ReturnType<typeof of>, name: string): number => s.settings.find((x) => x.figure.key.endsWith(`.${name}`))!.figure.value;

it('a keyway of 8 in a bore of 25, 28.3 over: its corners touch 0.656 above the wall, so it goes 3.956 deep from there', () => {
  const s = of('keyway', { cutter: 'slotter', widthMm: 8, overMm: 28.3 });
  // Where the sides of the slot meet the bore, found by walking up them until they are outside of it.
  let y = 0;
  while (Math.hypot(4, y) < 12.5) y += 1e-5;
  expect(value(s, 'depth')).toBeCloseTo(28.3 - 12.5 - y, 3);
  expect(s.cuts).toMatchObject({ on: 'cross' });
  expect(s.cuts!.toMm.at(-1)).toBeCloseTo(value(s, 'depth'), 9);
  s.cuts!.toMm.forEach((to, i, all) => expect(to - (all[i - 1] ?? 0)).toBeLessThanOrEqual(0.1 + 1e-9));
});

it('a broach has no dial: it takes shims, and is read over the bore', () => {
  const s = of('keyway', { cutter: 'broach', widthMm: 8, overMm: 28.3 });
  expect(s.cuts).toBeNull();
  expect(value(s, 'over')).toBe(28.3);
  expect(s.words.join()).toContain('one shim more each pass');
});

it('an oil groove in a bore is drawn along it stroke by stroke', () => {
  const s = of('oil-groove', { atMm: 5, lengthMm: 30, radiusMm: 1.5, depthMm: 1 });
  expect(s.cuts!.toMm.at(-1)).toBeCloseTo(1, 9);
  expect(s.settings[0]!.on).toBe('cross');
});
