import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_THOU } from '../../terms/quantity';
import { B41_CLASSES, B41_FORCE_STEP_UPPER_IN, B41_GRADE, B41_STEP_UPPER_IN, type B41Class } from './ansi-b41.data';
import type { Deviations } from './iso286';

export type InchClass = keyof typeof B41_CLASSES;
export const INCH_CLASSES = Object.keys(B41_CLASSES) as readonly InchClass[];
export const B41_MOST_IN = 19.69;

/** Deviations of a class in thousandths of an inch, exactly as published. */
export interface InchFit {
  readonly hole: { readonly lowerThou: number; readonly upperThou: number };
  readonly shaft: { readonly lowerThou: number; readonly upperThou: number };
}

/** The step of the tables that a size lies in; -1 outside. */
const stepIn = (bounds: readonly number[], sizeIn: number): number =>
  sizeIn > 0 ? bounds.findIndex((upper) => sizeIn <= upper + DUST_IN) : -1;
/** A size that went to mm and back is no longer exact: 0.95 in must stay in its step. */
const DUST_IN = 1e-7;

/** Takes the dust off sums of tabled decimals: the table has at most two decimals of a thou. */
const published = (thou: number): number => Math.round(thou * 100) / 100 + 0;

/**
 * Limits of an ANSI B4.1 class (RC running, LC, LT, LN locating, FN force), for nominal sizes over 0 to 19.69 in.
 *
 * @param sizeIn nominal size, inch
 * @example inchFit('RC4', 1) // hole 0 to +1.2, shaft -1.6 to -0.8 thou
 */
export function inchFit(name: string, sizeIn: number): Outcome<InchFit> {
  const key = name.trim().toUpperCase().replace(/\s+/g, '');
  if (!(key in B41_CLASSES))
    return bad('class', `"${name}" is not a class of ANSI B4.1. Classes are RC1 to RC9, LC1 to LC11, LT1 to LT6, LN1 to LN3, FN1 to FN5.`);
  const row: B41Class = B41_CLASSES[key as InchClass];
  const step = stepIn(B41_STEP_UPPER_IN, sizeIn);
  if (step < 0)
    return bad(
      'out-of-table',
      `ANSI B4.1 is in the book for sizes over 0 to ${B41_MOST_IN} in; ${sizeIn} in is outside. Use a house rule.`,
    );
  const own = row.steps === 'force' ? stepIn(B41_FORCE_STEP_UPPER_IN, sizeIn) : step;
  const shaft = row.shaft[own];
  if (shaft === null || shaft === undefined) return bad('out-of-table', `ANSI B4.1 gives no ${key} at ${sizeIn} in.`);
  const width = row.shaftWidth?.[own] ?? B41_GRADE[row.shaftGrade][step]!;
  const ends = { upper: [-shaft - width, -shaft], lower: [shaft, shaft + width], middle: [-shaft, shaft] }[row.from];
  return good({
    hole: { lowerThou: 0, upperThou: B41_GRADE[row.holeGrade][step]! },
    shaft: { lowerThou: published(ends[0]!), upperThou: published(ends[1]!) },
  });
}

const inMm = (d: { lowerThou: number; upperThou: number }): Deviations => ({
  lowerMm: d.lowerThou * MM_PER_THOU,
  upperMm: d.upperThou * MM_PER_THOU,
});

/** The same as deviations in mm, for a size in inches; a problem where there is no such class or size. */
export function inchFitMm(name: string, sizeIn: number): Outcome<{ readonly hole: Deviations; readonly shaft: Deviations }> {
  const fit = inchFit(name, sizeIn);
  return fit.ok ? good({ hole: inMm(fit.value.hole), shaft: inMm(fit.value.shaft) }) : fit;
}
