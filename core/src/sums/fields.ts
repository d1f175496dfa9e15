import { MATERIALS } from '../book/materials';
import type { SumField } from './sum-field';

/** A length from nearly nothing to `toMm`. */
export const length = (id: string, label: string, startMm: number, toMm = 2000, fromMm = 0.001): SumField => ({
  kind: 'length',
  id,
  label,
  startMm,
  fromMm,
  toMm,
});

/** A number with its unit; `from` and `to` in that unit. */
export const number = (id: string, label: string, unit: string, start: number, from: number, to: number): SumField => ({
  kind: 'number',
  id,
  label,
  unit,
  start,
  from,
  to,
});

/** A whole number within a range. */
export const whole = (id: string, label: string, start: number, from: number, to: number): SumField => ({
  kind: 'number',
  id,
  label,
  unit: '',
  start,
  from,
  to,
  whole: true,
});

/** The row of a table that is worked, 1 the first: the table's own rows set it. */
export const rowField = (label = 'Row that is worked'): SumField => whole('row', label, 1, 1, 20);

/** The chosen of some rows; the last where there are fewer. */
export const rowOf = <T>(
  rows: readonly T[],
  row: number,
): { readonly item: T; readonly chosen: { readonly field: string; readonly row: number } } => {
  const at = Math.min(row, rows.length);
  return { item: rows[at - 1]!, chosen: { field: 'row', row: at } };
};

/** One of several, by value and words; the first unless told otherwise. */
export const choice = (id: string, label: string, options: readonly (readonly [string, string])[], start = options[0]![0]): SumField => ({
  kind: 'choice',
  id,
  label,
  options,
  start,
});

/** A thread as people write it: `M16 x 1.5`, `3/8-24`. */
export const thread = (id: string, label: string, start: string): SumField => ({ kind: 'thread', id, label, start });

/** A metal of the book, by its id. */
export const material = (id: string, label: string, start: string): SumField =>
  choice(
    id,
    label,
    MATERIALS.map((m) => [m.id, m.name] as const),
    start,
  );
