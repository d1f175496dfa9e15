import { addedFeature } from '../drawing';
import { newPart, surface, type FeatureKindId, type Part } from '../part';
import { afterTurning } from './after-turning';
import type { AfterHoldId, AfterId } from './after-hold-ids';
import { heldWords, holdsAfter, isTurned } from './held-after';
import { TEST_LATHE } from './testing-lathe';
import { workOf } from './work';

const shaft = (lengthMm = 100): Part => ({
  ...newPart('plain-pin', 'Shaft', 40, lengthMm),
  features: [],
  outside: [surface('a', 'cylinder', 'Long', lengthMm - 30, 40), surface('b', 'cylinder', 'End', 30, 30)],
});
type Added = readonly [FeatureKindId, string, object];
const made = (part: Part, ...features: readonly Added[]): Part =>
  features.reduce((p, [kind, on, own], i) => addedFeature(p, on, kind, `f${i}`, own)!.part, part);
const choices = (after: AfterId, part: Part, unit: 'mm' | 'in' = 'mm', lathe = TEST_LATHE) => {
  const work = workOf(part, lathe, 45, unit);
  return holdsAfter(
    after,
    work,
    work.cuts.filter((c) => c.id.startsWith('f')),
  );
};
const KEY: Added = ['keyseat', 'a', {}];
const KEY_90: Added = ['keyseat', 'b', { clockDeg: 90 }];

it('one keyseat, or several in one line: what is set up soonest; at several angles what is indexed', () => {
  expect(choices('lying', made(shaft(), KEY))[0]).toMatchObject({ id: 'v-vise', gives: '' });
  expect(choices('lying', made(shaft(), KEY, ['keyseat', 'b', {}]))[0]).toMatchObject({ id: 'v-vise', gives: '' });
  expect(choices('lying', made(shaft(), KEY, KEY_90))[0]!.id).toBe('dividing-head');
  expect(choices('lying', made(shaft(), ['flats', 'b', { count: 6, acrossMm: 24 }]))[0]!.id).toBe('dividing-head');
});

it('tells an angle as a distance where it is cut: a chord of that circle', () => {
  const v = choices('lying', made(shaft(), KEY, KEY_90)).find((c) => c.id === 'v-block')!;
  // Both ends of a chord of half a degree on 40 across.
  const [x, y] = [20 * Math.cos(Math.PI / 360) - 20, 20 * Math.sin(Math.PI / 360)];
  expect(v.gives).toBe(`angles to 0.5°, ${Math.hypot(x, y).toFixed(3)} mm at its surface`);
});

it('what may be off by more than the drawing allows comes last and says so', () => {
  const timed = made(shaft(), KEY, ['keyseat', 'b', { clockDeg: 90, timedTo: 'f0' }]);
  const within = (deg: number) =>
    choices('lying', { ...timed, limits: { 'f1.clock': { text: `±${deg}`, lowerDev: -deg, upperDev: deg } } });
  expect(
    within(0.2)
      .filter((c) => c.tooMuch)
      .map((c) => c.id),
  ).toEqual(['v-vise', 'v-block']);
  // A degree is allowed: the quickest will do.
  expect(within(1)[0]!.id).toBe('v-vise');
});

it('what will not do says why', () => {
  const why = (after: AfterId, part: Part): Partial<Record<AfterHoldId, string>> =>
    Object.fromEntries(choices(after, part).flatMap((c) => (c.cannot ? [[c.id, c.cannot]] : [])));
  expect(why('lying', made(shaft(500), KEY))).toMatchObject({
    'v-vise': expect.stringContaining('chatters'),
    'notch-fixture': expect.any(String),
  });
  const eccentric = (throwMm: number): Part => made(shaft(), ['eccentric', 'b', { throwMm, diameterMm: 10 }]);
  expect(why('beside', eccentric(3))['beside-centres']).toBeUndefined();
  // 15 to the outside of the end, less the throw, leaves less than 4 round the centre.
  expect(why('beside', eccentric(11.5))['beside-centres']).toContain('30.000 mm across');
  // A bore beside the axis takes its own centre away.
  const bored = made(shaft(), ['eccentric-bore', 'b', { end: 'right', diameterMm: 8, throwMm: 3 }]);
  expect(why('beside', bored)['beside-centres']).toContain('takes its centre away');
  // 40 across and 8 off swings 56.
  const wide = (throwMm: number): string => choices('beside', eccentric(throwMm), 'mm', { ...TEST_LATHE, swingMm: 55 })[0]!.cannot;
  expect(wide(8)).toContain('swings 56');
  expect(wide(7)).toBe('');
});

it('what is made in an end stands on its other one, and is a holding of its own', () => {
  const part = made(shaft(), KEY, ['hole-pattern', 'b', { end: 'right', count: 3, circleMm: 20, diameterMm: 4, depthMm: 8 }]);
  const after = afterTurning(workOf(part, TEST_LATHE, 45, 'mm'));
  expect(after.map((s) => [s.title, s.cuts])).toEqual([
    ['Across the axis, on the mill', ['f0']],
    ['In the far end, on the mill', ['f1']],
  ]);
  expect(after[1]!.after!.choices.map((c) => c.id).sort()).toEqual(['angle-plate', 'rotary-table', 'stood-in-v']);
});

it('is held as somebody said; an eccentric swings twice its throw', () => {
  const part = made(shaft(), ['eccentric', 'b', { throwMm: 3, diameterMm: 20 }]);
  const work = workOf(part, TEST_LATHE, 45, 'mm', { afterHolds: ['beside-packing', 'v-block'] });
  const [beside] = afterTurning(work);
  expect(beside).toMatchObject({ after: { chosen: 'beside-packing' }, holding: 'three-jaw', settingMin: 10 });
  expect(beside!.hold).toContain('eccentric stretch 6.000 mm');
  expect(heldWords('v-block', work, [])).toBe('Two V-blocks and clamps');
  expect(isTurned(work, work.cuts)).toBe(false);
});

it('beside the axis only as this lathe can', () => {
  const part = made(shaft(), ['eccentric', 'b', { throwMm: 3, diameterMm: 20 }]);
  const lathe = { ...TEST_LATHE, holdings: [{ kind: 'three-jaw' as const, runOutMm: null }] };
  const work = workOf(part, lathe, 45, 'mm');
  const all = holdsAfter('beside', work, work.cuts);
  expect(all[0]).toMatchObject({ id: 'beside-packing', cannot: '' });
  expect(all.find((c) => c.id === 'beside-four-jaw')!.cannot).toBe('Lathe has no four-jaw chuck on its card.');
});

it('a throw with limits of its own is not left to packing', () => {
  const part = made(shaft(), ['eccentric', 'b', { throwMm: 3, diameterMm: 20 }]);
  const within = (mm: number) => choices('beside', { ...part, limits: { 'f0.throw': { text: `±${mm}`, lowerDev: -mm, upperDev: mm } } });
  expect(choices('beside', part)[0]!.id).toBe('beside-packing');
  expect(within(0.03)[0]!.id).toBe('beside-centres');
  expect(
    within(0.03)
      .filter((c) => c.tooMuch)
      .map((c) => c.id),
  ).toEqual(['beside-packing']);
});
