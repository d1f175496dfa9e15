import { MM_PER_INCH, type LengthUnit } from '../../terms/quantity';
import { normalDraws, seededRandom } from '../proof';
import type { Side } from '../readings';
import { WITNESS_TIMES } from './judgement.data';
import type { MachinePlace, UnitWitness } from './machine';
import { recoverNominals } from './recover';

/** A made-up worn machine: what is measured of it, and what its maker drew. */
export interface WornMachine {
  readonly kind: 'inch' | 'metric' | 'mixed';
  readonly places: readonly MachinePlace[];
  readonly truthMm: ReadonlyMap<string, number>;
  /** An original thread on every other machine: of its own system nearly always. */
  readonly witnesses: readonly UnitWitness[];
}

const MOST_WEAR_MM = 0.5;
const MIC_MM = 0.003;
const FOREIGN_IN_MIXED = 0.3;
const FOREIGN_THREADS = 0.07;
/** Sixteenths, now and then a thirty-second; whole millimetres, most of them even or fives. */
const THIRTY_SECONDS = 0.12;

/** Upper and lower deviations as ISO 286-2 prints them, micrometres, for 10 to 18, 18 to 30, 30 to 50 and 50 to 80 mm; and how often they are used. */
const PRINTED = {
  outside: [
    {
      share: 0.3,
      um: [
        [-16, -34],
        [-20, -41],
        [-25, -50],
        [-30, -60],
      ],
    }, // f7
    {
      share: 0.25,
      um: [
        [0, -18],
        [0, -21],
        [0, -25],
        [0, -30],
      ],
    }, // h7
    {
      share: 0.15,
      um: [
        [-6, -17],
        [-7, -20],
        [-9, -25],
        [-10, -29],
      ],
    }, // g6
    {
      share: 0.1,
      um: [
        [-32, -59],
        [-40, -73],
        [-50, -89],
        [-60, -106],
      ],
    }, // e8
    {
      share: 0.12,
      um: [
        [0, -43],
        [0, -52],
        [0, -62],
        [0, -74],
      ],
    }, // h9
    {
      share: 0.08,
      um: [
        [0, -110],
        [0, -130],
        [0, -160],
        [0, -190],
      ],
    }, // h11
  ],
  inside: [
    {
      share: 0.65,
      um: [
        [18, 0],
        [21, 0],
        [25, 0],
        [30, 0],
      ],
    }, // H7
    {
      share: 0.2,
      um: [
        [27, 0],
        [33, 0],
        [39, 0],
        [46, 0],
      ],
    }, // H8
    {
      share: 0.07,
      um: [
        [110, 0],
        [130, 0],
        [160, 0],
        [190, 0],
      ],
    }, // H11
    {
      share: 0.08,
      um: [
        [43, 16],
        [53, 20],
        [64, 25],
        [76, 30],
      ],
    }, // F8
  ],
} as const;
const STEPS_MM = [18, 30, 50] as const;
/** Regrinds and makers' own sizes, where they are asked for: anything, or a quarter of a millimetre under a size. */
const REGROUND = 0.5;

/** How a generator differs from the plain one. */
export interface Oddities {
  /** Share of sizes that stand in no list. */
  readonly offList: number;
  /** Worn places are read at three stations in two directions, and wore as places do: some of them not at all. */
  readonly stations?: boolean;
}

/** Share of places that are taken for worn and never wore, where several stations are read. */
const NEVER_WORE = 0.12;

/**
 * How a place wore, as shares of its deepest wear at three stations in two directions: away from one end, in the middle, along one side,
 * or nearly even in a seal's or a wheel's path.
 */
const WEAR_SHAPES: readonly ((uniform: () => number) => number[])[] = [
  (u) => [0, 0.5, 1].flatMap((x) => [x + (1 - x) * 0.6 * u(), (x + (1 - x) * 0.6 * u()) * 0.9]),
  (u) => [0.3 * u(), 1, 0.3 * u()].flatMap((x) => [x, x * (0.6 + 0.4 * u())]),
  (u) => [1, 0.95, 0.9].flatMap((x) => [x, x * 0.5 * u()]),
  (u) => [1, 0.9 + 0.1 * u(), 0.85 + 0.15 * u()].flatMap((x) => [x, x * (0.85 + 0.15 * u())]),
];

