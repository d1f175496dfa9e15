import { normalDraws, seededRandom } from '../../evidence/proof';
import { FINDINGS, ROUTE_IDS, ROUTES, type FindingId } from '../../evidence/diagnosis';
import { materialOf } from '../../book/materials';
import { explain } from '../../terms/working';
import { actMinutes } from './act-minutes';
import { COST_ACT_IDS, COST_ACTS } from './cost-acts.data';
import { priceOf, type PriceInput } from './price';
import type { Rates } from './rates';
import { readyOn } from './ready-on';
import { ROUTE_TAKES } from './route-takes.data';
import { deviationOf3, meanOf3, together, type ThreePoint } from './spread';
import { actTook, tookBy, type TookRow } from './took';

const Z90 = 1.2815515655446004;
const lognormal = (median: number, s: number): ThreePoint => ({
  low: median * Math.exp(-Z90 * s),
  likely: median,
  high: median * Math.exp(Z90 * s),
});
const quantile = (sorted: readonly number[], q: number): number => sorted[Math.floor(q * sorted.length)]!;

describe('spans', () => {
  it.each([0.1, 0.25, 0.4])('mean and spread of three points are those of a skewed span, s = %d', (s) => {
    const mean = Math.exp((s * s) / 2);
    expect(meanOf3(lognormal(1, s)) / mean).toBeCloseTo(1, 1.5);
    expect(deviationOf3(lognormal(1, s)) / (mean * Math.sqrt(Math.exp(s * s) - 1))).toBeGreaterThan(0.9);
    expect(deviationOf3(lognormal(1, s)) / (mean * Math.sqrt(Math.exp(s * s) - 1))).toBeLessThan(1.05);
  });

  it('acts that err together come to the span that drawing them ten thousand times gives', () => {
    const draw = normalDraws(seededRandom(41));
    const acts = [lognormal(45, 0.3), lognormal(90, 0.35), lognormal(30, 0.25), lognormal(60, 0.5), lognormal(20, 0.3)];
    const totals = Array.from({ length: 40_000 }, () => {
      // A common factor for the job leaves each pair correlated by 0.3.
      const common = draw();
      return acts.reduce((sum, a) => {
        const s = Math.log(a.high / a.likely) / Z90;
        return sum + a.likely * Math.exp(s * (Math.sqrt(0.3) * common + Math.sqrt(0.7) * draw()));
      }, 0);
    }).sort((a, b) => a - b);
    const worked = together(acts);
    expect(worked.mean / (totals.reduce((a, b) => a + b, 0) / totals.length)).toBeCloseTo(1, 1.7);
    expect(worked.low / quantile(totals, 0.1)).toBeCloseTo(1, 1.5);
    expect(worked.high / quantile(totals, 0.9)).toBeCloseTo(1, 1.5);
  });

  it('nothing comes to nothing, a sure thing to itself', () => {
    expect(together([])).toEqual({ mean: 0, low: 0, likely: 0, high: 0 });
    expect(together([{ low: 5, likely: 5, high: 5 }])).toMatchObject({ low: 5, likely: 5, high: 5, mean: 5 });
  });
});

const same = (): number => 1;

describe('minutes', () => {
  it('a pass takes the turns that its feed needs at the turns that the speed allows', () => {
    // Mild steel 60 by 300 in six passes: walk along it turn by turn.
    const size = { diameterMm: 60, lengthMm: 300, materialId: 'steel-mild' };
    const small = { ...size, lengthMm: 0 };
    const perTurnMin = 1 / ((1000 * 30) / (Math.PI * 60));
    let at = 0;
    let walked = 0;
    for (; at < 300; at += 0.2) walked += perTurnMin;
    const { hands } = actMinutes('turn', size, 1, same);
    const speed = 30 / ((6 * walked) / (hands.likely - actMinutes('turn', small, 1, same).hands.likely));
    expect(speed).toBeCloseTo(materialOf('steel-mild')!.speedHss, 1);
  });

  it('grows with the work, not in proportion with how often, and spreads more where nobody knows the size', () => {
    const size = { diameterMm: 50, lengthMm: 200, materialId: 'steel-c45' };
    const one = actMinutes('turn', size, 1, same).hands.likely;
    const six = actMinutes('turn', size, 6, same).hands.likely;
    expect(six).toBeGreaterThan(2 * one);
    expect(six).toBeLessThan(6 * one);
    expect(actMinutes('turn', { ...size, diameterMm: 100 }, 1, same).hands.likely).toBeGreaterThan(one);
    const blind = actMinutes('turn', null, 1, same);
    expect(blind.sizeKnown).toBe(false);
    expect(blind.hands.high / blind.hands.likely).toBeGreaterThan(1.6);
    expect(actMinutes('saw', { ...size, diameterMm: 100 }, 2, same).aloneMin).toBeCloseTo((2 * Math.PI * 2500) / 1000, 6);
  });

  it('every act spreads to both sides', () => {
    for (const id of COST_ACT_IDS) {
      expect(COST_ACTS[id].low).toBeLessThan(1);
      expect(COST_ACTS[id].high).toBeGreaterThan(1);
    }
  });
});

