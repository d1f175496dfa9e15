import { mirrored, newPart, surface, type Part } from '../../part';
import type { Lathe } from '../../setups';
import { workOf } from '../work';
import { fallsMm, fromTheBar } from './from-the-bar';

const lathe: Lathe = {
  ...{ id: 'l', name: 'Lathe', readout: null, gearsRpm: [100], swingMm: 330, centresMm: 760 },
  cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
  carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
};
const part = (...sizes: readonly (readonly [diameter: number, length: number])[]): Part => ({
  ...newPart('plain-pin', 'Peg', 20, 40),
  outside: sizes.map(([d, l], i) => surface(`s${i}`, 'cylinder', `Step ${i}`, l, d)),
  features: [],
});
function first(p: Part) {
  const planned = fromTheBar.plan(workOf(p, lathe, 45, 'mm'));
  if (!planned.ok) throw new Error(planned.problems[0]!.message);
  return planned.value[0]!;
}

it('the thicker end stays at the bar, whichever way round it is drawn', () => {
  const peg = part([18, 20], [20.2, 15]);
  expect(first(peg)).toMatchObject({ fromFarEnd: false, zeroFace: 'zero end, far end towards the chuck' });
  expect(first(mirrored(peg))).toMatchObject({ fromFarEnd: true, zeroFace: 'far end, zero end towards the chuck' });
});

it('a shaft that falls as much either way is turned from its far end', () => {
  const shaft = part([20, 20], [30, 40], [20, 20]);
  expect([fallsMm(workOf(shaft, lathe, 45, 'mm').outside, 'near'), fallsMm(workOf(shaft, lathe, 45, 'mm').outside, 'far')]).toEqual([
    10, 10,
  ]);
  expect(first(shaft).fromFarEnd).toBe(true);
});

it('of a shaft with a collar the end with the deeper shoulder behind it is at the bar', () => {
  // From the left: up by 10 to the collar, down by 4 behind it.
  expect(first(part([20, 20], [30, 10], [26, 40])).fromFarEnd).toBe(false);
});
