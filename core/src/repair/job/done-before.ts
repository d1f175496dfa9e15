import type { LengthUnit } from '../../terms/quantity';
import { chosenReturn, chosenRoute, valueOf, choiceKey } from './choices';
import { LIKE_FROM, likeness, traitsOf, type JobTraits } from './likeness';
import type { JobSheet } from './records';
import { chosenWay, spentAgainst } from './spent';

/** A job that is another one come back: what was done did not hold. */
export interface ComebackChoice {
  readonly ofJobId: string;
  readonly why: string;
}

/** The job that this one is come back from; null where it is not. */
export const comebackOf = (sheet: Pick<JobSheet, 'choices'>): ComebackChoice | null => valueOf<ComebackChoice>(sheet, choiceKey.comeback);

/** A job like the one at hand: what was done, what it took, what was learnt, whether it came back. */
export interface DoneBefore {
  readonly jobId: string;
  readonly number: number;
  readonly title: string;
  readonly customerName: string;
  readonly machine: string;
  /** When it was handed back; null where it is still here. */
  readonly returnedAt: string | null;
  readonly cause: string;
  readonly route: string;
  readonly lesson: string;
  readonly estimatedMin: number | null;
  readonly tookMin: number | null;
  /** Numbers of the jobs in which it came back. */
  readonly cameBack: readonly { readonly jobId: string; readonly number: number }[];
  readonly score: number;
  readonly because: readonly string[];
}

/** So many are told. */
const MOST_TOLD = 6;
/** What is handed back teaches more than what is still here. */
const HANDED_BACK = 0.5;

const sumOf = (minutes: readonly (number | null)[]): number | null => {
  const known = minutes.filter((m) => m !== null);
  return known.length ? known.reduce((a, b) => a + b, 0) : null;
};

function told(other: JobSheet, unit: LengthUnit, mine: JobTraits, cameBack: DoneBefore['cameBack']): DoneBefore {
  const { score, because } = likeness(mine, traitsOf(other), unit);
  const returned = other.choices.find((c) => c.key === choiceKey.returned && c.value !== null);
  const handed = chosenReturn(other);
  const route = chosenRoute(other);
  const rows = spentAgainst(other);
  return {
    jobId: other.job.id,
    number: other.job.number,
    title: other.job.title,
    customerName: other.customer.name,
    machine: other.job.machine,
    returnedAt: returned?.at ?? null,
    cause: route?.cause ?? '',
    route: chosenWay(other)?.name ?? route?.route ?? '',
    lesson: handed?.lesson ?? '',
    estimatedMin: sumOf(rows.map((r) => r.estimatedMin)),
    tookMin: sumOf(rows.map((r) => r.tookMin)),
    cameBack,
    score: score + (score > 0 && returned ? HANDED_BACK : 0),
    because,
  };
}

/**
 * Jobs like the one at hand, the likest first; none that is like by accident.
 *
 * @param comebacks jobs in which some of the others came back
 */
export function doneBefore(
  mine: JobSheet,
  others: readonly JobSheet[],
  comebacks: readonly { readonly ofJobId: string; readonly jobId: string; readonly number: number }[],
): DoneBefore[] {
  const named = comebackOf(mine)?.ofJobId;
  const traits = traitsOf(mine);
  return others
    .filter((o) => o.job.id !== mine.job.id)
    .map((o) =>
      told(
        o,
        mine.job.unit,
        traits,
        comebacks.filter((c) => c.ofJobId === o.job.id).map(({ jobId, number }) => ({ jobId, number })),
      ),
    )
    .filter((d) => d.score >= LIKE_FROM || d.jobId === named)
    .sort((a, b) => Number(b.jobId === named) - Number(a.jobId === named) || b.score - a.score || b.number - a.number)
    .slice(0, MOST_TOLD);
}
