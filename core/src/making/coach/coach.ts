import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { judge } from '../../evidence/proof';
import { crossDialFor, diameterForCrossDial, type Lathe } from '../setups';

/** One cut on record: where the cross slide stood and what came out, at 20 °C. */
export interface CutRecord {
  /** Reading of the cross-slide dial, in its own unit; grows as the tool moves towards the axis. */
  readonly dial: number;
  readonly measuredMm: number;
}

export interface CoachSettings {
  readonly lathe: Pick<Lathe, 'cross'>;
  /** Unit of the sentences. */
  readonly unit: LengthUnit;
  readonly limits: { readonly lowerMm: number; readonly upperMm: number };
  /** Turned from outside, or bored: then the tool moves out, the dial falls and the size grows. */
  readonly side: 'outside' | 'inside';
  /** Least chip a side that the tool can take, mm. */
  readonly leastChipMm: number;
  /** Most off the diameter in one roughing cut, mm. */
  readonly roughMostMm: number;
  /** Diameter allowance that starts the last equal cuts, mm. */
  readonly finishMm: number;
  readonly part: { readonly tempC: number; readonly shopC: number; readonly alphaPerK: number };
  /** Half width of the 95 % band of the last size, mm: what the instrument can tell. */
  readonly plusMinusMm: number;
  /** Dust of this metal, or of what lies about, is a danger: neither file, emery nor grinder is advised. */
  readonly noDust: boolean;
}

/** Smallest chip a side: carbide needs a real chip, honed high-speed steel shaves. */
export const LEAST_CHIP_MM = { carbide: 0.05, hss: 0.01 } as const;

/** What to do next at the lathe. */
export interface Advice {
  readonly state: 'measure-first' | 'cut' | 'polish' | 'in' | 'close' | 'under' | 'cool';
  /** Metal still to come off, on the diameter, mm; negative when too much is off. */
  readonly leftMm: number;
  /** Middle of the limits, mm. */
  readonly aimMm: number;
  /** Diameter that the next cut should leave, mm. */
  readonly nextMm: number | null;
  /** Where to set the dial, in its unit. */
  readonly nextDial: number | null;
  /** How far to turn from the last setting, in dial units: in when turning, out when boring. */
  readonly turnIn: number | null;
  /** How much less than asked the tool has been taking on the diameter, mm. */
  readonly shortfallMm: number;
  /** Equal cuts still to come, this one included. */
  readonly cutsLeft: number;
  readonly sentences: readonly string[];
  /** It advises a file or emery: their caution belongs beside it. */
  readonly abrasive: boolean;
}

/** Part warmer than the shop by more than this does not get its last cut, K. */
const COOL_BEFORE_LAST_K = 4;
/** Habits from this many cuts back are learned. */
const REMEMBERED_CUTS = 3;
/** A miss of more than this share of the cut is no habit of the tool: a reading, a dial or a cut went wrong. */
const HABIT_MOST_SHARE = 0.2;

/**
 * How much less than asked the tool will take of the next cut, learned from the last ones: (asked - taken) on the diameter.
 * A cut counts by how near its size is to the next one, since spring grows with the cut; n equal cuts are believed n/(n + 1).
 * Nothing is learned where the dial did not go in, where the size did not come down, or where the miss is over a fifth of the cut.
 *
 * @param offMm size of the next cut on the diameter, mm
 */
export function learnShortfall(cuts: readonly CutRecord[], lathe: Pick<Lathe, 'cross'>, offMm: number): number {
  const recent = cuts
    .slice(1)
    .flatMap((c, i) => {
      const before = cuts[i]!;
      const asked = diameterForCrossDial(c.dial - before.dial, lathe);
      const taken = before.measuredMm - c.measuredMm;
      const miss = asked - taken;
      if (asked <= 0 || taken <= 0 || Math.abs(miss) > HABIT_MOST_SHARE * asked) return [];
      return [{ weight: Math.min(asked, offMm) / Math.max(asked, offMm), miss }];
    })
    .slice(-REMEMBERED_CUTS);
  const weights = recent.reduce((s, c) => s + c.weight, 0);
  return weights === 0 ? 0 : recent.reduce((s, c) => s + c.weight * c.miss, 0) / (weights + 1);
}

/** Splits what is left into the next cut: roughing while there is room, then two equal ones. */
function nextCut(leftMm: number, s: CoachSettings, finishing: boolean): { offMm: number; cutsLeft: number } {
  // A little over the finishing allowance is no roughing cut: it goes into the two equal ones.
  if (leftMm > s.finishMm + 2 * s.leastChipMm) {
    const rough = leftMm - s.finishMm;
    const n = Math.ceil(rough / s.roughMostMm - 1e-9);
    return { offMm: rough / n, cutsLeft: n + 2 };
  }
  const halfChip = leftMm / 4;
  const twoCuts = !finishing && halfChip >= s.leastChipMm;
  return twoCuts ? { offMm: leftMm / 2, cutsLeft: 2 } : { offMm: leftMm, cutsLeft: 1 };
}

/** Most that emery, and that a file, is asked to take off the diameter, mm. */
const EMERY_MOST_MM = 0.02;
const FILE_MOST_MM = 0.06;