describe('what a shop’s own jobs teach', () => {
  it('one job hardly moves an estimate, many decide it', () => {
    const rows = (n: number) => Array.from({ length: n }, () => ({ act: 'turn' as const, estimatedMin: 60, tookMin: 120 }));
    expect(actTook('turn', [])).toEqual({ factor: 1, jobs: 0 });
    expect(actTook('turn', rows(1)).factor).toBeLessThan(1.3);
    expect(actTook('turn', rows(100)).factor).toBeGreaterThan(1.9);
    expect(actTook('bore', rows(9)).factor).toBe(1);
    expect(actTook('turn', [{ act: 'turn', estimatedMin: 0, tookMin: 5 }]).jobs).toBe(0);
  });

  it('learns from jobs whose own estimates it had moved already, and does not stop half way', () => {
    // A shop in which turning takes twice what the model says: every job is estimated by what those before it taught.
    const size = { diameterMm: 50, lengthMm: 200, materialId: 'steel-c45' };
    const model = actMinutes('turn', size, 1, same).hands.likely;
    const rows: TookRow[] = [];
    let told = 0;
    for (let job = 0; job < 60; job++) {
      told = actMinutes('turn', size, 1, tookBy(rows)).hands.likely;
      rows.push({ act: 'turn', estimatedMin: model, tookMin: 2 * model });
    }
    expect(told / model).toBeGreaterThan(1.9);
  });

  it('comes nearer to the truth of made-up shops than the estimate alone and than their jobs alone', () => {
    const draw = normalDraws(seededRandom(7));
    const wrong = { drawn: 0, alone: 0, blind: 0 };
    for (let shop = 0; shop < 600; shop++) {
      const truth = 0.3 * draw();
      const jobs = 1 + (shop % 4);
      const logs = Array.from({ length: jobs }, () => truth + 0.45 * draw());
      const rows = logs.map((l) => ({ act: 'turn' as const, estimatedMin: 60, tookMin: 60 * Math.exp(l) }));
      wrong.drawn += (Math.log(actTook('turn', rows).factor) - truth) ** 2;
      wrong.alone += (logs.reduce((a, b) => a + b, 0) / jobs - truth) ** 2;
      wrong.blind += truth ** 2;
    }
    expect(wrong.drawn).toBeLessThan(0.85 * wrong.blind);
    expect(wrong.drawn).toBeLessThan(0.7 * wrong.alone);
  });
});

