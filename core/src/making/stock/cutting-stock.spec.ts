import { seededRandom } from '../../evidence/proof';
import { cutStock, cutStockNow, type BlankNeed, type CuttingPlan, type SawOptions, type StockBar } from './cutting-stock';

const SAW: SawOptions = { sawMm: 2.5, keepMm: 40 };

/** What a plan costs, told from the plan alone, and whether it can be sawn at all. */
function audited(plan: CuttingPlan, needs: readonly BlankNeed[], bars: readonly StockBar[], { sawMm, keepMm }: SawOptions): number[] {
  const left = new Map(needs.map((n) => [n.id, n.count]));
  const stock = new Map(bars.map((b) => [b.id, b.pieces]));
  let [used, lost] = [0, 0];
  for (const { barId, blanks, restMm } of plan.bars) {
    const bar = bars.find((b) => b.id === barId)!;
    stock.set(barId, stock.get(barId)! - 1);
    expect(stock.get(barId)).toBeGreaterThanOrEqual(0);
    const lengths = blanks.map((id) => {
      const need = needs.find((n) => n.id === id)!;
      expect(need.barIds).toContain(barId);
      left.set(id, left.get(id)! - 1);
      return need.lengthMm;
    });
    const cut = lengths.reduce((a, b) => a + b, 0);
    // The last blank may end where the bar ends.
    expect(cut - sawMm).toBeLessThanOrEqual(bar.lengthMm + 1e-6);
    expect(restMm).toBeCloseTo(Math.max(0, bar.lengthMm - cut), 6);
    used += bar.sectionMm2 * cut;
    lost += bar.sectionMm2 * (bar.lengthMm * bar.lengthMm - (restMm < keepMm ? 0 : restMm * restMm));
  }
  for (const id of plan.short) left.set(id, left.get(id)! - 1);
  expect([...left.values()].every((n) => n === 0)).toBe(true);
  return [plan.short.length, used, lost];
}

/** Every way to hand the blanks out, one after another, and the least of them: nothing is left out. */
function exhaustive(needs: readonly BlankNeed[], bars: readonly StockBar[], o: SawOptions): number[] {
  const blanks = needs.flatMap((n) => Array.from({ length: n.count }, () => n));
  const single = bars.flatMap((b) => Array.from({ length: b.pieces }, () => b));
  let least: number[] | null = null;
  const to: (number | null)[] = [];
  const go = (i: number): void => {
    if (i < blanks.length) {
      for (const at of [null, ...single.keys()]) {
        if (at !== null && !blanks[i]!.barIds.includes(single[at]!.id)) continue;
        to[i] = at;
        go(i + 1);
      }
      return;
    }
    let [used, lost] = [0, 0];
    for (const [at, bar] of single.entries()) {
      const cut = blanks.reduce((sum, b, k) => sum + (to[k] === at ? b.lengthMm : 0), 0);
      if (cut === 0) continue;
      if (cut - o.sawMm > bar.lengthMm + 1e-6) return;
      const rest = Math.max(0, bar.lengthMm - cut);
      used += bar.sectionMm2 * cut;
      lost += bar.sectionMm2 * (bar.lengthMm * bar.lengthMm - (rest < o.keepMm ? 0 : rest * rest));
    }
    const short = to.slice(0, blanks.length).filter((x) => x === null).length;
    const cost = [short, used, lost];
    const differs = least === null ? 0 : cost.findIndex((x, k) => Math.abs(x - least![k]!) > 1e-6 * Math.max(1, x));
    if (least === null || (differs >= 0 && cost[differs]! < least[differs]!)) least = cost;
  };
  go(0);
  return least!;
}

