import { MM_PER_INCH } from '../../terms/quantity';
import { FORMS, type ThreadForm } from './form';

/** One thread of a standard (or by its formula): what it is called and its basic sizes. */
export interface Thread {
  /** As written on a drawing: `3/8-24 UNF`, `M16 x 1.5`, `1/2 BSF`, `2 BA`, `Tr 30 x 6`, `1-5 ACME`, `G 1/2`, `1/2 NPT`. */
  readonly name: string;
  readonly system: 'unified' | 'metric' | 'whitworth' | 'ba' | 'trapezoidal' | 'acme' | 'pipe' | 'cycle';
  readonly series: string;
  readonly form: ThreadForm;
  readonly majorMm: number;
  readonly pitchMm: number;
  readonly unit: 'mm' | 'in';
  /** Threads per inch, where the thread is named by them. */
  readonly tpi?: number;
  /** Kept on the shelf by every dealer; a rare one exists but has to be ordered or cut. */
  readonly common: boolean;
  /** 1:16 on the diameter. */
  readonly tapered?: true;
  readonly source: string;
}

/** Basic pitch diameter, mm. */
export const pitchDiameterMm = (t: Pick<Thread, 'majorMm' | 'pitchMm' | 'form'>): number => t.majorMm - t.form.toPitchDiameter * t.pitchMm;
/** Basic minor diameter of the inside thread, mm. */
export const minorMm = (t: Pick<Thread, 'majorMm' | 'pitchMm' | 'form'>): number => t.majorMm - t.form.toMinor * t.pitchMm;

/** `1_3/8` or `#10` to inch. */
export function inchSize(text: string, numbered: Readonly<Record<string, number>> = {}): number {
  const own = numbered[text];
  if (own !== undefined) return own;
  return text.split('_').reduce((sum, piece) => {
    const [top, bottom] = piece.split('/').map(Number);
    return sum + top! / (bottom ?? 1);
  }, 0);
}

/** A thread named by inch size and threads per inch. */
export function inchThread(
  tpi: number,
  given: Pick<Thread, 'system' | 'series' | 'form' | 'common' | 'source' | 'name'> & { majorIn: number },
): Thread {
  const { majorIn, ...rest } = given;
  return { ...rest, majorMm: majorIn * MM_PER_INCH, pitchMm: MM_PER_INCH / tpi, unit: 'in', tpi };
}

/** A unified thread by formula, for a pair that is in no series (UNS). */
export const specialUnified = (majorIn: number, tpi: number): Thread => ({
  name: `${majorIn}-${tpi} UNS`,
  system: 'unified',
  series: 'special',
  form: FORMS.iso60,
  majorMm: majorIn * MM_PER_INCH,
  pitchMm: MM_PER_INCH / tpi,
  unit: 'in',
  tpi,
  common: false,
  source: 'ASME B1.1 formulas',
});

/** A metric thread by formula, for a pair that is in no series. */
export const specialMetric = (majorMm: number, pitchMm: number): Thread => ({
  name: `M${majorMm} x ${pitchMm} special`,
  system: 'metric',
  series: 'special',
  form: FORMS.iso60,
  majorMm,
  pitchMm,
  unit: 'mm',
  common: false,
  source: 'ISO 68-1 form, no series',
});