/**
 * Makes a machine of two to five shaft and bore sizes. Sizes lie evenly in bands that real shops work to, not in the bell curves
 * that the inference assumes.
 *
 * @param withLand false leaves no place that never ran
 */
export function wornMachine(seed: number, withLand: boolean, { offList, stations = false }: Oddities = { offList: 0 }): WornMachine {
  const uniform = seededRandom(seed);
  const normal = normalDraws(uniform);
  const between = (from: number, to: number): number => from + (to - from) * uniform();
  const pick = <T>(items: readonly T[]): T => items[Math.floor(uniform() * items.length)]!;
  const kind = pick(['inch', 'metric', 'mixed'] as const);
  const mainUnit: LengthUnit = kind === 'mixed' ? pick(['in', 'mm'] as const) : kind === 'inch' ? 'in' : 'mm';
  const truthMm = new Map<string, number>();

  const drawn = (): { unit: LengthUnit; sizeMm: number } => {
    const foreign = kind === 'mixed' && uniform() < FOREIGN_IN_MIXED;
    const unit = foreign ? (mainUnit === 'in' ? 'mm' : 'in') : mainUnit;
    if (unit === 'mm') {
      const whole = Math.round(between(10, 60));
      return { unit, sizeMm: uniform() < 0.5 ? 5 * Math.round(whole / 5) : uniform() < 0.6 ? 2 * Math.round(whole / 2) : whole };
    }
    const steps = uniform() < THIRTY_SECONDS ? 32 : 16;
    return { unit, sizeMm: (Math.round(between(0.375, 2.25) * steps) / steps) * MM_PER_INCH };
  };
  const drawnOrNot = (): { unit: LengthUnit; sizeMm: number } => {
    const d = drawn();
    if (offList === 0 || uniform() >= offList) return d;
    return { ...d, sizeMm: uniform() < REGROUND ? d.sizeMm - 0.25 : between(10, 57) };
  };
  const made = (unit: LengthUnit, sizeMm: number, side: Side): number => {
    if (unit === 'in') return sizeMm + (side === 'inside' ? between(0, 0.0015) : -between(0, 0.002)) * MM_PER_INCH;
    let left = uniform();
    const zone = PRINTED[side].find((z) => (left -= z.share) < 0) ?? PRINTED[side][0];
    const step = STEPS_MM.filter((to) => sizeMm > to).length;
    const [upper, lower] = zone.um[step]!;
    return sizeMm + between(lower, upper) / 1000;
  };
  const measured = (id: string, side: Side, unit: LengthUnit, sizeMm: number, land: boolean, twinIds: readonly string[]): MachinePlace => {
    truthMm.set(id, sizeMm);
    const size = made(unit, sizeMm, side);
    const wear = between(0.02, MOST_WEAR_MM);
    const out = side === 'outside' ? -1 : 1;
    const at = (share: number): number => size + out * wear * share + MIC_MM * normal();
    const own = land ? { sizeMm: size + MIC_MM * normal(), uMm: MIC_MM } : null;
    if (!stations) return { id, side, land: own, worn: { sizeMm: at(1), uMm: MIC_MM }, twinIds };
    const wore = uniform() < NEVER_WORE ? 0 : 1;
    const read = pick(WEAR_SHAPES)(uniform).map((share) => at(wore * share));
    const [least, most] = [Math.min(...read), Math.max(...read)];
    const worn = { sizeMm: side === 'outside' ? most : least, uMm: MIC_MM, rangeMm: most - least };
    return { id, side, land: own, worn, twinIds };
  };

  const pairs = 1 + Math.floor(uniform() * 3);
  const places = Array.from({ length: pairs }, (_, i) => {
    const { unit, sizeMm } = drawnOrNot();
    const land = withLand && (i === 0 || uniform() < 0.5);
    const pin = measured(`pin ${i}`, 'outside', unit, sizeMm, land, [`hole ${i}`]);
    const hole = uniform() < 0.6 ? [measured(`hole ${i}`, 'inside', unit, sizeMm, false, [`pin ${i}`])] : [];
    return [pin, ...hole];
  }).flat();
  const threaded = uniform() < 0.5;
  const threadUnit = uniform() < FOREIGN_THREADS ? (mainUnit === 'in' ? 'mm' : 'in') : mainUnit;
  return { kind, places, truthMm, witnesses: threaded ? [{ unit: threadUnit, times: WITNESS_TIMES.thread }] : [] };
}

