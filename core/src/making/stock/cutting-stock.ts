/** So many blanks alike, and the bars that they may come from. */
export interface BlankNeed {
  readonly id: string;
  /** With the saw cut behind it, mm. */
  readonly lengthMm: number;
  readonly count: number;
  readonly barIds: readonly string[];
}

/** Bars alike on the rack. */
export interface StockBar {
  readonly id: string;
  readonly lengthMm: number;
  readonly pieces: number;
  readonly sectionMm2: number;
}

export interface SawOptions {
  /** Lost to the saw, mm: a blank that ends where the bar ends needs no cut. */
  readonly sawMm: number;
  /** What is left and shorter than this goes to the scrap, mm. */
  readonly keepMm: number;
}

/** One bar with what is sawn from it. */
export interface BarSawn {
  readonly barId: string;
  /** Ids of the blanks, one for each. */
  readonly blanks: readonly string[];
  readonly restMm: number;
}

/**
 * What a way to saw costs; the first that differs decides: blanks that come out of no bar, metal that is used up, mm³, what the bars that are begun
 * are worth less. A bar is worth its section by the square of its length, mm⁴, and nothing where it is too short to keep: one long rest is worth
 * more than two short ones, so offcuts go first and long bars stay long.
 */
type SawCost = readonly [short: number, used: number, worthLess: number];

export interface CuttingPlan {
  readonly bars: readonly BarSawn[];
  /** Blanks for which there is no bar, by id. */
  readonly short: readonly string[];
  /** No other way costs less; else it is the best that was found. */
  readonly proven: boolean;
}

/** Lengths are compared to a hundred-thousandth of a millimetre, costs to that share of themselves. */
const SAME = 1e-5;

const less = (p: SawCost, q: SawCost): boolean => {
  const i = p.findIndex((x, at) => Math.abs(x - q[at]!) > SAME * Math.max(1, Math.abs(x)));
  return i >= 0 && p[i]! < q[i]!;
};

interface OpenBar {
  readonly kind: number;
  restMm: number;
  readonly blanks: number[];
}

interface Best {
  cost: SawCost;
  bars: readonly BarSawn[];
  short: readonly string[];
}

interface Blank {
  readonly id: string;
  readonly lengthMm: number;
  readonly kinds: readonly number[];
  /** The same as the one before it. */
  readonly again: boolean;
  /** Section of the thinnest bar that it may come from, mm². */
  readonly leastMm2: number;
}

/** Blanks in a row, the longest first, alike ones together. */
function inARow(needs: readonly BlankNeed[], bars: readonly StockBar[]): Blank[] {
  const kindsOf = (n: BlankNeed): number[] => bars.flatMap((b, i) => (n.barIds.includes(b.id) && b.pieces > 0 ? [i] : []));
  return [...needs]
    .sort((p, q) => q.lengthMm - p.lengthMm || p.id.localeCompare(q.id))
    .flatMap((n) => {
      const kinds = kindsOf(n);
      const leastMm2 = kinds.length ? Math.min(...kinds.map((k) => bars[k]!.sectionMm2)) : 0;
      return Array.from({ length: n.count }, (_, i): Blank => ({ id: n.id, lengthMm: n.lengthMm, kinds, again: i > 0, leastMm2 }));
    });
}

/** By how much a bar is worth less once only so much of it is left, mm⁴. */
const worthLess = ({ sectionMm2, lengthMm }: StockBar, restMm: number): number => sectionMm2 * (lengthMm ** 2 - restMm ** 2);

const costOf = (open: readonly OpenBar[], blanks: readonly Blank[], bars: readonly StockBar[], short: number, keepMm: number): SawCost => [
  short,
  open.reduce((sum, o) => sum + bars[o.kind]!.sectionMm2 * o.blanks.reduce((l, b) => l + blanks[b]!.lengthMm, 0), 0),
  open.reduce((sum, o) => sum + worthLess(bars[o.kind]!, o.restMm < keepMm ? 0 : o.restMm), 0),
];

