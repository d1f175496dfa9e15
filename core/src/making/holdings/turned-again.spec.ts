import { TEST_LATHE } from './testing-lathe';
import { standsAgain, turnedAgainWays, type TurnedAgainId, type TurnedAgainWork } from './turned-again';

const WORK: TurnedAgainWork = { diameterMm: 40, thickestMm: 60, longMm: 320, overhangMm: 50 };
const of = (own: Partial<TurnedAgainWork>, lathe: typeof TEST_LATHE | null = TEST_LATHE) =>
  turnedAgainWays({ ...WORK, ...own }, lathe, 'mm');
const why = (id: TurnedAgainId, own: Partial<TurnedAgainWork>, lathe: typeof TEST_LATHE | null = TEST_LATHE): string =>
  of(own, lathe).find((w) => w.id === id)!.cannot;

it('a shaft runs on its own centres first; one that is longer than the lathe takes is held in the jaws', () => {
  expect(of({})[0]!.id).toBe('centres');
  const long = of({ longMm: 761 });
  expect(long.map((w) => [w.id, w.cannot === '']).filter(([, will]) => will)).toEqual([
    ['jaws', true],
    ['jaws-steady', true],
  ]);
  expect(why('centres', { longMm: 761 })).toBe('It is 761 mm long, and Lathe takes 760 mm between centres.');
});

it('in the jaws alone it stands out no more than three times its thickness; with a centre no more than ten', () => {
  expect([120, 121].map((overhangMm) => why('jaws', { overhangMm }) === '')).toEqual([true, false]);
  expect([400, 401].map((longMm) => why('jaws-centre', { longMm }) === '')).toEqual([true, false]);
});

it('what does not clear the bed, and what the lathe has not on its card, is said', () => {
  for (const w of of({ thickestMm: 331 })) expect(w.cannot).toContain('Lathe swings 330 mm');
  for (const w of of({}, null)) expect(w.cannot).toContain('no lathe');
  const only = { ...TEST_LATHE, holdings: [{ kind: 'four-jaw', runOutMm: 0.03 }] } as typeof TEST_LATHE;
  expect(of({}, only).map((w) => [w.id, w.cannot.includes('on its card')])).toEqual([
    ['jaws-centre', false],
    ['jaws', false],
    ['centres', true],
    ['jaws-steady', true],
  ]);
  expect(of({}, only)[0]!.gives).toContain('0.030 mm');
});

it('stands as it is held: between centres all of it bends, in the jaws what stands out, beside a steady nothing', () => {
  expect(standsAgain('centres', WORK)).toMatchObject({ held: 'centres', freeMm: 320 });
  expect(standsAgain('jaws-centre', WORK)).toMatchObject({ held: 'chuck and centre', freeMm: 320 });
  expect(standsAgain('jaws', WORK)).toMatchObject({ held: 'chuck', freeMm: 50 });
  expect(standsAgain('jaws-steady', WORK)).toBeNull();
});
