import { toUnit } from '../../terms/quantity';
import type { Dial, Lathe } from './machine';
import { countOf } from '../../terms/words';

/** A travel as a hand counts it: full turns, then the rest on the dial. */
export interface DialTurns {
  readonly turns: number;
  /** What the dial shows beyond the full turns, in the dial's unit. */
  readonly remainder: number;
}

/**
 * Splits a number on a dial into full turns and the remainder, rounded to half a line.
 *
 * @param reading what the dial has counted from its zero, in its own unit, at least 0
 */
export function turnsOf(reading: number, dial: Dial): DialTurns {
  const half = dial.perLine / 2;
  const total = Math.round(reading / half) * half;
  const turns = Math.floor(total / dial.perTurn + 1e-9);
  return { turns, remainder: Math.abs(total - turns * dial.perTurn) };
}

/** The same for a travel along the part, mm. */
export const toTurns = (travelMm: number, dial: Dial): DialTurns => turnsOf(toUnit(travelMm, dial.unit), dial);

/** How far the cross slide goes in for a change of diameter, as its hand dial counts it: radius or diameter. */
export const crossTurns = (diameterChangeMm: number, lathe: Pick<Lathe, 'cross'>): DialTurns =>
  turnsOf(crossDialFor(diameterChangeMm, lathe), lathe.cross);

/** Turns in words: `1 turn + 0.1748`; the remainder alone within the first turn. */
export function turnsWords({ turns, remainder }: DialTurns, dial: Dial): string {
  const rest = remainder.toFixed(dialDecimals(dial));
  return turns === 0 ? rest : `${countOf(turns, 'turn')} + ${rest}`;
}

/** Further from a half line than this share of a line, it is only about there. */
const ON_LINE = 0.05;

/** A move of the dial as an eye counts it, to half a line: `3 lines and a half`, `about 6 lines`. */
export function linesWords(move: number, { perLine }: Pick<Dial, 'perLine'>): string {
  const lines = move / perLine;
  const told = Math.round(2 * lines) / 2;
  if (told === 0) return 'less than half a line';
  const whole = Math.floor(told);
  const about = Math.abs(lines - told) > ON_LINE ? 'about ' : '';
  if (whole === 0) return `${about}half a line`;
  return `${about}${countOf(whole, 'line')}${told > whole ? ' and a half' : ''}`;
}

/** Dial units that the cross slide must move for a change of diameter, mm: half of it on a radius dial. */
export const crossDialFor = (diameterChangeMm: number, lathe: Pick<Lathe, 'cross'>): number =>
  toUnit(lathe.cross.reads === 'radius' ? diameterChangeMm / 2 : diameterChangeMm, lathe.cross.unit);

/** Change of diameter, mm, for a move on the cross-slide dial. */
export const diameterForCrossDial = (dialMove: number, lathe: Pick<Lathe, 'cross'>): number => {
  const mm = lathe.cross.unit === 'mm' ? dialMove : dialMove * 25.4;
  return lathe.cross.reads === 'radius' ? 2 * mm : mm;
};

/** How many decimals the dial can show, in its own unit: half of one line. */
export const dialDecimals = (dial: Dial): number => Math.max(0, Math.ceil(-Math.log10(dial.perLine) - 1e-9) + 1);
