import type { Outcome } from '../terms/outcome';
import type { LengthUnit } from '../terms/quantity';
import { sentence } from '../terms/working';
import type { Sum, SumResult, SumShop } from './sum';
import { readValues } from './values';

/** Reads what was typed and works the sum out; every problem has the field's id as its path. */
export function workSum(sum: Sum, typed: Readonly<Record<string, string>>, shop: SumShop, unit: LengthUnit): Outcome<SumResult> {
  const values = readValues(sum.fields(shop), typed, unit);
  return values.ok ? sum.work(values.value, shop, unit) : values;
}

/** A result as plain text, for the notes of a job. */
export function sumInWords(sum: Sum, result: SumResult, unit: LengthUnit): string {
  const named = result.answer ? [`${result.answer.label}: ${result.answer.text}.`] : [];
  return [`${sum.title}.`, ...named, ...result.figures.map((f) => `${f.label}: ${sentence(f, unit)}.`), ...(result.words ?? [])].join('\n');
}
