import {
  CAUSES,
  diagnose,
  FINDINGS,
  type Banded,
  type CauseId,
  type FindingId,
  type PairEvidence,
  type RankedCause,
} from '../../evidence/diagnosis';
import { isDiameter } from '../../evidence/readings';
import { chosenRoute } from './choices';
import type { PlaceFinding } from './place-finding';
import { madeSizeMm } from './made-size';
import type { JobSheet } from './records';
import { earlierRepairs, findings } from './strip-records';
import { mateOf } from './pair';

/** Something of the catalogue that was found at a place, numbered as at Decide. */
export interface PictureFinding {
  readonly number: number;
  readonly name: string;
  readonly atMm: number;
}

/** The likely causes of the damage, and whether the chosen route leaves the chosen cause alive. */
export interface DiagnosisFinding {
  /** Findings that have a place, numbered in their order, along the shared axis. */
  readonly found: readonly PictureFinding[];
  readonly causes: readonly RankedCause[];
  /** What to say when the thing comes back as it was and nothing is done against why it wore; null otherwise. */
  readonly keptAlive: string | null;
}

const TRACK_POINTS = 3;

function oval(f: PlaceFinding): Banded | null {
  const s = f.shape?.mostOval;
  return s && s.ovalityKind === 'fitted' ? { mm: s.ovalityMm, plusMinusMm: s.ovalityPlusMinusMm ?? 0 } : null;
}

function wear(f: PlaceFinding, all: readonly PlaceFinding[]): number | null {
  const made = madeSizeMm(f, all);
  if (made === null || !f.shape) return null;
  return Math.max(f.place.side === 'outside' ? made - f.shape.smallestMm : f.shape.largestMm - made, 0);
}

function pairs(all: readonly PlaceFinding[]): PairEvidence[] {
  return all.flatMap((hole): PairEvidence[] => {
    if (hole.place.side !== 'inside' || !hole.shape) return [];
    const pin = mateOf(hole, all);
    return [
      {
        holeName: hole.place.name,
        pinName: pin?.place.name ?? 'its pin',
        holeOval: oval(hole),
        pinOval: pin ? oval(pin) : null,
        holeWearMm: wear(hole, all),
        pinWearMm: pin ? wear(pin, all) : null,
        holeShape: hole.shape.profile?.kind ?? 'not known',
        playMm: pin?.shape ? hole.shape.smallestMm - pin.shape.largestMm : null,
      },
    ];
  });
}

/** How much deeper the middle of a place is than both ends of it: the track of a seal. */
function trackMm(f: PlaceFinding): number {
  const sections = f.shape?.sections ?? [];
  if (f.place.side !== 'outside' || sections.length < TRACK_POINTS) return 0;
  const ends = Math.min(sections[0]!.meanMm, sections.at(-1)!.meanMm);
  return ends - Math.min(...sections.slice(1, -1).map((s) => s.meanMm));
}

/** Why it wore, from the readings, the findings and the earlier repairs of a job. */
export function diagnosisFinding(sheet: JobSheet, all: readonly PlaceFinding[]): DiagnosisFinding {
  const sized = all.filter((f) => isDiameter(f.place.kind));
  const causes = diagnose({
    pairs: pairs(sized),
    seatsUnder: sized.flatMap((f) => {
      const under = f.place.suspicions.includes('bearing') && f.place.side === 'outside' ? wear(f, all) : null;
      return under !== null && under > (f.shape?.plusMinusMm ?? 0) ? [{ name: f.place.name, underMm: under }] : [];
    }),
    tracks: sized.flatMap((f) => {
      const depthMm = f.place.suspicions.includes('seal-groove') ? trackMm(f) : 0;
      return depthMm > (f.shape?.plusMinusMm ?? 0) ? [{ name: f.place.name, depthMm }] : [];
    }),
    bends: all.flatMap((f) => {
      const total = f.place.kind === 'straightness' ? f.indicator?.figure : null;
      return total ? [{ name: f.component.name, totalMm: total.value, plusMinusMm: total.plusMinus ?? 0 }] : [];
    }),
    findings: findings(sheet).map((i) => i.value.findingId as FindingId),
    faultyRepairs: earlierRepairs(sheet).flatMap((r) => (r.value.judged === 'the fault' ? [r.value.what] : [])),
    unit: sheet.job.unit,
  });
  const found = findings(sheet).flatMap((i, at): PictureFinding[] => {
    const { componentId, atMm, findingId } = i.value;
    const component = sheet.components.find((c) => c.id === componentId);
    if (atMm === null || !component) return [];
    return [{ number: at + 1, name: FINDINGS[findingId as FindingId].name, atMm: component.axisOffsetMm + atMm }];
  });
  const route = chosenRoute(sheet);
  const chosen = route?.causeId ? CAUSES[route.causeId as CauseId] : undefined;
  const alive = chosen?.survivesCopy && sheet.job.want === 'like-for-like' && !route?.cure.trim();
  return {
    found,
    causes,
    keptAlive: alive
      ? `Like for like keeps this alive: ${chosen.name.toLowerCase()}. Say what is done against it, such as: ${chosen.cures.join('; ')}.`
      : null,
  };
}
