import { choiceKey } from './choices';
import { newItem, newStep } from './items';
import type { PressChoice, PressFinding, PushChoice } from './pressed';
import { NO_DETAIL, type ComponentRecord, type JobSheet, type ReadingRecord } from './records';
import { workOut, type Repair } from './repair';
import { testChoice, testInstrument, testPlace, testReading, testSheet, testShop } from './testing';

// A rod of 30, read on blocks at 50 and 650: bowed by 0.6 at 350 along 40°.
const rod: ComponentRecord = { ...testSheet().components[0]!, id: 'rod', name: 'Rod', verdict: 'repair', materialId: 'steel-c45' };
const straight = testPlace('straight', {
  ...{ componentId: 'rod', name: 'Rod', kind: 'straightness', startMm: 0, lengthMm: 700, instrumentId: 'clock' },
  detail: { ...NO_DETAIL, holding: 'v-blocks', supportsMm: [650, 50] },
});
const body = testPlace('body', { componentId: 'rod', name: 'Body', startMm: 0, lengthMm: 700, instrumentId: 'mic' });
const map = [200, 350, 500].flatMap((stationMm) =>
  [0, 90, 180, 270].map((clockDeg) => {
    const bow = 0.6 * (1 - ((stationMm - 350) / 300) ** 2);
    const valueMm = bow * Math.cos(((clockDeg - 40) * Math.PI) / 180);
    return testReading({ placeId: 'straight', quantity: 'indicator', stationMm, clockDeg, valueMm, instrumentId: 'clock' });
  }),
);
const thick = testReading({ placeId: 'body', stationMm: 350, valueMm: 30, instrumentId: 'mic' });
const shop = {
  ...testShop,
  instruments: [...testShop.instruments, testInstrument('clock', { kind: 'indicator', rangeLowMm: 0, rangeHighMm: 10 })],
};
const item = { ...newItem('rework', 'Rod', ['rod'], 0), steps: [newStep('Straighten in the press', 'rework')] };
const set = (more: Partial<PressChoice> = {}) =>
  testChoice(choiceKey.press('item'), { placeId: 'straight', supportsMm: [50, 650], diameterMm: 30, mostMm: 0.1, ...more });
const push = (n: number, pushedMm: number, totalMm: number, more: Partial<PushChoice> = {}) =>
  testChoice(choiceKey.push(`p${n}`), {
    ...{ itemId: 'item', pushedMm, totalMm, over: false, remark: '', removed: false, pushedAt: `2026-11-22T10:0${n}:00Z` },
    ...more,
  } satisfies PushChoice);

function job(choices: JobSheet['choices'] = [], more: Partial<JobSheet> = {}, readings: readonly ReadingRecord[] = []): Repair {
  const known = [testChoice(choiceKey.item('item'), item), ...choices];
  return workOut(
    testSheet({ components: [rod], places: [straight, body], choices: known, readings: [...map, thick, ...readings], ...more }),
    shop,
  );
}
const press = (r: Repair): PressFinding => r.items.find((i) => i.item.id === 'item')!.press!;

describe('a bent part at the press', () => {
  it('lies on its blocks with the high side up, and is pushed to where it begins to yield', () => {
    const found = press(job());
    expect(found).toMatchObject({ said: false, upDeg: 40, setting: { supportsMm: [50, 650], mostMm: 0.1 } });
    expect(found.setting.diameterMm).toBeCloseTo(30, 6);
    expect(found.totalMm).toBeCloseTo(1.2, 6);
    // C45 of the book: sigma L²/6 E D and 4 sigma pi D³/32 L, worked out beside the code for 600 between the blocks.
    const [sigma, young] = [340, 210_000];
    expect(found.elasticMm! / ((sigma * 600 ** 2) / (6 * young * 30))).toBeCloseTo(1, 1);
    expect(found.forceN! / ((4 * sigma * Math.PI * 30 ** 3) / 32 / 600)).toBeCloseTo(1, 1);
    expect(found.advice).toMatchObject({ state: 'press', pushMm: found.elasticMm });
    expect(found.sentences[0]).toBe(
      'On blocks at 50 mm and 650 mm, 40° up, the press at 350 mm. Zero the indicator under it where it lies free.',
    );
  });

  it('learns from what came back, and turns it round where it went over', () => {
    const once = press(job([set(), push(1, 4, 1.0)]));
    // 4 down, the bow went from 0.6 to 0.5: 3.9 came back, 0.5 is left.
    expect(once.log[0]).toMatchObject({ beforeMm: expect.closeTo(0.6, 6), afterMm: 0.5 });
    expect(once.advice!.pushMm).toBeCloseTo(3.9 + 0.5, 6);
    const over = press(job([set(), push(1, 4, 1.0), push(2, 5, 0.3, { over: true })]));
    expect(over).toMatchObject({ upDeg: 220, advice: { state: 'over' } });
    expect(over.totalMm).toBeCloseTo(0.3, 9);
    expect(over.sentences[0]).toContain('turn it round');
    // Taken back it counts no more.
    expect(press(job([set(), push(1, 4, 1.0, { removed: true })])).log).toEqual([]);
    expect(press(job([set(), push(1, 4, 1.0, { itemId: 'another' })])).log).toEqual([]);
  });

  it('is straight within what was asked, and proved so by an indicator', () => {
    const repair = job([set(), push(1, 4, 0.08)]);
    expect(press(repair).advice).toMatchObject({ state: 'straight', pushMm: null });
    const own = repair.items.find((i) => i.item.id === 'item')!;
    expect(own.part!.dimensions.map((d) => [d.dimension.key, d.limits, d.mustProve])).toEqual([
      ['straight.straight', { lowerMm: 0, upperMm: 0.1 }, true],
    ]);
    const [proof] = own.pieces[0]!.proofs;
    expect(proof).toMatchObject({ gauged: false, plan: { reads: 'indicator' } });
    // Nothing of it is cut: nothing is released.
    expect(repair.stations.find((s) => s.id === 'plan')!.state).toBe('not-needed');
    expect(repair.stations.find((s) => s.id === 'cut')!.waitsFor).toBe('straighten in the press');
  });

  it('is not pressed cold where it would break, and says what it lacks', () => {
    const iron = press(job([], { components: [{ ...rod, materialId: 'iron-grey' }] }));
    expect(iron.advice).toBeNull();
    expect(iron.refused).toContain('breaks without yielding');
    const seen = { surface: '', hardness: 58, scale: 'HRC', clockDeg: null, timedToPlaceId: null };
    expect(press(job([testChoice(choiceKey.seen('body'), seen)])).refused).toContain('58 HRC at body');
    expect(press(job([set({ supportsMm: [400, 650] })])).sentences[0]).toContain('has to lie between the blocks');
    const bare = workOut(
      testSheet({ components: [rod], places: [straight], choices: [testChoice(choiceKey.item('item'), item)], readings: map }),
      shop,
    );
    expect(press(bare).sentences[0]).toContain('how thick it is');
    // A rod that nobody read along has no bend to go by.
    expect(
      workOut(testSheet({ components: [rod], places: [straight], choices: [testChoice(choiceKey.item('item'), item)], readings: [] }), shop)
        .items[0]!.press,
    ).toBeNull();
  });

  it('stops before its surface is torn', () => {
    const thickRod = press(job([set({ diameterMm: 120 }), push(1, 40, 1.1), push(2, 60, 1.0)]));
    expect(thickRod.advice!.pushMm).toBeNull();
    expect(thickRod.sentences.at(-1)).toMatch(/stretched by \d+\.\d %/);
  });
});
