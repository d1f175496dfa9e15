import type { CostAct, Rates } from '../../making/costing';
import { choiceKey, loggedChoices } from './choices';
import { consideredRoutes, type ConsideredChoice } from './considered';
import type { JobSheet } from './records';

/** Time that somebody spent on a job. */
export interface SpentChoice {
  readonly act: CostAct;
  /** Null where it is of no one item. */
  readonly itemId: string | null;
  readonly minutes: number;
  /** ISO date. */
  readonly day: string;
  readonly remark: string;
  readonly removed: boolean;
}

/** Time on record with who kept it, oldest first. */
export const spentOn = (sheet: Pick<JobSheet, 'choices'>): (SpentChoice & { readonly id: string; readonly personId: string })[] =>
  loggedChoices<SpentChoice>(sheet, choiceKey.spent(''));

/** The chosen route, the first of them where two people chose at once; null where none is. */
export const chosenWay = (sheet: Pick<JobSheet, 'choices'>): ConsideredChoice | null =>
  consideredRoutes(sheet).find((r) => r.value.state === 'chosen')?.value ?? null;

/** An act as it was estimated and as it came out, min; null where one of them is not known. */
export interface SpentRow {
  readonly act: CostAct;
  readonly estimatedMin: number | null;
  readonly tookMin: number | null;
}

/** What was estimated against what it took, in the order of the route, then as it came. */
export function spentAgainst(sheet: Pick<JobSheet, 'choices'>): SpentRow[] {
  const estimated = chosenWay(sheet)?.estimated?.acts ?? [];
  const sums = (of: readonly { readonly act: CostAct; readonly minutes: number }[]): Map<CostAct, number> => {
    const by = new Map<CostAct, number>();
    for (const { act, minutes } of of) by.set(act, (by.get(act) ?? 0) + minutes);
    return by;
  };
  const [then, took] = [sums(estimated), sums(spentOn(sheet))];
  return [...new Set([...then.keys(), ...took.keys()])].map((act) => ({
    act,
    estimatedMin: then.get(act) ?? null,
    tookMin: took.get(act) ?? null,
  }));
}

/** What that many minutes of hands come to at the shop's hour, whole money. */
export const handsPrice = (minutes: number, { hourMinor }: Pick<Rates, 'hourMinor'>): number =>
  Math.round((minutes / 60) * hourMinor) / 100;
