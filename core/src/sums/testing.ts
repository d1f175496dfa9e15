import { STARTING_HOUSE_RULES } from '../book/fits';
import { showValue } from '../terms/working';
import { sumOfId } from './all-sums';
import type { SumResult, SumShop } from './sum';
import { startText } from './values';
import { workSum } from './work-sum';

export const shop: SumShop = { houseRules: STARTING_HOUSE_RULES, rack: [], lathes: [], drillSets: [], tools: [] };
export const outcome = (id: string, changes: Record<string, string>, unit: 'mm' | 'in' = 'mm', lent: SumShop = shop) => {
  const sum = sumOfId(id)!;
  const starts = Object.fromEntries(sum.fields(lent).map((f) => [f.id, startText(f, unit)]));
  return workSum(sum, { ...starts, ...changes }, lent, unit);
};
export const work = (id: string, changes: Record<string, string>, unit: 'mm' | 'in' = 'mm', lent: SumShop = shop): SumResult => {
  const r = outcome(id, changes, unit, lent);
  if (!r.ok) throw new Error(r.problems.map((p) => p.message).join('; '));
  return r.value;
};
export const figure = (r: SumResult, key: string): number => r.figures.find((f) => f.key === key)!.value;
export const shown = (r: SumResult, key: string): string =>
  showValue(
    r.figures.find((f) => f.key === key)!,
    'mm',
  );
export const wrongAt = (id: string, changes: Record<string, string>): string[] => {
  const r = outcome(id, changes);
  return r.ok ? [] : r.problems.map((p) => p.path);
};
