import { assembledChecks, type AssembledCheck } from './assembled';
import { boreFindings, type BoreFinding } from './bore-finding';
import type { BlockPlan } from './block-plan';
import { calledOff } from './choices';
import type { CutFinding } from './cut-finding';
import { diagnosisFinding, type DiagnosisFinding } from './diagnosis-finding';
import { pointsOfNoReturn, type PointOfNoReturn } from './no-return';
import { placeFindings, type PlaceFinding } from './place-finding';
import { asItIsNow } from './in-state';
import { fitFindings, type FitFinding } from './fit-finding';
import { handOverHolds, type HandOverHold } from './hand-over';
import { liveReadings } from './live-readings';
import { itemFindings, type ItemFinding, type PieceFinding } from './item-finding';
import { jobItems } from './items';
import type { PartFinding } from './part-finding';
import type { PlanFinding } from './plan-finding';
import type { ProofFinding } from './proof-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';
import type { MovedFigure } from './release';
import { readAsReworked } from './reworked';
import type { SizeCut } from './size-cut';
import { routeFindings, type RouteFinding } from './route-finding';
import { seatFindings, type SeatFinding } from './seat-finding';
import { withLater } from '../../terms/kept';
import { toDoOf, type ToDo } from './to-do';
import type { StationStanding } from '../../terms/stations';
import { nextMove, standings } from './stations';
import type { Figure } from '../../terms/working';

/** A whole job, worked out from what is stored of it. */
export interface Job {
  readonly live: readonly ReadingRecord[];
  readonly places: readonly PlaceFinding[];
  /** Acts that destroy evidence, with what they would take. */
  readonly pointsOfNoReturn: readonly PointOfNoReturn[];
  readonly diagnosis: DiagnosisFinding;
  /** Ways to put it right, side by side. */
  readonly routes: readonly RouteFinding[];
  readonly fits: readonly FitFinding[];
  /** Shafts that stay, for which the new part has the hole. */
  readonly bores: readonly BoreFinding[];
  /** Seats of bearings that are not here to be measured. */
  readonly seats: readonly SeatFinding[];
  /** What the job does, one after another as on its card. */
  readonly items: readonly ItemFinding[];
  readonly stations: readonly StationStanding[];
  readonly next: StationStanding | null;
  /** What is tried once it is together. */
  readonly assembled: readonly AssembledCheck[];
  /** What stands between this job and its hand-over. */
  readonly holds: readonly HandOverHold[];
  /** What it still takes, for the run order. */
  readonly toDo: ToDo;
}

/** A job as it is seen at one of its items and one piece of it. */
export interface Repair extends Job {
  /** Null where the job has none. */
  readonly at: ItemFinding | null;
  readonly piece: PieceFinding | null;
  readonly part: PartFinding | null;
  readonly plan: PlanFinding | null;
  readonly blockPlan: BlockPlan | null;
  readonly cuts: readonly CutFinding[];
  readonly sizes: readonly SizeCut[];
  readonly proofs: readonly ProofFinding[];
  readonly releasable: readonly Figure[];
  readonly moved: readonly MovedFigure[];
}

/**
 * The same job seen at another item or piece.
 *
 * @param itemId null, or one that is gone, for the first
 * @param piece null for the first that is not scrapped
 */
export function seenAt(job: Job, itemId: string | null, piece: number | null = null): Repair {
  const at = job.items.find((i) => i.item.id === itemId) ?? job.items[0] ?? null;
  const pieces = at?.pieces ?? [];
  const own = pieces.find((p) => p.piece.number === piece) ?? pieces.find((p) => p.piece.scrapped === null) ?? null;
  return withLater(job, {
    at: () => at,
    piece: () => own,
    part: () => at?.part ?? null,
    plan: () => at?.plan ?? null,
    blockPlan: () => at?.blockPlan ?? null,
    cuts: () => own?.cuts ?? [],
    sizes: () => own?.sizes ?? [],
    proofs: () => own?.proofs ?? [],
    releasable: () => at?.releasable ?? [],
    moved: () => at?.moved ?? [],
  });
}

/**
 * Works out everything that follows from a job's inputs, seen at its first item. Pure: the same in the browser and on the server. Plans, cuts and
 * what they come to are worked out when first asked for: the sheet and the shop must not change after.
 *
 * @param sheet the job's stored inputs, readings oldest first
 */
export function workOut(sheet: JobSheet, shop: Shop): Repair {
  const live = liveReadings(sheet.readings);
  const places = placeFindings(sheet, live, shop);
  const noReturn = pointsOfNoReturn(sheet, places);
  const diagnosis = diagnosisFinding(sheet, places);
  // What is made has to fit the parts as they are now; what wore and why is told by how they were found.
  const reworked = readAsReworked(live, sheet);
  const now = (reworked.length ? placeFindings(sheet, [...live, ...reworked], shop) : places).map(asItIsNow);
  const fits = fitFindings(now, sheet, shop);
  const bores = boreFindings(now, fits, sheet, shop);
  // What a rework was asked for does not follow from what it came to.
  const before = reworked.length ? places.map(asItIsNow) : now;
  const askedFits = before === now ? fits : fitFindings(before, sheet, shop);
  const asked = { places: before, fits: askedFits, bores: before === now ? bores : boreFindings(before, askedFits, sheet, shop) };
  const given = { places: now, fits, bores, asked, live, sheet, shop };
  const items = itemFindings(jobItems(sheet), given);
  const assembled = assembledChecks({ sheet, items, fits, bores });
  const holds = handOverHolds(sheet, items, assembled);
  const stations = standings({ sheet, places, noReturn, diagnosis, fits, bores, items, assembled, holds });
  const routes = routeFindings(sheet, places, shop);
  const job = {
    live,
    places,
    pointsOfNoReturn: noReturn,
    diagnosis,
    routes,
    fits,
    bores,
    seats: seatFindings(now, sheet),
    items,
    stations,
    next: calledOff(sheet) === null ? nextMove(stations) : null,
    assembled,
    holds,
  };
  return seenAt(withLater(job, { toDo: () => toDoOf({ sheet, shop, routes, items, stations }) }), null);
}
