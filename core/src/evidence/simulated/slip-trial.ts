import { normalDraws, seededRandom } from '../proof';
import { grossError, grossErrors, type Weighable } from '../readings';

/** A worn place measured right, and the same with one gross error in it. */
export interface SlipTrial {
  readonly right: readonly Weighable[];
  readonly wrong: readonly Weighable[];
  readonly wrongId: string;
  /** Wear of the place on the diameter, mm. */
  readonly wearMm: number;
  readonly slipMm: number;
}

const STATIONS = [5, 20, 35];

/** Diameter of a part that wore on one side: an arc of some width is lowered by up to `depthMm`. */
function arcDiameter(freshMm: number, depthMm: number, middleDeg: number, widthDeg: number, clockDeg: number): number {
  const at = (deg: number): number => {
    const off = Math.abs(((((deg - middleDeg) % 360) + 540) % 360) - 180);
    return off >= widthDeg / 2 ? 0 : depthMm * 0.5 * (1 + Math.cos((2 * Math.PI * off) / widthDeg));
  };
  return freshMm - at(clockDeg) - at(clockDeg + 180);
}

/** Share of gross errors that are two digits swapped. */
const SWAPPED = 0.3;
/** A swap below this changes what no other reading could tell from wear, mm. */
const TELLING_SWAP_MM = 0.05;

/** The number written down with two neighbouring digits the other way round. */
function transposed(value: number, decimals: number, uniform: () => number): number {
  const digits = [...value.toFixed(decimals)];
  const places = digits.flatMap((c, i) => (c === '.' ? [] : [i])).slice(1);
  const at = 1 + Math.floor(uniform() * (places.length - 1));
  [digits[places[at - 1]!], digits[places[at]!]] = [digits[places[at]!]!, digits[places[at - 1]!]!];
  return Number(digits.join(''));
}

/** One seeded place: round, one-sided, oval or tapered wear; two to four directions; a repeat now and then; mic or bore gauge. */
function slipTrial(seed: number): SlipTrial {
  const uniform = seededRandom(seed);
  const normal = normalDraws(uniform);
  const between = (from: number, to: number): number => from + (to - from) * uniform();
  const pick = <T>(items: readonly T[]): T => items[Math.floor(uniform() * items.length)]!;
  const unit = pick(['mm', 'in'] as const);
  const decimals = unit === 'mm' ? 3 : 4;
  const each = unit === 'mm' ? 1 : 25.4;
  const uMm = pick([0.002, 0.004, 0.012]);
  const fresh = between(12, 60);
  const kind = pick(['round', 'arc', 'oval', 'taper', 'even'] as const);
  const wear = kind === 'round' ? 0 : between(0.01, 0.3);
  const clocks = pick([
    [0, 90],
    [0, 60, 120],
    [0, 45, 90, 135],
  ]);
  const points = pick([2, 2, 2, 3] as const);
  const [middle, width] = [between(0, 360), between(40, 180)];
  const sizeAt = (stationMm: number, clockDeg: number): number => {
    const along = (stationMm - 5) / 30;
    if (kind === 'arc') return arcDiameter(fresh, wear * (0.6 + 0.4 * along), middle, width, clockDeg);
    if (kind === 'oval') return fresh - (wear / 2) * (1 - Math.cos(((clockDeg - middle) * Math.PI) / 90));
    if (kind === 'taper') return fresh - wear * along;
    return fresh - (kind === 'even' ? wear : 0);
  };
  const round = (mm: number): number => Number((mm / each).toFixed(decimals)) * each;
  const spots = STATIONS.flatMap((stationMm) => clocks.map((clockDeg) => ({ stationMm, clockDeg })));
  const repeated = uniform() < 0.5 ? [...spots, pick(spots)] : spots;
  const right = repeated.map(({ stationMm, clockDeg }, i): Weighable => ({
    id: `r${i}`,
    stationMm,
    clockDeg,
    valueMm: round(sizeAt(stationMm, clockDeg) + uMm * Math.SQRT1_2 * normal()),
    uMm,
    points,
    unit,
    decimals,
  }));
  const victim = pick(right);
  const steps = unit === 'mm' ? [0.5, -0.5] : [0.025 * 25.4, -0.025 * 25.4, 2.54, -2.54];
  const slipped = uniform() < SWAPPED ? transposed(victim.valueMm / each, decimals, uniform) * each : round(victim.valueMm + pick(steps));
  const slipMm = slipped - victim.valueMm;
  const wrong = right.map((r) => (r === victim ? { ...r, valueMm: slipped } : r));
  return { right, wrong, wrongId: victim.id, wearMm: wear, slipMm };
}

export interface SlipScore {
  readonly parts: number;
  /** Slips larger than the wear around them, and how many of them are noticed once the place is measured. */
  readonly largeSlips: number;
  readonly afterwards: number;
  /** Those of which enough stood there already when they were typed to tell, and how many were asked about then. */
  readonly tellable: number;
  readonly atEntry: number;
  /** Parts read right of which some reading was doubted, at entry or afterwards. */
  readonly falseAlarms: number;
}

/** Takes the readings one after the other, as they are entered. */
const doubtedOnEntry = (readings: readonly Weighable[]): string[] =>
  readings.flatMap((r, i) => (grossError(r, readings.slice(0, i)) ? [r.id] : []));

/** Had a repeat, two other directions or two other stations been read before it? */
function couldTell(readings: readonly Weighable[], id: string): boolean {
  const at = readings.findIndex((r) => r.id === id);
  const [r, before] = [readings[at]!, readings.slice(0, at)];
  const same = (p: Weighable): boolean => p.stationMm === r.stationMm;
  return before.filter(same).length >= 2 || before.filter((p) => !same(p) && p.clockDeg === r.clockDeg).length >= 2;
}

/** How many gross errors are noticed, and how often a part that was read right is doubted. */
export function slipScore(parts: number, firstSeed = 1): SlipScore {
  let [atEntry, tellable, afterwards, largeSlips, falseAlarms] = [0, 0, 0, 0, 0];
  for (let i = 0; i < parts; i++) {
    const { right, wrong, wrongId, wearMm, slipMm } = slipTrial(firstSeed + i);
    if (doubtedOnEntry(right).length || grossErrors(right).length) falseAlarms++;
    if (Math.abs(slipMm) <= Math.max(wearMm, TELLING_SWAP_MM)) continue;
    largeSlips++;
    if (couldTell(wrong, wrongId)) {
      tellable++;
      if (doubtedOnEntry(wrong).includes(wrongId)) atEntry++;
    }
    if (grossErrors(wrong).some((s) => s.id === wrongId)) afterwards++;
  }
  return { parts, largeSlips, afterwards, tellable, atEntry, falseAlarms };
}
