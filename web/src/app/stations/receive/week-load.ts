import type { PromisedJob } from '@iron-patch/contract/wire';

const DAY_MS = 86_400_000;
const NAMED = 3;

/** Monday of the week of an ISO date, as days since 1970. */
function mondayOf(date: string): number {
  const day = Math.floor(Date.parse(`${date}T00:00:00Z`) / DAY_MS);
  // Day 0 was a Thursday.
  return day - ((day + 3) % 7);
}

/**
 * What else the shop has promised in that week, in one sentence; null without a date.
 *
 * @param jobs those that are open and promised
 * @param but the job that is being promised
 */
export function weekLoad(jobs: readonly PromisedJob[], promisedOn: string | null, but: string | null): string | null {
  if (!promisedOn) return null;
  const monday = mondayOf(promisedOn);
  const open = jobs.filter((j) => j.id !== but);
  const then = open.filter((j) => mondayOf(j.promisedOn) === monday).sort((p, q) => p.promisedOn.localeCompare(q.promisedOn));
  if (then.length === 0) return 'Nothing else is promised that week.';
  const names = then.slice(0, NAMED).map((j) => `${j.number} ${j.title}`);
  const more = then.length > NAMED ? ` and ${then.length - NAMED} more` : '';
  const late = open.filter((j) => mondayOf(j.promisedOn) < monday).length;
  const before = late ? `; ${late} before it` : '';
  return `${then.length} more that week: ${names.join(', ')}${more}${before}.`;
}
