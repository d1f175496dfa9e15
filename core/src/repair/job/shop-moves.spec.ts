import { choiceKey } from './choices';
import { movedByShop } from './shop-moves';
import { testChoice, testReading, testSheet, testShop } from './testing';

const readings = [0, 45, 90, 135].map((clockDeg) => testReading({ placeId: 'barrel', stationMm: 5, clockDeg, valueMm: 40.2 }));
const runs = testChoice(choiceKey.runs('barrel'), { kind: 'running-grease' });
const wider = (id: string) => ({
  ...testShop,
  houseRules: testShop.houseRules.map((r) => (r.id === id ? { ...r, baseMm: r.baseMm + 0.02 } : r)),
});

it('names the clearance and both limits that a changed rule moves', () => {
  const moved = movedByShop(testSheet({ readings, choices: [runs] }), testShop, wider('grease'));
  expect(moved!.moves.map((m) => [m.label.split(': ')[1], Math.round(1000 * (m.afterMm! - m.beforeMm!))])).toEqual([
    ['running clearance', 20],
    ['largest the new part may be', -20],
    ['smallest the new part may be', -20],
  ]);
});

it('is silent about a rule that the job does not use, and about no change', () => {
  expect(movedByShop(testSheet({ readings, choices: [runs] }), testShop, wider('close'))).toBeNull();
  expect(movedByShop(testSheet({ readings }), testShop, testShop)).toBeNull();
  expect(movedByShop(testSheet({ readings: [] }), testShop, wider('grease'))).toBeNull();
});

it('says when a withdrawn rule leaves a number that cannot be worked out', () => {
  const choices = [testChoice(choiceKey.fit('barrel'), { schoolId: 'close', hole: 'keep', truedMm: null })];
  const without = { ...testShop, houseRules: testShop.houseRules.filter((r) => r.id !== 'close') };
  const moved = movedByShop(testSheet({ readings, choices }), testShop, without);
  expect(moved!.moves.every((m) => m.afterMm === null && m.beforeMm !== null)).toBe(true);
});