it('costs what the cheapest of all ways costs, on random small racks', () => {
  const random = seededRandom(14);
  const between = (a: number, b: number): number => Math.round(a + (b - a) * random());
  let several = 0;
  for (let trial = 0; trial < 250; trial++) {
    const bars = Array.from({ length: between(1, 3) }, (_, i): StockBar => ({
      ...{ id: `b${i}`, lengthMm: between(80, 420), pieces: between(1, 2) },
      sectionMm2: [314, 707, 1257][between(0, 2)]!,
    }));
    const needs = Array.from({ length: between(1, 3) }, (_, i): BlankNeed => ({
      ...{ id: `n${i}`, lengthMm: between(40, 200), count: between(1, 2) },
      barIds: bars.filter(() => random() < 0.75).map((b) => b.id),
    }));
    const plan = cutStockNow(needs, bars, SAW);
    expect(plan.proven).toBe(true);
    const cost = audited(plan, needs, bars, SAW);
    exhaustive(needs, bars, SAW).forEach((x, k) => expect([trial, k, cost[k]]).toEqual([trial, k, expect.closeTo(x, 4)]));
    if (plan.bars.length > 1) several++;
  }
  expect(several).toBeGreaterThan(80);
});

it('takes offcuts before it begins a long bar, though the long bar would hold all', () => {
  const bars = [400, 130, 95].map((lengthMm) => ({ id: `${lengthMm}`, lengthMm, pieces: 1, sectionMm2: 1 }));
  const barIds = bars.map((b) => b.id);
  const needs = [
    { id: '120', lengthMm: 122.5, count: 2, barIds },
    { id: '85', lengthMm: 87.5, count: 1, barIds },
    { id: '60', lengthMm: 62.5, count: 1, barIds },
  ];
  const plan = cutStockNow(needs, bars, SAW);
  expect(Math.max(...plan.bars.map((b) => b.restMm))).toBeCloseTo(215, 9);
});

it('uses up what is short before a whole bar is begun, and a blank may end where the bar ends', () => {
  const bars = [
    { id: 'new', lengthMm: 3000, pieces: 4, sectionMm2: 700 },
    { id: 'off', lengthMm: 160, pieces: 1, sectionMm2: 700 },
  ];
  const all = bars.map((b) => b.id);
  const plan = cutStockNow([{ id: 'pin', lengthMm: 162.5, count: 1, barIds: all }], bars, SAW);
  expect(plan.bars).toEqual([{ barId: 'off', blanks: ['pin'], restMm: 0 }]);
  expect(cutStockNow([{ id: 'pin', lengthMm: 162.6, count: 1, barIds: all }], bars, SAW).bars[0]!.barId).toBe('new');
});

it('two long ones that only fit one way are found where the tightest fit is the wrong one', () => {
  // 300 and 260 take 140 + 160 and 130 + 130; best fit decreasing puts 160 with 130 and is left with 140 and 130 for 260.
  const bars = [
    { id: 'a', lengthMm: 300, pieces: 1, sectionMm2: 700 },
    { id: 'b', lengthMm: 260, pieces: 1, sectionMm2: 700 },
  ];
  const barIds = ['a', 'b'];
  const needs = [
    { id: '160', lengthMm: 160, count: 1, barIds },
    { id: '140', lengthMm: 140, count: 1, barIds },
    { id: '130', lengthMm: 130, count: 2, barIds },
  ];
  expect(cutStockNow(needs, bars, { sawMm: 0, keepMm: 0 }).short).toEqual([]);
});

it('tells how far it is, and stops unproven with a way that can be sawn', () => {
  const random = seededRandom(3);
  const bars = Array.from({ length: 9 }, (_, i) => ({ id: `b${i}`, lengthMm: 700 + 300 * random(), pieces: 1, sectionMm2: 700 }));
  const barIds = bars.map((b) => b.id);
  const needs = Array.from({ length: 30 }, (_, i) => ({ id: `n${i}`, lengthMm: 120 + 160 * random(), count: 1, barIds }));
  const steps = cutStock(needs, bars, SAW, 20_000);
  const told: number[] = [];
  let step = steps.next();
  for (; !step.done; step = steps.next()) told.push(step.value);
  expect(told.length).toBeGreaterThan(5);
  expect(step.value.proven).toBe(false);
  audited(step.value, needs, bars, SAW);
});

it('nothing to saw, and nothing to saw it from', () => {
  expect(cutStockNow([], [], SAW)).toEqual({ bars: [], short: [], proven: true });
  expect(cutStockNow([{ id: 'pin', lengthMm: 50, count: 2, barIds: [] }], [], SAW)).toEqual({
    bars: [],
    short: ['pin', 'pin'],
    proven: true,
  });
});