const restBy = (leftMm: number, noDust: boolean, side: CoachSettings['side']): string =>
  side === 'inside'
    ? noDust
      ? 'A freshly honed high-speed-steel bar tool takes it, with a light feed. No emery on this metal.'
      : 'A hone takes it, or emery on a slotted stick.'
    : noDust
      ? 'Freshly honed high-speed steel takes it, with a light feed. No file, emery or grinder on this metal.'
      : leftMm <= EMERY_MOST_MM
        ? 'Emery on a stick takes it.'
        : leftMm <= FILE_MOST_MM
          ? 'A fine file, then emery, or the grinder.'
          : 'A sharp high-speed-steel tool or the grinder.';

/**
 * The second voice at the lathe: how much is left, what to set next, when to take two equal cuts, when to let it cool.
 *
 * @param cuts oldest first; the first is the touch-off: dial and size before any cut
 */
export function advise(cuts: readonly CutRecord[], s: CoachSettings): Advice {
  if (s.side === 'outside') return adviseAlong(cuts, s);
  // A bore is the outside in a mirror: sizes and dial change their sign, what is to come off does not.
  const advice = adviseAlong(
    cuts.map((c) => ({ dial: -c.dial, measuredMm: -c.measuredMm })),
    { ...s, limits: { lowerMm: -s.limits.upperMm, upperMm: -s.limits.lowerMm } },
  );
  const back = (x: number | null): number | null => (x === null ? null : -x);
  return { ...advice, aimMm: -advice.aimMm, nextMm: back(advice.nextMm), nextDial: back(advice.nextDial) };
}

function adviseAlong(cuts: readonly CutRecord[], s: CoachSettings): Advice {
  const [beyond, far] = s.side === 'outside' ? ['Under', 'lower'] : ['Over', 'upper'];
  const aimMm = (s.limits.lowerMm + s.limits.upperMm) / 2;
  const last = cuts.at(-1);
  const none = { aimMm, nextMm: null, nextDial: null, turnIn: null, shortfallMm: 0, cutsLeft: 0, abrasive: false };
  if (!last)
    return {
      ...none,
      state: 'measure-first',
      leftMm: 0,
      sentences: ['Take a skim so that it runs true, set the dial to zero, and measure.'],
    };
  const leftMm = last.measuredMm - aimMm;
  const done = { ...none, leftMm };
  const verdict = judge(last.measuredMm, s.plusMinusMm, s.limits);
  const told = formatWithUnit(s.plusMinusMm, s.unit);
  if (last.measuredMm < s.limits.lowerMm)
    return {
      ...done,
      state: 'under',
      sentences:
        verdict === 'out'
          ? [`${beyond} the limit. Stop: keep the part, ask whether the mate can take it, or start again.`]
          : [
              `${beyond} the limit by less than ±${told}. Stop: measure again, cold, with the finest instrument here, before it is given up.`,
            ],
    };
  if (verdict === 'fits') return { ...done, state: 'in', sentences: ['Inside the limits. Take no more off; measure again cold.'] };
  const coarse = 2 * s.plusMinusMm >= s.limits.upperMm - s.limits.lowerMm;
  if (last.measuredMm <= s.limits.upperMm && (coarse || leftMm <= 0))
    return {
      ...done,
      state: 'close',
      sentences: [
        coarse
          ? `Inside the limits as it reads, but ±${told} is more than they leave. Stop, and measure with a finer instrument.`
          : `Near the ${far} limit by less than ±${told}. Stop: measure again, cold, with the finest instrument here.`,
      ],
    };
  const finishing = cuts.length > 1 && cuts.at(-2)!.measuredMm - aimMm <= s.finishMm + 2 * s.leastChipMm;
  const { offMm, cutsLeft } = nextCut(leftMm, s, finishing);
  if (offMm / 2 < s.leastChipMm)
    return {
      ...done,
      state: 'polish',
      abrasive: !s.noDust && leftMm <= FILE_MOST_MM,
      sentences: [
        `${formatWithUnit(offMm / 2, s.unit)} a side is less than this tool can cut: it would rub, then dig in.`,
        restBy(leftMm, s.noDust, s.side),
      ],
    };
  const warmK = s.part.tempC - s.part.shopC;
  const bigMm = s.part.alphaPerK * Math.abs(last.measuredMm) * warmK;
  if (cutsLeft === 1 && warmK > COOL_BEFORE_LAST_K)
    return {
      ...done,
      state: 'cool',
      cutsLeft,
      sentences: [
        `The part is ${warmK.toFixed(0)} °C above the shop and reads ${formatWithUnit(bigMm, s.unit)} big. Let it cool before the last cut.`,
      ],
    };
  const shortfallMm = learnShortfall(cuts, s.lathe, offMm);
  const ask = offMm + shortfallMm;
  const turnIn = crossDialFor(ask, s.lathe);
  const sentences = [
    cutsLeft === 1 ? 'Last cut.' : cutsLeft === 2 ? 'Then measure. Two equal cuts are left.' : `Then measure. ${cutsLeft} cuts are left.`,
  ];
  if (Math.abs(shortfallMm) >= 0.001)
    sentences.unshift(
      `This tool has been taking ${formatWithUnit(Math.abs(shortfallMm), s.unit)} ${shortfallMm > 0 ? 'less' : 'more'} than asked: allowed for.`,
    );
  return { ...done, shortfallMm, state: 'cut', nextMm: last.measuredMm - offMm, nextDial: last.dial + turnIn, turnIn, cutsLeft, sentences };
}
