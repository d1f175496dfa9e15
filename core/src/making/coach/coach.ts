import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { judge } from '../../evidence/proof';
import { crossDialFor, diameterForCrossDial, type Lathe } from '../setups';
import { deepest, foretell, learnHabit, standingAt, type CutRecord, type Foretold, type ToolHabit } from './tool-habit';

export interface CoachSettings {
  readonly lathe: Pick<Lathe, 'cross'>;
  /** Unit of the sentences. */
  readonly unit: LengthUnit;
  readonly limits: { readonly lowerMm: number; readonly upperMm: number };
  /** Turned from outside, or bored: then the tool moves out, the dial falls and the size grows. */
  readonly side: 'outside' | 'inside';
  /** Of a bore: the dial rises as it grows, as that of a boring head does, which is no cross slide. */
  readonly rises: boolean;
  /** Least chip a side that the tool can take, mm. */
  readonly leastChipMm: number;
  /** Most off the diameter in one roughing cut, mm. */
  readonly roughMostMm: number;
  /** Diameter allowance that starts the last equal cuts, mm. */
  readonly finishMm: number;
  readonly part: { readonly tempC: number; readonly shopC: number; readonly alphaPerK: number };
  /** Half width of the 95 % band of the last size, mm: what the instrument can tell. */
  readonly plusMinusMm: number;
  /** Half width of the band of the last size where more is known of it than the instrument tells, by a trial with its mate, mm. */
  readonly knownMm?: number | undefined;
  /** Dust of this metal, or of what lies about, is a danger: neither file, emery nor grinder is advised. */
  readonly noDust: boolean;
}

/** Smallest chip a side: carbide needs a real chip, honed high-speed steel shaves. */
export const LEAST_CHIP_MM = { carbide: 0.05, hss: 0.01 } as const;

/** What to do next at the lathe. */
export interface Advice {
  readonly state: 'measure-first' | 'cut' | 'spring' | 'polish' | 'in' | 'close' | 'under' | 'cool';
  /** Metal still to come off, on the diameter, mm; negative when too much is off. */
  readonly leftMm: number;
  /** Middle of the limits, mm. */
  readonly aimMm: number;
  /** Diameter that the next cut is expected to leave, mm; before anything is known of the tool the one that it is to leave. */
  readonly nextMm: number | null;
  /** Where to set the dial, in its unit. */
  readonly nextDial: number | null;
  /** How far to turn from the last setting, in dial units: in when turning, out when boring; negative where it is wound back. */
  readonly turnIn: number | null;
  /** What `nextMm` may be off by, 95 %, mm; null where no cut is advised, or nothing is known of the tool yet. */
  readonly nextPlusMinusMm: number | null;
  /** What still stands before the tool where it is set now, on the diameter, mm. */
  readonly standingMm: number;
  /** Cuts still to come, this one included. */
  readonly cutsLeft: number;
  readonly sentences: readonly string[];
  /** It advises a file or emery: their caution belongs beside it. */
  readonly abrasive: boolean;
}

/** A part warmer than the shop by more than this does not get its last cut, and proves nothing, K. */
export const WARM_K = 4;
/** Less than this is not worth a word, mm. */
const TOLD_MM = 0.002;
/** A spring pass must bring at least this share of what is left. */
const SPRING_SHARE = 0.5;
/** A cut may go under the limit with this chance at most: metal can still come off, it can't be put on. */
const MOST_UNDER = 0.015;
/** How much deeper than what is left a tool is ever set, as a multiple: for what it loses and is pushed away. */
const DEEPEST_TIMES = 2;

/** From so much left on, the equal finishing cuts begin: half over the allowance is not worth a roughing cut of its own. */
const finishFromMm = ({ finishMm }: Pick<CoachSettings, 'finishMm'>): number => 1.5 * finishMm;

/** Splits what is left into the next cut: roughing while there is room, then two equal ones. */
function nextCut(leftMm: number, s: CoachSettings, finishing: boolean): { offMm: number; cutsLeft: number } {
  // A little over the finishing allowance is no roughing cut: it goes into the two equal ones.
  if (leftMm > finishFromMm(s)) {
    const rough = leftMm - s.finishMm;
    const n = Math.ceil(rough / s.roughMostMm - 1e-9);
    return { offMm: rough / n, cutsLeft: n + 2 };
  }
  const halfChip = leftMm / 4;
  const twoCuts = !finishing && halfChip >= s.leastChipMm;
  return twoCuts ? { offMm: leftMm / 2, cutsLeft: 2 } : { offMm: leftMm, cutsLeft: 1 };
}

type Set = Pick<Advice, 'state' | 'nextMm' | 'nextPlusMinusMm' | 'nextDial' | 'turnIn' | 'standingMm' | 'sentences'>;

/** The compound at this angle to the lathe's axis goes in by a tenth of what its dial says: its sine is 0.0999. */
const TENTH_ANGLE = '5° 44′';

