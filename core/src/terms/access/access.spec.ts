import { ACCESSES, ACTS, actOfChoice, may, mayNotWords, whoMay, type Act } from '.';

it('the owner may everything, whoever looks on nothing but look, and nobody nothing', () => {
  const acts = Object.keys(ACTS) as Act[];
  expect(acts.filter((a) => !may('owner', a))).toEqual([]);
  expect(acts.filter((a) => may('reader', a))).toEqual(['look']);
  expect(acts.filter((a) => may(null, a))).toEqual([]);
});

it('what an apprentice may a machinist may too', () => {
  for (const act of Object.keys(ACTS) as Act[]) expect([act, may('apprentice', act) && !may('machinist', act)]).toEqual([act, false]);
});

it('says why not, and who may', () => {
  expect(mayNotWords('apprentice', 'quote')).toBe('As “apprentice” you may not send quotes. Who may: owner, machinist, front desk.');
  expect(mayNotWords('reader', 'bench')).toContain('As somebody who looks on you may not');
  for (const act of Object.keys(ACTS) as Act[]) expect(whoMay(act)[0]).toBe('Owner');
  expect(ACCESSES).toHaveLength(5);
});

it('tells a hand-over or a signature from the work itself', () => {
  expect(['part', 'fit:x', 'returned', 'caution:vessel', 'urgency', 'toString:x'].map(actOfChoice)).toEqual([
    'bench',
    'bench',
    'release',
    'release',
    'order',
    'bench',
  ]);
});
