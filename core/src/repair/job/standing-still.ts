import { plus, sumOf, typed, workedOut, type Figure } from '../../terms/working';
import { choiceKey, valueOf } from './choices';
import type { JobSheet } from './records';
import type { RouteFinding } from './route-finding';

/** What it costs a customer to be without the thing. */
export interface StandingStillChoice {
  /** A day of the calendar, in the smallest coin. */
  readonly dayMinor: number;
}

/** What a day without it costs the customer, in the smallest coin; null where nobody said. */
export const dayWithoutIt = (sheet: Pick<JobSheet, 'choices'>): number | null =>
  valueOf<StandingStillChoice>(sheet, choiceKey.standingStill)?.dayMinor ?? null;

/**
 * What a way comes to for the customer: its price, and the days that they are without it. Make or buy is often settled by the second.
 *
 * @param days of the calendar until it is ready
 * @returns whole money; null where the way has no price
 */
export function allInAll({ route, price }: Pick<RouteFinding, 'route' | 'price'>, days: number, dayMinor: number): Figure | null {
  if (!price) return null;
  const key = `route.${route.id}`;
  const day = typed(`${key}.day`, 'a day without it', dayMinor / 100, 'Decide', '', 'price');
  const how = `${days} days at ${(dayMinor / 100).toFixed(2)}`;
  const without = workedOut(`${key}.without`, 'days without it', Math.round(days * dayMinor) / 100, how, [day], { measure: 'price' });
  return sumOf(`${key}.all`, 'price and days without it', [plus(price), plus(without)]);
}
