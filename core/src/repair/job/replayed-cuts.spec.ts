import { findThread } from '../../book/threads';
import { seededRandom } from '../../evidence/proof';
import { addedFeature } from '../../making/drawing';
import { placeOutside, surface, validatePart, type FeatureKindId, type Part } from '../../making/part';
import { onDial, type Schedule } from '../../making/schedule';
import type { Lathe } from '../../making/setups';
import { choiceKey } from './choices';
import { usualPlan, type PlanFinding } from './plan-finding';
import { workOut } from './repair';
import { testBar, testChoice, testSheet, testShop } from './testing';

/**
 * Threads, keyseats and tapers made again by the settings of the plan: a tool of its own shape is moved by what they say, and what it leaves is
 * measured as a wire, a key or a gauge would. How the settings come about is nothing to it.
 */
const CROSS: readonly Lathe['cross'][] = [
  { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' },
  { unit: 'mm', perTurn: 4, perLine: 0.02, reads: 'diameter' },
];
const blank = (d: number, l: number, far: number | null = null): Part => ({
  ...{ name: 'Shaft', materialId: 'steel-c45', limits: {}, block: null, features: [], bores: [] },
  outside: [
    { ...surface('a', far === null ? 'cylinder' : 'taper', 'End', l, d), farDiameterMm: far },
    surface('b', 'cylinder', 'Body', 40, 50),
  ],
});
const withCut = (part: Part, kind: FeatureKindId, own: object): Part => addedFeature(part, 'a', kind, 'f', own)!.part;
function planned(part: Part, cross = CROSS[0]!): { readonly plan: PlanFinding; readonly of: (id: string) => Schedule } {
  expect(validatePart(part)).toMatchObject({ ok: true });
  const lathe: Lathe = { ...testShop.lathes[0]!, cross, centresMm: 2000 };
  const choices = [testChoice(choiceKey.part, part), testChoice(choiceKey.plan, { ...usualPlan(lathe), way: 'bar' })];
  const shop = { ...testShop, lathes: [lathe], rack: [testBar('bar60', { lengthMm: 2000 })] };
  const { plan } = workOut(testSheet({ choices }), shop);
  return { plan: plan!, of: (id) => plan!.setUps.flatMap((s) => s.schedules).find((s) => s.id === id)! };
}
const set = (s: Schedule, name: string): number => s.settings.find((x) => x.figure.key.endsWith(`.${name}`))!.figure.value;
/** How far the slide itself goes in where its dial stands as the paper says. */
function slideMm(s: Schedule, name: string, { lathe }: PlanFinding): number {
  const words = onDial(
    s.settings.find((x) => x.figure.key.endsWith(`.${name}`))!,
    lathe,
  );
  const [, turns, rest] = /^(?:(\d+) turns? \+ )?([\d.]+)/.exec(words)!;
  const mm = (Number(turns ?? 0) * lathe.cross.perTurn + Number(rest)) * (lathe.cross.unit === 'in' ? 25.4 : 1);
  return lathe.cross.reads === 'diameter' ? mm / 2 : mm;
}

describe('a thread cut by its settings', () => {
  const RAD = Math.PI / 180;
  /** Depth of the metal below the blank at x along the axis, under a tool of 60° with a rounded tip that stands so deep and so far along. */
  const under =
    (deep: number, along: number, tip: number) =>
    (x: number): number => {
      const off = Math.abs(x - along);
      // The round of the tip, then its flanks, which leave it at 60° round.
      if (off <= tip * Math.cos(30 * RAD)) return deep - tip + Math.sqrt(tip * tip - off * off);
      return deep - tip + tip * Math.sin(30 * RAD) - (off - tip * Math.cos(30 * RAD)) / Math.tan(30 * RAD);
    };
  type Groove = (x: number) => number;
  /** What is left after every pass, in one groove. */
  const after =
    (tools: readonly Groove[]): Groove =>
    (x) =>
      Math.max(0, ...tools.map((t) => t(x)));
  /** The diameter at which groove and ridge are as wide as one another. */
  function pitchDiameter(groove: Groove, blankMm: number, pitchMm: number, middle: number): number {
    const width = (depth: number): number => {
      let cells = 0;
      for (let x = -pitchMm; x < pitchMm; x += 1e-3) if (groove(middle + x) >= depth) cells++;
      return cells * 1e-3;
    };
    let [low, high] = [0, pitchMm];
    for (let i = 0; i < 40; i++) {
      const mid = (low + high) / 2;
      if (width(mid) > pitchMm / 2) low = mid;
      else high = mid;
    }
    return blankMm - 2 * low;
  }
  /** How high a wire's back stands over the axis, dropped into the groove wherever it comes deepest. */
  function wireOver(groove: Groove, blankMm: number, wireMm: number, middle: number): number {
    const r = wireMm / 2;
    const centre = (at: number): number => {
      let least = -Infinity;
      for (let x = -r; x <= r; x += 2e-3) least = Math.max(least, blankMm / 2 - groove(at + x) + Math.sqrt(Math.max(0, r * r - x * x)));
      return least;
    };
    let best = Infinity;
    for (let at = middle - 0.1; at <= middle + 0.1; at += 5e-3) best = Math.min(best, centre(at));
    return 2 * (best + r);
  }
  /** The class's limits of the pitch diameter as the drawing has them. */
  function classOf(name: string, d: number): { readonly lower: number; readonly upper: number } {
    const part = withCut(blank(d, 40), 'thread', { thread: name, lengthMm: 25, end: 'left' });
    const found = workOut(testSheet({ choices: [testChoice(choiceKey.part, part)] }), testShop).part!;
    return found.dimensions.find((x) => x.dimension.key === 'f.pitch-diameter')!.dimension.book!;
  }

  const THREADS = ['M10', 'M16', 'M20 x 1.5', '3/8-24 UNF', '1/2-13 UNC', '3/4-16 UNF'] as const;

  it.each(THREADS.flatMap((t) => CROSS.map((c) => [t, c.unit, c] as const)))('%s, cross slide in %s', (name, _, cross) => {
    const t = findThread(name)!;
    const random = seededRandom(t.pitchMm * 1000);
    const drawnMm = Math.round((t.majorMm - 0.08 * random()) * 1000) / 1000;
    const { plan, of } = planned(withCut(blank(drawnMm, 40), 'thread', { thread: name, lengthMm: 25, end: 'left' }), cross);
    // The crest that the tool touches is where the passes before it left off: inside its class, not where the line is drawn.
    const blankMm = plan.passes.find((p) => p.segment.segment.id === 'a')!.passFigures.at(-1)!.value;
    const s = of('f');
    const tip = (Math.sqrt(3) / 12) * t.pitchMm;
    const angle = Number(/compound at ([\d.]+)°/.exec(s.settings.find((x) => x.figure.key.endsWith('.along'))!.figure.label)![1]) * RAD;
    const passes = s.cuts!.toMm;
    const along = after(passes.map((p) => under(p * Math.cos(angle), p * Math.sin(angle), tip)));
    const straight = after([under(slideMm(s, 'depth', plan), 0, tip)]);
    const basic = t.majorMm - (3 / 8) * Math.sqrt(3) * t.pitchMm;
    const lineMm = cross.perLine * (cross.unit === 'in' ? 25.4 : 1);
    // Down the compound to its last number, or straight in on the dial: both leave the basic pitch diameter (ISO 68-1).
    const last = passes.at(-1)!;
    expect(last).toBeCloseTo(set(s, 'along'), 9);
    expect(Math.abs(pitchDiameter(along, blankMm, t.pitchMm, last * Math.sin(angle)) - basic)).toBeLessThan(0.006 * t.pitchMm + 0.004);
    expect(Math.abs(pitchDiameter(straight, blankMm, t.pitchMm, 0) - basic)).toBeLessThan(lineMm + 0.004);
    // No pass takes much more metal than the first: the areas of their differences.
    const areas = passes.map((_p, i) => {
      const [now, before] = [after([under(passes[i]!, 0, 0)]), i ? after([under(passes[i - 1]!, 0, 0)]) : (): number => 0];
      let sum = 0;
      for (let x = -t.pitchMm; x < t.pitchMm; x += 2e-3) sum += Math.max(0, now(x) - before(x)) * 2e-3;
      return sum;
    });
    expect(Math.max(...areas) / Math.min(...areas)).toBeLessThan(1.02);
    // Cut on until the wires read as asked, it is in the middle of its class.
    const { lower, upper } = classOf(name, drawnMm);
    const still = (pitchDiameter(straight, blankMm, t.pitchMm, 0) - (lower + upper) / 2) / 2;
    const groove = after([under(slideMm(s, 'depth', plan) + still, 0, tip)]);
    expect(Math.abs(wireOver(groove, blankMm, set(s, 'wire'), 0) - set(s, 'over-wires'))).toBeLessThan(0.006);
  });
});

describe('a keyseat cut by its settings', () => {
  /** How wide a flat a cutter leaves that stands so far below the crown of a round, found along its rim. */
  const flatAt = (d: number, below: number): number => {
    let half = 0;
    for (let x = 0; x <= d / 2; x += 1e-4) if (d / 2 - Math.sqrt((d * d) / 4 - x * x) <= below) half = x;
    return 2 * half;
  };
  it.each([
    // DIN 6885-1 lets a depth be larger by 0.1 up to a key of 6, by 0.2 above: it is made to the middle.
    [20, 6, 3.5, 0.05],
    [32, 10, 5, 0.1],
    [44.5, 12, 5, 0.1],
    [25.4, 6.35, 3.3, 0],
  ])('in a shaft of %d, %d wide and %d deep: both ways of setting come to one floor', (d, widthMm, drawnMm, middleMm) => {
    const depthMm = drawnMm + middleMm;
    const s = planned(withCut(blank(d, 60), 'keyseat', { atMm: 10, lengthMm: 30, widthMm, depthMm: drawnMm, cutter: 'end-mill' })).of('f');
    // Lower until the flat is as wide as the cutter; then down by the number.
    let touch = 0;
    while (flatAt(d, touch) < widthMm) touch += 1e-3;
    expect(touch + set(s, 'after-flat')).toBeCloseTo(depthMm, 2);
    expect(set(s, 'crown')).toBeCloseTo(depthMm, 9);
    expect(d - (touch + set(s, 'after-flat'))).toBeCloseTo(set(s, 'over'), 2);
    // Two half rounds and the way between them are as long as drawn.
    expect(set(s, 'travel') + widthMm).toBeCloseTo(30, 9);
    const cuts = s.cuts!.toMm;
    expect([
      Math.abs(cuts.at(-1)! - depthMm) < 1e-9,
      Math.max(...cuts.map((c, i) => c - (cuts[i - 1] ?? 0))) <= 0.25 * widthMm + 1e-9,
    ]).toEqual([true, true]);
  });

  it('a Woodruff seat: the cutter’s lowest point comes to the floor', () => {
    const s = planned(withCut(blank(25, 60), 'woodruff-seat', { atMm: 20, widthMm: 5, cutterMm: 19, depthMm: 6.5 })).of('f');
    const floor = 12.5 + set(s, 'centre') - 19 / 2;
    expect(12.5 - floor).toBeCloseTo(6.5, 9);
    let touch = 0;
    while (flatAt(25, touch) < 5) touch += 1e-3;
    expect(touch + set(s, 'after-flat')).toBeCloseTo(6.5, 2);
  });
});

describe('a taper turned by its settings', () => {
  it.each([
    [30, 26, 50],
    [40, 38, 80],
    [25, 31, 40],
  ])('from %d to %d over %d: down the compound, and with the tailstock set over', (near, far, lengthMm) => {
    const part = blank(near, lengthMm, far);
    const { of } = planned(part);
    const s = of('a');
    const [large, small] = [Math.max(near, far), Math.min(near, far)];
    // The compound's tool goes along a line; so many steps of its handle.
    const angle = set(s, 'compound');
    const path = lengthMm / Math.cos(angle);
    let [x, r] = [0, small / 2];
    for (let i = 0; i < 1000; i++) [x, r] = [x + (path / 1000) * Math.cos(angle), r + (path / 1000) * Math.sin(angle)];
    expect([x, 2 * r]).toEqual([expect.closeTo(lengthMm, 6), expect.closeTo(large, 6)]);
    // With the tailstock over, the work turns about a line that leans against the bed: the tool keeps its way along the bed.
    const between = placeOutside(part).at(-1)!.toMm;
    const lean = Math.asin(set(s, 'set-over') / between);
    const radiusAt = (along: number): number => small / 2 + along * Math.sin(lean);
    expect(2 * radiusAt(lengthMm)).toBeCloseTo(large, 2);
    expect(set(s, 'one')).toBeCloseTo(lengthMm / (large - small), 9);
  });
});
