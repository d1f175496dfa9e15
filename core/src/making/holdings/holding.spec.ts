import { HOLDINGS, hasHolding, runOutOf } from './holding';

const lathe = {
  name: 'Gap-bed lathe',
  holdings: [
    { kind: 'three-jaw', runOutMm: 0.12 },
    { kind: 'centres', runOutMm: null },
  ],
} as const;

it('what this lathe’s own holding was measured to run out comes before the usual', () => {
  expect(runOutOf('three-jaw', lathe)).toEqual({ mm: 0.12, source: 'record of Gap-bed lathe' });
  expect(runOutOf('centres', lathe)).toEqual({ mm: HOLDINGS.centres.runOutMm, source: 'usual' });
});

it('the surer a holding is the longer it takes, from the three-jaw on', () => {
  const { 'three-jaw': three, 'soft-jaws': soft, 'four-jaw': four } = HOLDINGS;
  expect(three.runOutMm).toBeGreaterThan(soft.runOutMm);
  expect(soft.runOutMm).toBeGreaterThan(four.runOutMm);
  expect(three.minutes).toBeLessThan(Math.min(soft.minutes, four.minutes));
});

it('soft jaws go on a three-jaw chuck, a mandrel between centres; a lathe of which nothing was said has them all', () => {
  expect(hasHolding('soft-jaws', lathe)).toBe(true);
  expect(hasHolding('mandrel', lathe)).toBe(true);
  expect(hasHolding('collet', lathe)).toBe(false);
  expect(hasHolding('collet', { holdings: [] })).toBe(true);
});