/** How people set what lies between two lines, where one line is more than half of the limits; empty where the lines are fine enough. */
function betweenLines({ lathe, limits, unit, rises }: CoachSettings): string {
  const lineMm = diameterForCrossDial(lathe.cross.perLine, lathe);
  if (lineMm <= (limits.upperMm - limits.lowerMm) / 2) return '';
  const coarse = `One line of this dial is ${formatWithUnit(lineMm, unit)} on the diameter, too coarse for these limits.`;
  if (rises) return `${coarse} Set the tool by an indicator on its tip.`;
  return `${coarse} Lock the cross slide with the compound ${TENTH_ANGLE} to the lathe’s axis: one line on the compound then goes in by a tenth of a line.`;
}

/** How far in the dial stands from where it was zeroed, mm on the diameter. */
const dialledMm = (cuts: readonly CutRecord[], { lathe }: CoachSettings): number =>
  diameterForCrossDial(cuts.at(-1)!.dial - cuts[0]!.dial, lathe);

/** The dial for a cut that is to leave a size: as deep as that, and no deeper than it may be with what is not known of the tool. */
function cutTo(targetMm: number, habit: ToolHabit, cuts: readonly CutRecord[], s: CoachSettings): Set {
  const at = dialledMm(cuts, s);
  const last = cuts.at(-1)!;
  const offMm = last.measuredMm - targetMm;
  const next = (d: number): Foretold => foretell(habit, d, s.limits.lowerMm);
  const safe = ({ under }: Foretold): boolean => under <= MOST_UNDER;
  // A cut winds in, if only to tell a springy tool from a worn screw; it is wound back where what still stands before the tool would go too far.
  const least = [at + offMm / 2, at].find((d) => safe(next(d))) ?? at - offMm;
  // Before anything is known of the tool the dial goes in by what is to come off: no deeper on a guess.
  const known = cuts.length > 1;
  const mostMm = at + (known ? DEEPEST_TIMES : 1) * offMm;
  const dialMm = deepest(least, mostMm, (d) => {
    const left = next(d);
    return left.mm >= targetMm && safe(left);
  });
  const expected = next(dialMm);
  const turnIn = crossDialFor(dialMm - at, s.lathe);
  const standingMm = known ? standingAt(habit, at) : 0;
  const more = dialMm - at + standingMm - (last.measuredMm - expected.mm);
  return {
    state: 'cut',
    nextMm: known ? expected.mm : targetMm,
    nextPlusMinusMm: known ? 2 * expected.sdMm : null,
    nextDial: last.dial + turnIn,
    turnIn,
    standingMm,
    sentences: [
      ...(standingMm >= TOLD_MM
        ? [`About ${formatWithUnit(standingMm, s.unit)} still stands before the tool from the cuts before: it comes off too.`]
        : []),
      ...(known && more >= TOLD_MM
        ? [`This tool takes about ${formatWithUnit(more, s.unit)} less than stands before it: allowed for.`]
        : []),
    ],
  };
}

