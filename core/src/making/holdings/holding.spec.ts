import { HOLDINGS, lacks, runOutOf } from './holding';

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
  expect(lacks('soft-jaws', lathe)).toBe('');
  expect(lacks('mandrel', lathe)).toBe('');
  expect(lacks('collet', lathe)).toContain('has no collet on its card');
  expect(lacks('collet', { name: 'Lathe', holdings: [] })).toBe('');
});