export interface MachineScore {
  readonly machines: number;
  /** Machines of which every place with a land, or whose mate has one, has its true size first. */
  readonly right: number;
  readonly byKind: Readonly<Record<WornMachine['kind'], { readonly machines: number; readonly right: number }>>;
  readonly landless: number;
  /** Machines without any land of which the app says for every place that it cannot tell. */
  readonly admitted: number;
}

/** Edges of the buckets in which stated probabilities are held against how often they were right. */
const BUCKETS = [0, 0.02, 0.1, 0.3, 0.5, 0.7, 0.9, 0.97, 1] as const;
/** Candidates of a place that are looked at. */
const MOST_RANKED = 6;
/** Share of sizes that stand in no list, in the machines that hold the probabilities. */
const OFF_LIST = 0.06;

/** What was said in one bucket of probability, and how often it was so. */
export interface ProbabilityBucket {
  readonly from: number;
  readonly n: number;
  readonly said: number;
  readonly was: number;
}

/** How often a candidate was the truth against how often it was said to be, over seeded machines some of whose sizes stand in no list. */
export function probabilityBuckets(withLand: boolean, machines: number, firstSeed: number, stations = false): ProbabilityBucket[] {
  const sums = BUCKETS.slice(0, -1).map((from) => ({ from, n: 0, said: 0, was: 0 }));
  for (let seed = firstSeed; seed < firstSeed + machines; seed++) {
    const { places, truthMm, witnesses } = wornMachine(seed, withLand, { offList: OFF_LIST, stations });
    const found = recoverNominals(places, 0.5, witnesses).byPlace;
    for (const f of places)
      for (const c of found.get(f.id)!.ranked.slice(0, MOST_RANKED)) {
        const b = sums.findLast((x) => c.probability >= x.from)!;
        b.n++;
        b.said += c.probability;
        if (Math.abs(c.sizeMm - truthMm.get(f.id)!) < 1e-6) b.was++;
      }
  }
  return sums.map((b) => ({ ...b, said: b.said / b.n, was: b.was / b.n }));
}

/** How often the right size ranks first over seeded worn machines, and how often it is admitted that nothing tells. */
export function machineScore(count: number, firstSeed = 1): MachineScore {
  const byKind = { inch: { machines: 0, right: 0 }, metric: { machines: 0, right: 0 }, mixed: { machines: 0, right: 0 } };
  let admitted = 0;
  for (let i = 0; i < count; i++) {
    const machine = wornMachine(firstSeed + i, true);
    const found = recoverNominals(machine.places, 0.5).byPlace;
    const told = machine.places.filter((f) => f.land || f.twinIds.some((id) => machine.places.find((o) => o.id === id)?.land));
    const right = told.every((f) => Math.abs(found.get(f.id)!.ranked[0]!.sizeMm - machine.truthMm.get(f.id)!) < 1e-6);
    byKind[machine.kind].machines++;
    if (right) byKind[machine.kind].right++;
    const bare = wornMachine(firstSeed + i, false);
    const guessed = recoverNominals(bare.places, 0.5).byPlace;
    if (bare.places.every((f) => !guessed.get(f.id)!.canTell)) admitted++;
  }
  const right = byKind.inch.right + byKind.metric.right + byKind.mixed.right;
  return { machines: count, right, byKind, landless: count, admitted };
}
