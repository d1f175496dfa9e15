import {
  coarseSlips,
  doubtReading,
  fineSlips,
  grossError,
  instrumentsFor,
  K95,
  othersShow,
  outOfRange,
  type Reads,
  type Slip,
  type Weighable,
  type Side,
} from '../../evidence/readings';
import { formatLength, formatWithUnit, fromUnit, MOST_LENGTH_MM, toUnit, type LengthUnit } from '../../terms/quantity';
import { capital } from '../../terms/words';
import type { InstrumentRecord } from './records';

/** One way out of a doubt. */
export type Offer =
  | { readonly kind: 'keep'; readonly words: string }
  | { readonly kind: 'take'; readonly valueMm: number; readonly words: string }
  | { readonly kind: 'instrument'; readonly instrumentId: string; readonly words: string };

/** A question to ask before a reading is kept, with the ways out, likeliest first. */
export interface ReadingDoubt {
  readonly message: string;
  readonly offers: readonly Offer[];
}

/** What is known where a reading is about to be kept. */
export interface DoubtInput {
  readonly valueMm: number;
  /** Unit and decimals as typed. */
  readonly unit: LengthUnit;
  readonly decimals: number;
  readonly instrument: InstrumentRecord | undefined;
  readonly crib: readonly InstrumentRecord[];
  readonly reads: Reads;
  /** Unit of the job: of two instruments that fit, its own comes first. */
  readonly jobUnit: LengthUnit;
  readonly uMm: number;
  readonly stationMm: number;
  readonly clockDeg: number;
  readonly points: 2 | 3;
  readonly expectedMm: number | null;
  /** The same thing read at this place before. */
  readonly taken: readonly Weighable[];
  /** Other sizes of the same part, and what it was: the scale of a first reading. */
  readonly scaleMm: readonly number[];
  /** Limits of what is proved; null for anything else. */
  readonly limits: { readonly lowerMm: number; readonly upperMm: number } | null;
  /** At the lathe: size before this cut, and what the dial says that it is now; nulls before the first. */
  readonly cut: { readonly side: Side; readonly beforeMm: number | null; readonly dialMm: number | null } | null;
}

const KEEP = 'It is right: keep it';
const UNLOGGED = 'Right: there was a cut that is not written down';
/** A cut differs from what was dialled by spring and wear of the tool: this share of it, and at least this, mm, is no doubt. */
const CUT_SHARE = 0.25;
const CUT_LEAST_MM = 0.03;
/** A part warm from the cut reads big by up to this share. */
const HEAT_SHARE = 0.0006;
/** A first size within these times the other sizes of the part is nothing strange. */
const SCALE_TIMES = 8;
const MOST_INSTRUMENTS = 2;
/** A finished size is out of its limits by no more than this, mm, or than so many times their width, or it is another size. */
const PROVED_LEAST_MM = 0.3;
const PROVED_WIDTHS = 3;

/** As many decimals as show the number whole, at least those that were typed. */
function wholeDecimals(mm: number, unit: LengthUnit, atLeast: number): number {
  const value = toUnit(mm, unit);
  let decimals = Math.max(atLeast, unit === 'mm' ? 2 : 3);
  while (decimals < MOST_DECIMALS && Math.abs(value - Number(value.toFixed(decimals))) > 1e-7) decimals++;
  return decimals;
}
const MOST_DECIMALS = 5;

const takeIt = ({ mm, why }: Slip, unit: LengthUnit, decimals: number): Offer => ({
  kind: 'take',
  valueMm: mm,
  words: `Take ${formatLength(mm, unit, wholeDecimals(mm, unit, decimals))} ${unit} (${why})`,
});