describe('price', () => {
  const rates: Rates = {
    currency: 'crowns',
    hourMinor: 3800,
    machineHourMinor: { lathe: 600 },
    kgMinor: { steel: 320 },
    wastePercent: 12,
    markUpPercent: 15,
    consumablesPercent: 4,
    minimumMinor: 4500,
    taxPercent: 20,
  };
  const sure = (minutes: number): ThreePoint => ({ low: minutes, likely: minutes, high: minutes });
  const input = (more: Partial<PriceInput> = {}): PriceInput => ({
    key: 'r',
    acts: [
      { name: 'turn', hands: sure(240), machineId: 'lathe', machineName: 'Lathe', from: { typedBy: 'Tomas' } },
      { name: 'assemble', hands: sure(60), machineId: null, machineName: '', from: { rule: 'estimate' } },
    ],
    // 45 x 920 of steel, 7.85 kg a litre: 11.486 kg.
    stock: [{ what: 'bar', materialId: 'steel-c45', massKg: 11.486, priceMinor: null }],
    bought: [{ what: 'seals', count: 2, costMinor: 1240 }],
    postageMinor: 900,
    ...more,
  });

  it('comes to what the sum by hand comes to', () => {
    const { total, minutes, unpriced } = priceOf(input(), rates);
    // 5 h at 38 = 190; lathe 4 h at 6 = 24; 4 % = 7.60; bar 11.486 x 3.20 x 1.12 = 41.17; seals 2 x 14.26 = 28.52; carriage 9: 300.29; tax 60.06.
    expect(total!.value).toBeCloseTo(360.35, 6);
    expect(minutes.value).toBe(300);
    expect(unpriced).toEqual([]);
    const told = explain(total!, 'mm').map((l) => l.text);
    expect(told[0]).toBe('360.35 = before tax 300.29 + tax 60.06, crowns');
    expect(told).toContainEqual('41.17 = bar: 11.49 kg of Medium carbon steel (C45, 1045) at 3.20 a kilogram, and 12 % waste');
  });

  it('never asks less than the least, says what has no price, and has hours alone where no rate is said', () => {
    const small = priceOf(input({ acts: [], stock: [], bought: [{ what: 'key', count: 1, costMinor: null }], postageMinor: 0 }), rates);
    expect(small.total!.value).toBe(54);
    expect(small.unpriced).toEqual(['key']);
    const odd = priceOf(input({ stock: [{ what: 'tube', materialId: 'unknown', massKg: 2, priceMinor: null }] }), rates);
    expect(odd.unpriced).toEqual(['tube']);
    const none = priceOf(input(), null);
    expect([none.total, none.minutes.value]).toEqual([null, 300]);
  });

  it('of what is sold by the dozen a dozen is paid, and said', () => {
    const buy = (count: number, least?: number) =>
      priceOf(input({ acts: [], stock: [], bought: [{ what: 'key', count, costMinor: 200, least }], postageMinor: 0 }), {
        ...rates,
        minimumMinor: 0,
        taxPercent: 0,
      }).total!;
    // 2.00 and 15 % on it: 2.30 each.
    expect([buy(2).value, buy(2, 12).value, buy(14, 12).value]).toEqual([4.6, 27.6, 32.2]);
    expect(JSON.stringify(buy(2, 12))).toContain('12, the fewest that are sold (2 needed), at 2.00');
    expect(JSON.stringify(buy(14, 12))).toContain('14 at 2.00');
  });

  it('its span is that of the hours alone: what is bought stands', () => {
    const act = { name: 'turn', hands: { low: 60, likely: 120, high: 240 }, machineId: null, machineName: '', from: { rule: '' } };
    const { total, minutes } = priceOf(input({ acts: [act] }), { ...rates, taxPercent: 0, consumablesPercent: 0 });
    const fixed = total!.value - (minutes.value / 60) * 38;
    expect(total!.limits!.lower).toBeCloseTo(fixed + (minutes.limits!.lower / 60) * 38, 1);
    expect(total!.limits!.upper).toBeCloseTo(fixed + (minutes.limits!.upper / 60) * 38, 1);
  });
});

describe('the day on which it can be ready', () => {
  it.each([
    // 2026-11-27 is a Friday.
    ['2026-11-27', 0, 60, '2026-11-27'],
    ['2026-11-27', 0, 7 * 60, '2026-11-30'],
    ['2026-11-28', 0, 30, '2026-11-30'],
    ['2026-11-27', 2, 13 * 60, '2026-12-02'],
    ['2026-12-31', 0, 0, '2026-12-31'],
    ['2026-02-27', 15, 60, '2026-03-16'],
  ])('%s, %d days of waiting, %d min: %s', (today, wait, minutes, day) => expect(readyOn(today, wait, minutes)).toBe(day));
});

describe('routes', () => {
  it('everything that is found has ways to put it right, and each of them takes something and lays out what is known', () => {
    for (const id of Object.keys(FINDINGS) as FindingId[]) expect(FINDINGS[id].routes.length).toBeGreaterThan(0);
    for (const id of ROUTE_IDS) {
      expect(ROUTE_TAKES[id].acts.length).toBeGreaterThan(0);
      expect(ROUTES[id].risk).not.toBe('');
      for (const item of ROUTE_TAKES[id].items) expect(item.name.trim()).not.toBe('');
    }
  });

  it('what welds, straightens or sends away says so in its steps', () => {
    for (const id of ROUTE_IDS) {
      const { acts, items, outside } = ROUTE_TAKES[id];
      const steps = items.flatMap((i) => i.steps).join(' ');
      if (acts.includes('straighten')) expect(steps).toMatch(/straighten.*crack/);
      if (acts.includes('send')) expect(outside.length).toBeGreaterThan(0);
    }
  });
});