/** Branch and bound over blanks that have bars in common. */
function* cutGroup(
  needs: readonly BlankNeed[],
  bars: readonly StockBar[],
  { sawMm, keepMm }: SawOptions,
  mostWays: number,
): Generator<number, CuttingPlan> {
  const blanks = inARow(needs, bars);
  // Of what is still to be placed, at least: its metal, and the square of its length, as nothing shorter than itself gives it.
  const fromHere = (of: (b: Blank) => number): number[] => [...blanks.map((_, i) => blanks.slice(i).reduce((sum, b) => sum + of(b), 0)), 0];
  const leftMm3 = fromHere((b) => b.lengthMm * b.leastMm2);
  const leftWorth = fromHere((b) => b.leastMm2 * Math.max(0, b.lengthMm - sawMm) ** 2);
  const unopened = bars.map((b) => b.pieces);
  const open: OpenBar[] = [];
  const missed: number[] = [];
  // Where each blank of those alike went, so that the next goes no further back.
  const went: number[] = [];
  let usedMm3 = 0;
  let ways = 0;
  let best: Best | null = null;

  const bound = (at: number): SawCost => [
    missed.length,
    usedMm3 + leftMm3[at]!,
    open.reduce((sum, o) => sum + worthLess(bars[o.kind]!, o.restMm), leftWorth[at]!),
  ];

  /** Open bars with room, the tightest first, each rest of a kind once. */
  const roomFor = (b: Blank, from: number): number[] => {
    const seen = new Set<string>();
    return open
      .map((o, i) => ({ o, i }))
      .filter(({ o, i }) => i >= from && b.kinds.includes(o.kind) && o.restMm + sawMm >= b.lengthMm - SAME)
      .sort((p, q) => p.o.restMm * bars[p.o.kind]!.sectionMm2 - q.o.restMm * bars[q.o.kind]!.sectionMm2)
      .filter(({ o }) => {
        const key = `${o.kind}:${o.restMm.toFixed(5)}`;
        return !seen.has(key) && seen.add(key);
      })
      .map(({ i }) => i);
  };
  /** Bars not begun yet on which it fits, the least metal first. */
  const newFor = (b: Blank): number[] =>
    b.kinds
      .filter((k) => unopened[k]! > 0 && bars[k]!.lengthMm + sawMm >= b.lengthMm - SAME)
      .sort((p, q) => bars[p]!.sectionMm2 - bars[q]!.sectionMm2 || bars[p]!.lengthMm - bars[q]!.lengthMm);

  function* place(at: number): Generator<number, void> {
    if (++ways % 2000 === 0) yield ways;
    if (ways > mostWays && best) return;
    if (at === blanks.length) {
      const cost = costOf(open, blanks, bars, missed.length, keepMm);
      if (!best || less(cost, best.cost))
        best = {
          cost,
          bars: open.map((o) => ({ barId: bars[o.kind]!.id, blanks: o.blanks.map((i) => blanks[i]!.id), restMm: o.restMm })),
          short: missed.map((i) => blanks[i]!.id),
        };
      return;
    }
    if (best && !less(bound(at), best.cost)) return;
    const b = blanks[at]!;
    const before = b.again ? went[at - 1]! : 0;
    if (before !== Infinity) {
      for (const i of roomFor(b, before)) {
        const o = open[i]!;
        const was = o.restMm;
        yield* put(at, i, o, b, was);
      }
      for (const k of newFor(b)) {
        unopened[k]!--;
        open.push({ kind: k, restMm: bars[k]!.lengthMm, blanks: [] });
        yield* put(at, open.length - 1, open.at(-1)!, b, bars[k]!.lengthMm);
        open.pop();
        unopened[k]!++;
      }
    }
    // Where one of several alike comes out of none, the rest do not either.
    missed.push(at);
    went[at] = Infinity;
    yield* place(at + 1);
    missed.pop();
  }

  function* put(at: number, i: number, o: OpenBar, b: Blank, wasMm: number): Generator<number, void> {
    const mm3 = b.lengthMm * bars[o.kind]!.sectionMm2;
    o.restMm = Math.max(0, wasMm - b.lengthMm);
    o.blanks.push(at);
    usedMm3 += mm3;
    went[at] = i;
    yield* place(at + 1);
    usedMm3 -= mm3;
    o.blanks.pop();
    o.restMm = wasMm;
  }

  yield* place(0);
  const found: Best = best!;
  return { bars: found.bars, short: found.short, proven: ways <= mostWays };
}

/** Needs that have bars in common, each with those bars: what shares none is sawn by itself. */
function groupsOf(needs: readonly BlankNeed[], bars: readonly StockBar[]): { readonly needs: BlankNeed[]; readonly bars: StockBar[] }[] {
  const groups: { needs: BlankNeed[]; ids: Set<string> }[] = [];
  for (const need of needs) {
    const shares = groups.filter((g) => need.barIds.some((id) => g.ids.has(id)));
    const joined = {
      needs: [...shares.flatMap((g) => g.needs), need],
      ids: new Set([...shares.flatMap((g) => [...g.ids]), ...need.barIds]),
    };
    groups.splice(0, groups.length, ...groups.filter((g) => !shares.includes(g)), joined);
  }
  return groups.map((g) => ({ needs: g.needs, bars: bars.filter((b) => g.ids.has(b.id)) }));
}

/**
 * Which blank is sawn from which bar: branch and bound over the blanks, the longest first, each to the bar on which least is left, alike bars and
 * alike blanks tried once. What has no bar in common is sawn by itself. Steps tell how many ways were looked at; the last value is the plan.
 *
 * @param needs blanks; one whose bars are all gone comes out of none
 * @param mostWays after so many of one group it stops, unproven, with the best that was found
 */
export function* cutStock(
  needs: readonly BlankNeed[],
  bars: readonly StockBar[],
  options: SawOptions,
  mostWays = 2_000_000,
): Generator<number, CuttingPlan> {
  const plans: CuttingPlan[] = [];
  for (const group of groupsOf(needs, bars)) plans.push(yield* cutGroup(group.needs, group.bars, options, mostWays));
  return {
    bars: plans.flatMap((p) => p.bars),
    short: plans.flatMap((p) => p.short),
    proven: plans.every((p) => p.proven),
  };
}

/** The same at once. */
export function cutStockNow(...given: Parameters<typeof cutStock>): CuttingPlan {
  const steps = cutStock(...given);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
