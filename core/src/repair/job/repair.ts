import { boreFindings, type BoreFinding } from './bore-finding';
import { calledOff } from './choices';
import { cutFindings, type CutFinding } from './cut-finding';
import { diagnosisFinding, type DiagnosisFinding } from './diagnosis-finding';
import { pointsOfNoReturn, type PointOfNoReturn } from './no-return';
import { placeFindings, type PlaceFinding } from './place-finding';
import { asItIsNow } from './in-state';
import { fitFindings, type FitFinding } from './fit-finding';
import { handOverHolds, type HandOverHold } from './hand-over';
import { liveReadings } from './live-readings';
import { partFinding, type PartFinding } from './part-finding';
import { planFinding, type PlanFinding } from './plan-finding';
import { proofFindings, type ProofFinding } from './proof-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';
import { movedFigures, releasable, type MovedFigure } from './release';
import { seatFindings, type SeatFinding } from './seat-finding';
import type { StationStanding } from '../../terms/stations';
import { nextMove, standings } from './stations';
import type { Figure } from '../../terms/working';

/** A whole job, worked out from what is stored of it. */
export interface Repair {
  readonly live: readonly ReadingRecord[];
  readonly places: readonly PlaceFinding[];
  /** Acts that destroy evidence, with what they would take. */
  readonly pointsOfNoReturn: readonly PointOfNoReturn[];
  readonly diagnosis: DiagnosisFinding;
  readonly fits: readonly FitFinding[];
  /** Shafts that stay, for which the new part has the hole. */
  readonly bores: readonly BoreFinding[];
  /** Seats of bearings that are not here to be measured. */
  readonly seats: readonly SeatFinding[];
  readonly part: PartFinding | null;
  readonly plan: PlanFinding | null;
  readonly cuts: readonly CutFinding[];
  readonly proofs: readonly ProofFinding[];
  readonly releasable: readonly Figure[];
  readonly moved: readonly MovedFigure[];
  readonly stations: readonly StationStanding[];
  readonly next: StationStanding | null;
  /** What stands between this job and its hand-over. */
  readonly holds: readonly HandOverHold[];
}

/**
 * Works out everything that follows from a job's inputs. Pure: the same in the browser and on the server.
 *
 * @param sheet the job's stored inputs, readings oldest first
 */
export function workOut(sheet: JobSheet, shop: Shop): Repair {
  const live = liveReadings(sheet.readings);
  const places = placeFindings(sheet, live, shop);
  const noReturn = pointsOfNoReturn(sheet, places);
  const diagnosis = diagnosisFinding(sheet, places);
  // What is made has to fit the parts as they are now; what wore and why is told by how they were found.
  const now = places.map(asItIsNow);
  const fits = fitFindings(now, sheet, shop);
  const bores = boreFindings(now, fits, sheet, shop);
  const part = partFinding(fits, bores, sheet);
  const plan = planFinding(part, sheet, shop);
  const cuts = cutFindings(part, plan, live, sheet, shop);
  const proofs = proofFindings(part, live, sheet, shop);
  const frozen = releasable(part, plan);
  const moved = movedFigures(frozen, sheet);
  const stations = standings({ sheet, places, noReturn, diagnosis, fits, bores, part, cuts, proofs, moved });
  return {
    live,
    places,
    pointsOfNoReturn: noReturn,
    diagnosis,
    fits,
    bores,
    seats: seatFindings(now, sheet),
    part,
    plan,
    cuts,
    proofs,
    releasable: frozen,
    moved,
    stations,
    next: calledOff(sheet) === null ? nextMove(stations) : null,
    holds: handOverHolds(sheet, proofs),
  };
}
