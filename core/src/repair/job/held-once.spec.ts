import { surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { newItem } from './items';
import { usualPlan, type PlanFinding } from './plan-finding';
import { workOut } from './repair';
import { sawNeeds } from './saw-need';
import { testBar, testChoice, testReading, testSheet, testShop } from './testing';
import type { JobSheet, Shop } from './records';

const IN = 25.4;
/** A flanged bush 1.40 in long, 1 3/4 across. */
const BUSH: Part = {
  ...{ name: 'Bush', materialId: 'bronze-leaded', limits: {}, features: [], block: null },
  outside: [surface('flange', 'cylinder', 'Flange', 0.19 * IN, 1.75 * IN), surface('body', 'cylinder', 'Body', 1.21 * IN, 1.2523 * IN)],
  bores: [{ id: 'bore', from: 'near', through: true, surfaces: [surface('hole', 'cylinder', 'Bore', 0, 1.0025 * IN)] }],
};
const bar = (lengthMm: number, more = {}) => testBar('b', { materialId: 'bronze-leaded', diameterMm: 1.875 * IN, lengthMm, ...more });

function job(
  quantity: number,
  rack: Shop['rack'],
  {
    spindleBoreMm = null as number | null,
    choices = [] as JobSheet['choices'],
    readings = [] as JobSheet['readings'],
    way = 'bar',
    part = BUSH,
  } = {},
) {
  const known = [
    testChoice(choiceKey.item('job'), { ...newItem('make', 'Bush', [], -1), quantity }),
    testChoice(choiceKey.part, part),
    testChoice(choiceKey.plan, { ...usualPlan(testShop.lathes[0]!), barId: 'b', way }),
    ...choices,
  ];
  const shop = { ...testShop, rack, lathes: [{ ...testShop.lathes[0]!, spindleBoreMm }] };
  const sheet = testSheet({ choices: known, readings });
  const repair = workOut(sheet, shop);
  return { repair, sheet, plan: repair.items.find((i) => i.item.id === 'job')!.plan! };
}
const off = (p: PlanFinding) => [p.off.perBlank, p.off.fromBar];

describe('pieces cut off one after another', () => {
  it('one from each blank where the blank is held at both its ends', () => {
    const pin: Part = {
      ...BUSH,
      bores: [],
      outside: [surface('a', 'cylinder', 'Seat', 60, 20), surface('b', 'cylinder', 'Body', 140, 30)],
    };
    const long = testBar('b', { materialId: 'bronze-leaded', diameterMm: 34, lengthMm: 3000 });
    const perBlank = (way: string) => job(4, [long], { way, spindleBoreMm: 60, part: pin }).plan.off.perBlank;
    expect([perBlank('bar'), perBlank('centres-long')]).toEqual([4, 1]);
    const once = job(4, [long], { way: 'centres-long', spindleBoreMm: 60, part: pin }).plan.setUps.flatMap((s) => s.schedules);
    expect(once.flatMap((s) => s.settings.map((x) => x.figure.label)).join()).not.toContain('pulled out');
  });

  it('the first of a batch stands out on all that follow, unless the bar is drawn out for each', () => {
    const standing = (quantity: number, spindleBoreMm: number | null): number =>
      job(quantity, [bar(11 * IN)], { spindleBoreMm }).plan.setUps.find((s) => s.setUp.partsOff)!.setUp.overhangMm;
    expect(standing(1, null)).toBeCloseTo(35.56, 9);
    // By hand: five more of 35.56 with 2 faced and a part-off of 3.
    expect(standing(6, null)).toBeCloseTo(35.56 + 5 * 40.56, 9);
    expect(standing(6, 60)).toBeCloseTo(35.56, 9);
  });

  it('six bushes of 1.40 in come out of 11 in of bar that is held once, and no seventh', () => {
    const { plan, repair, sheet } = job(6, [bar(11 * IN)]);
    expect(off(plan)).toEqual([6, 6]);
    // By hand: 6 x (35.56 + 2 + 3) + 25 + 2.5.
    expect(plan.need.length.value).toBeCloseTo(6 * 40.56 + 27.5, 6);
    // 1 7/8 sticks out 243: five diameters.
    expect(plan.off.mind).toMatch(/stands 244 mm out of the chuck, 5\.1 diameters/);
    expect(sawNeeds(repair.items, sheet)[0]).toMatchObject({ left: 1, each: 6, fit: { lengthMm: expect.closeTo(270.86, 2) } });
    // A seventh, for the one that is scrapped, is sawn alone, and the rest of the bar is too short for it.
    const scrapped = [
      testChoice(choiceKey.sawn('job'), { blanks: 1, pieces: 6 }),
      testChoice(choiceKey.piece('job', 2), { scrapped: true, why: 'too deep' }),
    ];
    const again = job(6, [bar(11 * IN - 270.86)], { choices: scrapped });
    expect(sawNeeds(again.repair.items, again.sheet)[0]).toMatchObject({ left: 1, each: 1, fit: { lengthMm: expect.closeTo(68.06, 2) } });
    // The plan says so too: before anything is sawn, and of what is left of the bar; not while the bar gives it.
    expect(plan.off.again).toBe('');
    expect(again.plan.off.again).toContain('1 piece is scrap and made again: blanks for 1 are still to be sawn, and this bar gives 0.');
    const unsawn = (lengthMm: number) => job(6, [bar(lengthMm)], { choices: scrapped.slice(1) }).plan.off.again;
    expect(unsawn(11 * IN)).toContain('blanks for 7 are still to be sawn, and this bar gives 6.');
    expect(unsawn(14 * IN)).toBe('');
  });

  it('counts against cutting a bar up by hand, whatever its length', () => {
    for (let mm = 60; mm < 1400; mm += 7) {
      const [per, from] = off(job(6, [bar(mm)]).plan);
      // Blanks of so many off one end, then what the last rest still gives.
      let [rest, count] = [mm, 0];
      while (rest >= per! * 40.56 + 25 - 1e-9) {
        count += per!;
        rest -= per! * 40.56 + 27.5;
      }
      for (let k = per! - 1; k > 0; k--)
        if (rest >= k * 40.56 + 25 - 1e-9) {
          count += k;
          break;
        }
      expect([mm, from]).toEqual([mm, mm < 65.56 ? 0 : count]);
    }
  });

  it('through the spindle as many as there are; else no more than a steady holds, in blanks alike', () => {
    expect(job(30, [bar(3000)], { spindleBoreMm: 52 }).plan.off).toMatchObject({ perBlank: 30, mind: '' });
    // Ten diameters are 476 mm: eleven at most, so thirty are three times ten.
    expect(job(30, [bar(3000)], { spindleBoreMm: 40 }).plan.off.perBlank).toBe(10);
    expect(job(1, [bar(3000)]).plan.off).toMatchObject({ perBlank: 1, mind: '' });
    // Sawn to length it is one by one.
    expect(job(6, [bar(3000)], { way: 'round-chuck' }).plan.off.perBlank).toBe(1);
  });

  it('one more than a blank gives is two alike, not two whole ones', () => {
    const scrapped = [testChoice(choiceKey.piece('job', 2), { scrapped: true, why: 'too deep' })];
    const { repair, sheet } = job(6, [bar(11 * IN)], { choices: scrapped });
    expect(sawNeeds(repair.items, sheet)[0]).toMatchObject({ left: 2, each: 4, fit: { lengthMm: expect.closeTo(4 * 40.56 + 27.5, 6) } });
  });

  it('what is begun has its metal', () => {
    const reading = testReading({ purpose: 'cut', segmentId: 'body', itemId: 'job', piece: 1, valueMm: 40 });
    const { repair, sheet } = job(4, [bar(1000)], { readings: [reading] });
    expect(sawNeeds(repair.items, sheet)[0]).toMatchObject({ left: 1, each: 3 });
  });
});
