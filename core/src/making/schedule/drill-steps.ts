import { drillNamed, EDGES, edgeSpeed } from '../process';
import { setting, usual, type Bench, type Setting } from './schedule';

/** What the shop and the metal are, as far as a drill that turns asks. */
export type DrillBench = Pick<Bench, 'mill' | 'drillSets' | 'hssMMin' | 'finderMm' | 'unit'>;

/** How fast a drill or reamer goes, and how far it is fed. */
export type Turning = (key: string, name: string, edge: 'drill' | 'reamer', mm: number) => Setting[];

/** What turns for it: a machine by its gears, no faster than what holds the work bears. */
interface TurnedBy {
  readonly hssMMin: number;
  readonly on: DrillBench['mill'];
  readonly most?: { readonly rpm: number | null; readonly words: string };
}

/** A drill or reamer of high-speed steel, or the work round it: nothing where the book has no speed for the metal. */
export const turnedBy =
  (of: { readonly id: string }, { hssMMin, on, most }: TurnedBy): Turning =>
  (key, name, edge, mm) => {
    if (hssMMin <= 0) return [];
    const { rpm, words } = edgeSpeed(edge, hssMMin, mm, on, most?.rpm ?? null);
    return [
      setting(of, `rpm-${key}`, `${name}, at`, rpm, most ? `${words}; ${most.words}` : words, null, 'rpm'),
      usual(of, `feed-${key}`, 'fed by, a turn', EDGES[edge].feed.mm(mm), 'usual in high-speed steel'),
    ];
  };

/** The tool turns, on the mill of the shop. */
export const turnedOnMill = (of: { readonly id: string }, { hssMMin, mill }: DrillBench): Turning => turnedBy(of, { hssMMin, on: mill });

/**
 * Drills one after another, each by its name, with its speed.
 *
 * @param ladder diameters, smallest first, mm
 * @param leaves what the last of them is there for
 */
export const drillSteps = (of: { readonly id: string }, ladder: readonly number[], leaves: string, turning: Turning): Setting[] =>
  ladder.flatMap((mm, i): Setting[] => {
    const isLast = i === ladder.length - 1;
    const name = isLast ? 'drill' : i === 0 ? 'pilot drill' : 'drill between';
    const why = isLast ? leaves : 'opened out in steps, the web first';
    return [usual(of, `drill-${i}`, `${name}, ${drillNamed(mm)}`, mm, why), ...turning(`${i}`, name, 'drill', mm)];
  });