function doubtRange(i: DoubtInput): ReadingDoubt | null {
  const { instrument, valueMm, unit } = i;
  if (!instrument || i.reads === 'indicator' || !outOfRange(valueMm, instrument)) return null;
  // What the scale of the part or the instrument's own range makes of the number with the point elsewhere.
  const meant = coarseSlips(valueMm, unit).filter(
    (s) =>
      !outOfRange(s.mm, instrument) &&
      s.mm > instrument.rangeLowMm &&
      (i.scaleMm.length
        ? onScale(s.mm, i.scaleMm)
        : isThou(s, i) || isOtherUnit(s, i) || (i.expectedMm !== null && onScale(s.mm, [i.expectedMm]))),
  );
  const others = instrumentsFor(i.crib, i.reads, valueMm, i.jobUnit)
    .filter((o) => o.id !== instrument.id)
    .slice(0, MOST_INSTRUMENTS);
  return {
    message: `${instrument.name} cannot show ${formatWithUnit(valueMm, unit, i.decimals)}: which instrument, or which size?`,
    offers: [
      ...meant.slice(0, 1).map((s) => takeIt(s, unit, i.decimals)),
      ...others.map((o): Offer => ({ kind: 'instrument', instrumentId: o.id, words: `It was ${o.name}` })),
      { kind: 'keep', words: `${KEEP}, as a caliper would` },
    ],
  };
}

/** Nobody measures 20 in with a mic that ends at one: a whole number as large was meant in thou. */
const isThou = (s: Slip, i: DoubtInput): boolean => s.why === 'thou' && toUnit(i.valueMm, 'in') >= LEAST_AS_THOU;
const LEAST_AS_THOU = 20;

/** Read in the job's unit from an instrument that shows the other. */
const isOtherUnit = (s: Slip, i: DoubtInput): boolean => i.unit !== i.jobUnit && Math.abs(s.mm - swapUnit(i)) < 1e-9;
const swapUnit = ({ valueMm, unit, jobUnit }: DoubtInput): number => fromUnit(toUnit(valueMm, unit), jobUnit);

const onScale = (mm: number, scaleMm: readonly number[]): boolean =>
  mm < SCALE_TIMES * Math.max(...scaleMm) && mm > Math.min(...scaleMm) / SCALE_TIMES;

function doubtCut(i: DoubtInput): ReadingDoubt | null {
  const { cut, valueMm, unit } = i;
  if (!cut || cut.beforeMm === null) return null;
  const band = K95 * i.uMm * Math.SQRT2 + HEAT_SHARE * valueMm;
  // A bore is the outside in a mirror: it only gets bigger.
  const sign = cut.side === 'outside' ? 1 : -1;
  const grew = sign * (valueMm - cut.beforeMm) > band;
  const dialled = cut.dialMm === null ? 0 : sign * (cut.beforeMm - cut.dialMm);
  const room = Math.max(CUT_SHARE * dialled, CUT_LEAST_MM, band);
  const off = cut.dialMm === null ? 0 : valueMm - cut.dialMm;
  if (!grew && Math.abs(off) <= room) return null;
  const near = (mm: number): boolean => Math.abs(mm - (cut.dialMm ?? cut.beforeMm!)) <= Math.max(room / 2, band);
  const slip = [...fineSlips(valueMm, unit, i.decimals), ...coarseSlips(valueMm, unit)].find((s) => near(s.mm));
  const show = (mm: number): string => formatWithUnit(mm, unit);
  const slips = slip ? [takeIt(slip, unit, i.decimals)] : [];
  if (grew)
    return {
      message:
        cut.side === 'outside'
          ? `${show(valueMm)} is more than the ${show(cut.beforeMm)} before the cut: cutting makes no outside bigger. Warm, or misread?`
          : `${show(valueMm)} is less than the ${show(cut.beforeMm)} before the cut: boring makes no hole smaller. Warm, a chip in it, or misread?`,
      offers: [...slips, { kind: 'keep', words: KEEP }],
    };
  return {
    message: `${show(valueMm)} where the dial says ${show(cut.dialMm!)}.`,
    // A cut that nobody wrote down takes metal off; it never leaves more than was dialled.
    offers: sign * off < 0 ? [{ kind: 'keep', words: UNLOGGED }, ...slips] : [...slips, { kind: 'keep', words: KEEP }],
  };
}

