import { tabled, typed, workedOut, type Figure, type Measure } from '../terms/working';

/** A figure that somebody typed at the bench, in the unit of its measure (mm, rpm, minutes). */
export const given = (key: string, label: string, value: number, measure: Measure = 'length'): Figure =>
  typed(key, label, value, 'hand at the bench', '', measure);

/** A result in the unit of its measure, with how it was worked and from what. */
export const result = (
  key: string,
  label: string,
  value: number,
  how: string,
  from: readonly Figure[] = [],
  measure: Measure = 'length',
): Figure => workedOut(key, label, value, how, from, { measure });

/** A figure that stands in a table or follows from one: it says which. */
export const fromTable = (key: string, label: string, value: number, source: string, measure: Measure = 'length'): Figure =>
  tabled(key, label, value, source, measure);
