import { standsAgain, turnedAgainWays, wayOf, type TurnedAgainChoice, type TurnedAgainWork } from '../../making/holdings';
import type { Lathe } from '../../making/setups';
import type { LengthUnit } from '../../terms/quantity';
import { outsideOf } from './boring-finding';
import type { PlanChoice } from './choices';
import { slowest, stampedOn, underWhirl } from './held-speed';
import type { JobItem } from './items';
import type { SegmentFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import type { Spindle } from './planned-passes';
import type { Against } from './pushed';

/** What of a component that stays is turned again: how it is held for that. */
export interface TurnedAgainFinding {
  readonly ways: readonly TurnedAgainChoice[];
  /** As somebody chose, which stands and says why where it will not do; else the best; null where none will do. */
  readonly chosen: TurnedAgainChoice | null;
  /** How it stands against the tool there; null where a steady stands beside it, or nothing holds it. */
  readonly against: Against | null;
  /** What turns it; null where nothing holds it. */
  readonly spindle: Spindle | null;
}

/**
 * How what is turned again of a component is held; null where nothing of it is.
 *
 * @param cut what is turned of it
 * @param places as they were before
 */
export function turnedAgain(
  cut: readonly SegmentFinding[],
  { componentIds }: Pick<JobItem, 'componentIds'>,
  places: readonly PlaceFinding[],
  { turnedAgain: wanted }: Pick<PlanChoice, 'turnedAgain'>,
  lathe: Lathe | null,
  materialId: string,
  unit: LengthUnit,
): TurnedAgainFinding | null {
  if (!cut.length) return null;
  const own = outsideOf(componentIds, places);
  const [first, last] = [Math.min(...cut.map((s) => s.segment.fromMm)), Math.max(...cut.map((s) => s.segment.toMm))];
  const longMm = Math.max(last, ...own.map((f) => f.place.startMm + f.place.lengthMm));
  const diameterMm = Math.min(...cut.map((s) => s.diameter.value));
  const fromStart = last <= longMm - first;
  const work: TurnedAgainWork = {
    ...{ diameterMm, longMm, overhangMm: fromStart ? last : longMm - first },
    thickestMm: Math.max(diameterMm, ...own.flatMap((f) => f.shape?.largestMm ?? [])),
  };
  const ways = turnedAgainWays(work, lathe, unit);
  const chosen = wayOf(ways, wanted);
  const stands = chosen && standsAgain(chosen.id, work);
  const most = slowest([
    stands && underWhirl(stands.held, materialId, diameterMm, stands.freeMm, unit),
    lathe && chosen && stampedOn(chosen.id === 'centres' ? 'centres' : 'four-jaw', lathe),
  ]);
  return {
    ...{ ways, chosen },
    // Jaws hold the end that is farther from what is turned; between centres both ends are alike.
    against: stands && {
      ...{ held: stands.held, freeMm: stands.freeMm },
      fromHeldMm: (at) => (fromStart && stands.held !== 'centres' ? stands.freeMm - at : at - (longMm - stands.freeMm)),
    },
    spindle: lathe && chosen && { name: lathe.name, gearsRpm: lathe.gearsRpm, most },
  };
}