function doubtAmongOthers(i: DoubtInput): ReadingDoubt | null {
  const { valueMm, unit, decimals, stationMm, clockDeg, uMm, points } = i;
  const suspect = grossError({ id: '', stationMm, clockDeg, valueMm, uMm, points, unit, decimals }, i.taken);
  if (!suspect) return null;
  const { slip, expectedMm, against } = suspect;
  const said = `${formatWithUnit(valueMm, unit)} where ${othersShow(against, formatWithUnit(expectedMm, unit))}.`;
  return {
    message: slip ? `${said} ${capital(slip.why)}?` : `${said} Read it again, or say that it is right.`,
    offers: [...(slip ? [takeIt(slip, unit, decimals)] : []), { kind: 'keep', words: KEEP }],
  };
}

/** What was cut to size is near its size: a number far from it belongs to another place, or was slipped. */
function doubtProved(i: DoubtInput): ReadingDoubt | null {
  if (!i.limits || i.reads === 'indicator') return null;
  const { lowerMm, upperMm } = i.limits;
  const room = Math.max(PROVED_LEAST_MM, PROVED_WIDTHS * (upperMm - lowerMm));
  const near = (mm: number): boolean => mm >= lowerMm - room && mm <= upperMm + room;
  if (near(i.valueMm)) return null;
  const slip = [...fineSlips(i.valueMm, i.unit, i.decimals), ...coarseSlips(i.valueMm, i.unit)].find((s) => near(s.mm));
  const show = (mm: number): string => formatWithUnit(mm, i.unit);
  return {
    message: `${show(i.valueMm)} where ${show(lowerMm)} to ${show(upperMm)} was to come out. Of another place, or misread?`,
    offers: [...(slip ? [takeIt(slip, i.unit, i.decimals)] : []), { kind: 'keep', words: KEEP }],
  };
}

function doubtCoarse(i: DoubtInput): ReadingDoubt | null {
  const coarse = doubtReading(i.valueMm, i.unit, i.expectedMm);
  if (!coarse) return null;
  const take: Offer[] =
    coarse.suggestionMm === null
      ? []
      : [{ kind: 'take', valueMm: coarse.suggestionMm, words: `Take ${formatWithUnit(coarse.suggestionMm, i.unit)}` }];
  const keep: Offer = { kind: 'keep', words: KEEP };
  // Where the part has such sizes elsewhere and nothing explains a slip, it is most likely right.
  return { message: coarse.message, offers: take.length ? [...take, keep] : [keep] };
}

/** A first reading has only the part's other sizes to be held against. */
function doubtFirst(i: DoubtInput): ReadingDoubt | null {
  if (i.expectedMm !== null || i.taken.length || i.reads === 'indicator' || i.scaleMm.length === 0 || onScale(i.valueMm, i.scaleMm))
    return null;
  const slip = coarseSlips(i.valueMm, i.unit).find((s) => onScale(s.mm, i.scaleMm));
  if (!slip) return null;
  return {
    message: `${formatWithUnit(i.valueMm, i.unit, i.decimals)} on a part of ${formatWithUnit(Math.max(...i.scaleMm), i.unit)}?`,
    offers: [takeIt(slip, i.unit, i.decimals), { kind: 'keep', words: KEEP }],
  };
}

/**
 * Doubts a reading before it stands: by the instrument's range, by what the dial took off, by the repeats, directions and stations
 * beside it, by the limits of what is proved, by what is expected, by the size of the part. The finest expectation that there is asks first.
 *
 * @returns null when the reading may stand
 */
export function doubtOf(i: DoubtInput): ReadingDoubt | null {
  const doubt = doubtRange(i) ?? doubtCut(i) ?? doubtProved(i) ?? doubtAmongOthers(i) ?? doubtCoarse(i) ?? doubtFirst(i);
  if (Math.abs(i.valueMm) <= MOST_LENGTH_MM) return doubt;
  // Longer than anything in a shop: it is not kept, only what else it may have been is offered.
  const told = formatWithUnit(i.valueMm, i.unit, i.decimals);
  return {
    message: `${told} is over ${MOST_LENGTH_MM / 1000} m, longer than anything here. Check the point and the unit.`,
    offers: (doubt?.offers ?? []).filter((o) => o.kind === 'take' && o.valueMm <= MOST_LENGTH_MM),
  };
}
