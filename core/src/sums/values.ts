import { bad, good, type Outcome, type Problem } from '../terms/outcome';
import {
  formatLength,
  fromUnit,
  MOST_LENGTH_MM,
  parseLength,
  parseNumberList,
  parseSignedNumber,
  type LengthUnit,
} from '../terms/quantity';
import { findThread, threadOf, type Thread } from '../book/threads';
import { MPA_PER_KSI, NM_PER_LBF_FT, N_PER_LBF } from '../terms/working';
import type { SumField } from './sum-field';

type Value = number | string | Thread | readonly number[];

/** The checked values of a calculation's fields. Asking for a field that was not declared is a bug and throws. */
export class SumValues {
  constructor(private readonly values: ReadonlyMap<string, Value>) {}

  private get(id: string): Value {
    const value = this.values.get(id);
    if (value === undefined) throw new Error(`The sum has no field ${id}.`);
    return value;
  }

  /** mm for a length, the plain number otherwise. */
  number(id: string): number {
    return this.get(id) as number;
  }
  choice<T extends string = string>(id: string): T {
    return this.get(id) as T;
  }
  thread(id: string): Thread {
    return this.get(id) as Thread;
  }
  list(id: string): readonly number[] {
    return this.get(id) as readonly number[];
  }
}

const outside = (id: string, label: string, from: string, to: string): Outcome<never> =>
  bad('range', `${label}: between ${from} and ${to}.`, id);

function readLength(f: Extract<SumField, { kind: 'length' }>, text: string, unit: LengthUnit): Outcome<Value> {
  const parsed = parseLength(text, { unit, allowNegative: f.fromMm < 0, allowZero: f.fromMm <= 0 });
  if (!parsed.ok) return bad(parsed.problems[0]!.code, parsed.problems[0]!.message, f.id);
  const mm = parsed.value.valueMm;
  const show = (x: number): string => `${formatLength(x, unit)} ${unit}`;
  return mm < f.fromMm - 1e-9 || mm > f.toMm + 1e-9 ? outside(f.id, f.label, show(f.fromMm), show(f.toMm)) : good(mm);
}

/** Units that a number may be typed in besides its own, and what one of them is in it. */
const TYPED_UNITS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  min: { min: 1, s: 1 / 60, sec: 1 / 60, h: 60 },
  MPa: { mpa: 1, psi: MPA_PER_KSI / 1000, ksi: MPA_PER_KSI, bar: 0.1 },
  N: { n: 1, kn: 1000, lbf: N_PER_LBF, lb: N_PER_LBF },
  kN: { kn: 1, n: 0.001, lbf: N_PER_LBF / 1000 },
  Nm: {
    nm: 1,
    lbfft: NM_PER_LBF_FT,
    lbft: NM_PER_LBF_FT,
    ftlbf: NM_PER_LBF_FT,
    ftlb: NM_PER_LBF_FT,
    lbfin: NM_PER_LBF_FT / 12,
    inlb: NM_PER_LBF_FT / 12,
  },
};

function readNumber(f: Extract<SumField, { kind: 'number' }>, text: string): Outcome<Value> {
  const [, digits, word] = /^(.*?)\s*([a-z][a-z\s·.-]*)?$/i.exec(text.trim())!;
  const each = word ? TYPED_UNITS[f.unit]?.[word.toLowerCase().replace(/[^a-z]/g, '')] : 1;
  const parsed = parseSignedNumber(each === undefined ? text : digits!);
  if (!parsed.ok) return bad(parsed.problems[0]!.code, parsed.problems[0]!.message, f.id);
  const value = parsed.value.value * (each ?? 1);
  if (f.whole && !Number.isInteger(value)) return bad('whole', `${f.label}: a whole number.`, f.id);
  return value < f.from || value > f.to ? outside(f.id, f.label, String(f.from), `${f.to} ${f.unit}`.trim()) : good(value);
}

function readThread(f: Extract<SumField, { kind: 'thread' }>, text: string): Outcome<Value> {
  const thread = threadOf(text) ?? findThread(text);
  return thread
    ? good(thread)
    : bad('thread', `"${text.slice(0, 30)}" is no thread in the book. Write it like 3/8-16, M10 or M16 x 1.5.`, f.id);
}

function readLengths(f: Extract<SumField, { kind: 'lengths' }>, text: string, unit: LengthUnit): Outcome<Value> {
  const list = parseNumberList(text);
  if (!list.ok) return bad(list.problems[0]!.code, list.problems[0]!.message, f.id);
  if (list.value.length > MOST_IN_LIST) return bad('too-many', `${f.label}: at most ${MOST_IN_LIST}.`, f.id);
  const mm = list.value.map((x) => fromUnit(x, unit));
  if (!mm.every((x) => x > 0)) return bad('positive', `${f.label}: every one above 0.`, f.id);
  return mm.every((x) => x <= MOST_LENGTH_MM) ? good(mm) : bad('range', `${f.label}: none over ${MOST_LENGTH_MM / 1000} m.`, f.id);
}

/** More pieces or shims than this is a slip of the paste. */
const MOST_IN_LIST = 40;

function readField(f: SumField, text: string, unit: LengthUnit): Outcome<Value> {
  switch (f.kind) {
    case 'length':
      return readLength(f, text, unit);
    case 'number':
      return readNumber(f, text);
    case 'thread':
      return readThread(f, text);
    case 'lengths':
      return readLengths(f, text, unit);
    case 'choice':
      return f.options.some(([v]) => v === text) ? good(text) : bad('choice', `${f.label}: choose one of the list.`, f.id);
  }
}

/** Reads every field as typed; all that is wrong at once, each with the field's id as its path. */
export function readValues(fields: readonly SumField[], typed: Readonly<Record<string, string>>, unit: LengthUnit): Outcome<SumValues> {
  const values = new Map<string, Value>();
  const problems: Problem[] = [];
  for (const f of fields) {
    const read = readField(f, typed[f.id] ?? '', unit);
    if (read.ok) values.set(f.id, read.value);
    else problems.push(...read.problems);
  }
  return problems.length ? { ok: false, problems } : good(new SumValues(values));
}

const trimmed = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/** What stands in a field before anybody types, in the reader's unit. */
export function startText(f: SumField, unit: LengthUnit): string {
  switch (f.kind) {
    case 'length':
      return trimmed(formatLength(f.startMm, unit, unit === 'mm' ? 3 : 4));
    case 'lengths':
      return unit === 'in' && f.startIn
        ? f.startIn.map(String).join('; ')
        : f.startMm.map((mm) => trimmed(formatLength(mm, unit, unit === 'mm' ? 3 : 4))).join('; ');
    case 'number':
      return String(f.start);
    case 'choice':
    case 'thread':
      return f.start;
  }
}

/** Written with a unit or as a fraction, a size means the same in any unit. */
const TIED_TO_UNIT = /[a-zµ"″/]/i;

/** What was typed, rewritten when the reader changes unit: a bare length is converted, everything else stays as it is. */
export function textInUnit(f: SumField, text: string, from: LengthUnit, to: LengthUnit): string {
  const decimals = to === 'mm' ? 3 : 4;
  if (from === to || TIED_TO_UNIT.test(text)) return text;
  if (f.kind === 'length') {
    const parsed = parseLength(text, { unit: from, allowNegative: true, allowZero: true });
    return parsed.ok ? trimmed(formatLength(parsed.value.valueMm, to, decimals)) : text;
  }
  if (f.kind !== 'lengths') return text;
  const list = parseNumberList(text);
  return list.ok ? list.value.map((x) => trimmed(formatLength(fromUnit(x, from), to, decimals))).join('; ') : text;
}
