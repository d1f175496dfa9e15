import { CAUSES, FINDINGS, type CauseId, type FindingId } from '../../evidence/diagnosis';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { chosenRoute } from './choices';
import { liveReadings } from './live-readings';
import type { JobSheet } from './records';
import { findings } from './strip-records';

/** What of a job tells whether another is like it. */
export interface JobTraits {
  readonly customerId: string;
  readonly machine: string;
  readonly title: string;
  readonly findingIds: readonly FindingId[];
  readonly causeId: CauseId | null;
  /** Mean sizes of the places that were read. */
  readonly sizes: readonly { readonly name: string; readonly side: 'inside' | 'outside'; readonly mm: number }[];
}

/** How like another job is, and what speaks for it in words. */
export interface Likeness {
  readonly score: number;
  readonly because: readonly string[];
}

/** Weights by judgement: the same machine says most, then what was found, then what it is called; sizes alone say too little. */
const WEIGHT = { sameMachine: 4, machine: 2, title: 2.5, finding: 2, cause: 1, size: 0.8, mostSizes: 1.6, customer: 0.5 } as const;
/** Two sizes are one where they differ by no more than that share: worn parts of one kind seldom agree better. */
export const SIZE_SHARE = 0.004;
/** Less is like by accident. */
export const LIKE_FROM = 2;

const SAYS_NOTHING = new Set(['the', 'and', 'for', 'with', 'from', 'its', 'new', 'old', 'a', 'of', 'in', 'on', 'to']);

const wordsOf = (text: string): Set<string> =>
  new Set(
    text
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u)
      .filter((w) => w.length > 1 && !SAYS_NOTHING.has(w)),
  );

/** Share of words that two texts have in common, of all their words (Jaccard). */
function shared(a: string, b: string): number {
  const [x, y] = [wordsOf(a), wordsOf(b)];
  const both = [...x].filter((w) => y.has(w)).length;
  return both ? both / (x.size + y.size - both) : 0;
}

/** The traits of a job, from what is stored of it. */
export function traitsOf(sheet: JobSheet): JobTraits {
  const live = liveReadings(sheet.readings).filter((r) => r.purpose === 'found' && r.quantity === 'size' && !r.withdrawn);
  const sizes = sheet.places.flatMap((p) => {
    const own = live.filter((r) => r.placeId === p.id).map((r) => r.valueMm);
    return own.length ? [{ name: p.name, side: p.side, mm: own.reduce((a, b) => a + b, 0) / own.length }] : [];
  });
  const causeId = chosenRoute(sheet)?.causeId ?? '';
  return {
    customerId: sheet.job.customerId,
    machine: sheet.job.machine,
    title: sheet.job.title,
    findingIds: [...new Set(findings(sheet).map((f) => f.value.findingId as FindingId))],
    causeId: causeId === '' ? null : (causeId as CauseId),
    sizes,
  };
}

/**
 * How like two jobs are.
 *
 * @param unit of the reader
 */
export function likeness(mine: JobTraits, other: JobTraits, unit: LengthUnit): Likeness {
  const because: string[] = [];
  let score = 0;
  const speaks = (weight: number, words: string): void => {
    score += weight;
    because.push(words);
  };
  const machine = shared(mine.machine, other.machine);
  const sameCustomer = mine.customerId === other.customerId;
  if (machine === 1 && sameCustomer) speaks(WEIGHT.sameMachine, 'the same machine');
  else if (machine >= 0.5) speaks(WEIGHT.machine * machine, 'a machine alike');
  const title = shared(mine.title, other.title);
  if (title >= 0.3) speaks(WEIGHT.title * title, `called ${other.title.toLowerCase()}`);
  for (const id of mine.findingIds.filter((f) => other.findingIds.includes(f))) speaks(WEIGHT.finding, inSentence(FINDINGS[id].name));
  if (mine.causeId && mine.causeId === other.causeId) speaks(WEIGHT.cause, inSentence(CAUSES[mine.causeId].name));
  let ofSizes = 0;
  const left = [...other.sizes];
  for (const s of mine.sizes) {
    const at = left.findIndex((o) => o.side === s.side && Math.abs(o.mm - s.mm) <= SIZE_SHARE * Math.min(o.mm, s.mm));
    if (at < 0 || ofSizes >= WEIGHT.mostSizes) continue;
    const [match] = left.splice(at, 1) as [JobTraits['sizes'][number]];
    ofSizes += WEIGHT.size;
    because.push(`${inSentence(match.name)} of ${formatWithUnit(match.mm, unit)}`);
  }
  score += ofSizes;
  if (score > 0 && sameCustomer) score += WEIGHT.customer;
  return { score, because };
}
