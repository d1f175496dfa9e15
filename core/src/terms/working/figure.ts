/** What kind of number it is; lengths are mm inside and shown in the reader's unit. */
export type Measure =
  | 'length'
  | 'ratio'
  | 'temperature'
  | 'rpm'
  | 'speed'
  | 'mass'
  | 'probability'
  | 'count'
  | 'angle'
  | 'stress'
  | 'force'
  | 'torque'
  | 'time'
  | 'price';

/** Where a figure comes from. */
export type Origin =
  | { readonly kind: 'reading'; readonly text: string; readonly instrument: string; readonly by: string; readonly at: string }
  | { readonly kind: 'rule'; readonly rule: string }
  | { readonly kind: 'table'; readonly source: string }
  | { readonly kind: 'typed'; readonly by: string; readonly reason: string }
  | { readonly kind: 'sum'; readonly terms: readonly Term[] }
  | { readonly kind: 'worked'; readonly how: string; readonly from: readonly Figure[] };

/** A figure added to or taken from a sum. */
export interface Term {
  readonly sign: 1 | -1;
  readonly figure: Figure;
}

/**
 * A number that can say where it came from. `value` is in mm, °C, rpm, m/min, kg, radians, MPa, N, Nm, minutes,
 * whole money or a plain ratio by `measure`.
 * `key` names the same figure across recomputation, so that old and new can be compared.
 */
export interface Figure {
  readonly key: string;
  readonly label: string;
  readonly measure: Measure;
  readonly value: number;
  readonly origin: Origin;
  /** Half width of the 95 % band, in the unit of `value`. */
  readonly plusMinus?: number;
  readonly limits?: { readonly lower: number; readonly upper: number };
  readonly note?: string;
  /** Doubts about what it rests on, such as an instrument overdue for calibration; every figure made of it carries them on. */
  readonly flags?: readonly string[];
}

type Extra = Partial<Pick<Figure, 'plusMinus' | 'limits' | 'note'>>;

/** The doubts of some figures, each once; nothing at all when there is none. */
function flagsOf(figures: readonly Figure[]): Pick<Figure, 'flags'> {
  const all = new Set<string>();
  for (const f of figures) if (f.flags) for (const flag of f.flags) all.add(flag);
  return all.size ? { flags: [...all] } : {};
}

/** A figure that is added in a sum. */
export const plus = (figure: Figure): Term => ({ sign: 1, figure });
/** A figure that is taken off in a sum. */
export const minus = (figure: Figure): Term => ({ sign: -1, figure });

/**
 * A figure that is the sum of its terms, in their unit: the value cannot disagree with the chain. Terms of different measures
 * (a length and minutes, money and a mass) are a bug and throw.
 */
export function sumOf(key: string, label: string, terms: readonly Term[], extra: Extra = {}): Figure {
  const measures = new Set(terms.map((t) => t.figure.measure));
  if (measures.size > 1) throw new Error(`${label}: ${[...measures].join(' and ')} cannot be added.`);
  const value = terms.reduce((total, term) => total + term.sign * term.figure.value, 0);
  return {
    key,
    label,
    measure: terms[0]?.figure.measure ?? 'length',
    value,
    origin: { kind: 'sum', terms },
    ...flagsOf(terms.map((t) => t.figure)),
    ...extra,
  };
}

/** A figure computed from others by a rule that is told in words; `value` in the unit of its measure, mm unless told. */
export const workedOut = (
  key: string,
  label: string,
  value: number,
  how: string,
  from: readonly Figure[],
  extra: Extra & { measure?: Measure } = {},
): Figure => ({ measure: 'length', key, label, value, origin: { kind: 'worked', how, from }, ...flagsOf(from), ...extra });

/** A figure that a house rule gives; `value` in the unit of its measure, mm unless told. */
export const ruled = (key: string, label: string, value: number, rule: string, measure: Measure = 'length'): Figure => ({
  key,
  label,
  measure,
  value,
  origin: { kind: 'rule', rule },
});

/** A figure out of a table or a record, with its source; `value` in the unit of its measure, mm unless told. */
export const tabled = (key: string, label: string, value: number, source: string, measure: Measure = 'length'): Figure => ({
  key,
  label,
  measure,
  value,
  origin: { kind: 'table', source },
});

/** A figure that somebody typed or decided, with who or where; `value` in the unit of its measure, mm unless told. */
export const typed = (key: string, label: string, value: number, by: string, reason = '', measure: Measure = 'length'): Figure => ({
  key,
  label,
  measure,
  value,
  origin: { kind: 'typed', by, reason },
});