/** The same setting once more, where what the tool was pushed away from is what is left; null where that would not do. */
function springPass(leftMm: number, habit: ToolHabit, cuts: readonly CutRecord[], s: CoachSettings): Set | null {
  const last = cuts.at(-1)!;
  if (cuts.length < 2 || last.dial === cuts.at(-2)!.dial) return null;
  const at = dialledMm(cuts, s);
  const { mm, sdMm, under } = foretell(habit, at, s.limits.lowerMm);
  const inside = mm + sdMm <= s.limits.upperMm && mm - sdMm >= s.limits.lowerMm && under <= MOST_UNDER;
  if (!inside || last.measuredMm - mm < SPRING_SHARE * leftMm) return null;
  return {
    state: 'spring',
    nextMm: mm,
    nextPlusMinusMm: 2 * sdMm,
    nextDial: last.dial,
    turnIn: 0,
    standingMm: standingAt(habit, at),
    sentences: ['Once more along it with the dial where it stands: what pushed the tool away before comes off now. Then measure.'],
  };
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

/** 1 where the dial rises as metal comes off, -1 where it falls. */
export const dialSign = ({ side, rises }: Pick<CoachSettings, 'side' | 'rises'>): 1 | -1 => (side === 'outside' || rises ? 1 : -1);

/**
 * The second voice at the lathe: how much is left, what to set next, when to take two equal cuts, when to let it cool.
 *
 * @param cuts oldest first; the first is the touch-off: dial and size before any cut
 */
export function advise(cuts: readonly CutRecord[], s: CoachSettings): Advice {
  if (s.side === 'outside') return adviseAlong(cuts, s);
  // A bore is the outside in a mirror: sizes change their sign, and a dial that falls; what is to come off does not.
  const sign = dialSign(s);
  const advice = adviseAlong(
    cuts.map((c) => ({ dial: sign * c.dial, measuredMm: -c.measuredMm })),
    { ...s, limits: { lowerMm: -s.limits.upperMm, upperMm: -s.limits.lowerMm } },
  );
  const back = (x: number | null): number | null => (x === null ? null : -x);
  return { ...advice, aimMm: -advice.aimMm, nextMm: back(advice.nextMm), nextDial: advice.nextDial && sign * advice.nextDial };
}

/**
 * The count on the cross-slide dial, found again from a size that a pass just left with the tool where it stands now.
 *
 * @param cuts before the count was lost, oldest first
 * @param sizeMm measured after that pass, at 20 °C
 * @returns the dial's count from where it was zeroed, in its unit; null where nothing was cut before, or the pass took nothing off
 */
export function countAgain(
  cuts: readonly CutRecord[],
  sizeMm: number,
  s: Pick<CoachSettings, 'lathe' | 'side' | 'rises' | 'plusMinusMm' | 'leastChipMm'>,
): number | null {
  const sign = s.side === 'outside' ? 1 : -1;
  const dial = dialSign(s);
  const along = cuts.map((c) => ({ dial: dial * c.dial, measuredMm: sign * c.measuredMm }));
  const last = along.at(-1);
  if (!last || sign * sizeMm >= last.measuredMm) return null;
  const habit = learnHabit(along, s.lathe, s.plusMinusMm / 2, s.leastChipMm);
  const at = diameterForCrossDial(last.dial - along[0]!.dial, s.lathe);
  const off = last.measuredMm - sign * sizeMm;
  const dialMm = deepest(at - off, at + DEEPEST_TIMES * off, (d) => foretell(habit, d, -Infinity).mm >= sign * sizeMm);
  return dial * (along[0]!.dial + crossDialFor(dialMm, s.lathe));
}

/** A cut that would leave too much where it does what is expected of it is not the last. */
const SHORT = 'Then measure. It stops short of the limits on purpose: what this tool does is not known well enough to go all the way.';

const thenCuts = (cutsLeft: number): string =>
  cutsLeft === 1 ? 'Last cut.' : cutsLeft === 2 ? 'Then measure. Two equal cuts are left.' : `Then measure. ${cutsLeft} cuts are left.`;

function adviseAlong(cuts: readonly CutRecord[], s: CoachSettings): Advice {
  const [beyond, far] = s.side === 'outside' ? ['Under', 'lower'] : ['Over', 'upper'];
  const aimMm = (s.limits.lowerMm + s.limits.upperMm) / 2;
  const last = cuts.at(-1);
  const none = { aimMm, nextMm: null, nextPlusMinusMm: null, nextDial: null, turnIn: null, standingMm: 0, cutsLeft: 0, abrasive: false };
  if (!last)
    return {
      ...none,
      state: 'measure-first',
      leftMm: 0,
      sentences: ['Take a skim so that it runs true, set the dial to zero, and measure.'],
    };
  const leftMm = last.measuredMm - aimMm;
  const done = { ...none, leftMm };
  const plusMinusMm = s.knownMm ?? s.plusMinusMm;
  const verdict = judge(last.measuredMm, plusMinusMm, s.limits);
  const told = formatWithUnit(plusMinusMm, s.unit);
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
  const coarse = 2 * plusMinusMm >= s.limits.upperMm - s.limits.lowerMm;
  // What is left is less than anybody can read: nothing more comes off for that.
  const middle = leftMm > 0 && leftMm <= plusMinusMm;
  if (last.measuredMm <= s.limits.upperMm && (coarse || middle || leftMm <= 0))
    return {
      ...done,
      state: 'close',
      sentences: [
        coarse
          ? `Inside the limits as it reads, but ±${told} is more than they leave. Stop, and measure with a finer instrument.`
          : middle
            ? `Near the middle of the limits: what is left is less than ±${told} tells. Stop, and measure again, cold, with the finest instrument here.`
            : `Near the ${far} limit by less than ±${told}. Stop: measure again, cold, with the finest instrument here.`,
      ],
    };
  const habit = learnHabit(cuts, s.lathe, s.plusMinusMm / 2, s.leastChipMm);
  const finishing = cuts.length > 1 && cuts.at(-2)!.measuredMm - aimMm <= finishFromMm(s);
  const { offMm, cutsLeft } = nextCut(leftMm, s, finishing);
  const spring = springPass(leftMm, habit, cuts, s);
  if (!spring && offMm / 2 < s.leastChipMm)
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
  if ((spring || cutsLeft === 1) && warmK > WARM_K)
    return {
      ...done,
      state: 'cool',
      cutsLeft,
      sentences: [
        `The part is ${warmK.toFixed(0)} °C above the shop and reads ${formatWithUnit(bigMm, s.unit)} big. Let it cool before the last cut.`,
      ],
    };
  if (spring) return { ...done, ...spring };
  const cut = cutTo(last.measuredMm - offMm, habit, cuts, s);
  const short = cutsLeft === 1 && cut.nextMm! > s.limits.upperMm;
  const between = cutsLeft <= 2 ? betweenLines(s) : '';
  return {
    ...done,
    ...cut,
    cutsLeft: short ? 2 : cutsLeft,
    sentences: [...cut.sentences, short ? SHORT : thenCuts(cutsLeft), ...(between ? [between] : [])],
  };
}
