import { findThread } from '../../book/threads';
import type { Outcome } from '../../terms/outcome';
import { hostOf, partLengthMm, type Host, type Part, type PartFeature } from '../part';
import { EDGES, edgeSpeed, firstDrill, passesMin, planBorePasses, planPasses, USUAL_FEEDS_MM, type Edge, type Pass } from '../process';
import { USUAL_END_MILL_MM } from './edge-settings';
import { plunged } from './groove';
import type { Bench, Schedule } from './schedule';

/** Teeth of an ordinary end mill or slot drill. */
const TEETH = 2;
/** Spring passes of a thread. */
const SPRING = 2;
/** Run-in and run-out of a thread or a cutter, mm. */
const RUN_MM = 5;

/** Between two cuts, min: back, set, sometimes measured. Estimates, as all that is not travel here. */
const BETWEEN = { thread: 0.6, groove: 0.4, mill: 0.7, stroke: 0.2, drill: 1, shim: 1.5 } as const;
/** To find the place before the first cut, min. */
const FIND = { thread: 4, groove: 1, mill: 4, hole: 2, slot: 3 } as const;
/** What takes about the same whatever its size, min. */
const ABOUT: Readonly<Partial<Record<PartFeature['kind'], number>>> = {
  'centre-hole': 1.5,
  chamfer: 0.5,
  fillet: 1,
  'seal-land': 5,
  'weld-prep': 2,
  'surface-finish': 2,
};

const feedOf = (edge: Edge, mm: number): number => EDGES[edge].feed?.mm(mm) ?? USUAL_FEEDS_MM.finish;

/** Along a way at a feed, min. */
const along = (mm: number, feedMm: number, rpm: number): number => mm / (feedMm * rpm);

/** Plunge by plunge, the chips cleared between its cuts, min. */
const plungedMin = ({ depthMm, plunges }: ReturnType<typeof plunged>, cuts: number, rpm: number): number =>
  plunges * (along(depthMm, EDGES.plunge.feed.mm(), rpm) + cuts * BETWEEN.groove);

/** Turned or bored beside the axis at a speed, min. */
const turnedMin = (passes: Outcome<Pass[]>, lengthMm: number, rpm: number): number =>
  passes.ok ? passes.value.reduce((s, p) => s + passesMin(p.kind, 1, lengthMm, rpm), 0) : 0;

/** How fast work beside its axis turns, as it stands under what is to be set. */
const rpmOf = (own: Schedule | undefined): number => own?.settings.find((x) => x.figure.key.endsWith('.rpm'))?.figure.value ?? Infinity;

function ofFeature(part: Part, f: PartFeature, host: Host, bench: Bench, own: Schedule | undefined): number {
  const cuts = own?.cuts?.toMm.length ?? 0;
  const { hssMMin, lathe, mill, mostRpm } = bench;
  const across = Math.max(host.surface.leftMm, host.surface.rightMm);
  const onLathe = (edge: Edge): number => edgeSpeed(edge, hssMMin, across, lathe, mostRpm(f.id)).rpm;
  const onMill = (edge: Edge, mm: number): number => edgeSpeed(edge, hssMMin, mm, mill).rpm;
  const milled = (mm: number, wayMm: number): number =>
    along(wayMm + RUN_MM, TEETH * feedOf('end-mill', mm), onMill('end-mill', mm)) + BETWEEN.mill;
  const drilled = (mm: number, deepMm: number): number => along(deepMm, feedOf('drill', mm), onMill('drill', mm)) + BETWEEN.drill;
  switch (f.kind) {
    case 'thread': {
      const t = findThread(f.thread);
      if (!t || !cuts) return FIND.thread;
      return (
        FIND.thread + (cuts + SPRING) * (along(f.lengthMm + RUN_MM, t.pitchMm * f.starts, onLathe('thread')) + BETWEEN.thread) * f.starts
      );
    }
    case 'ring-groove':
    case 'oring-groove':
    case 'seal-groove':
    case 'relief':
    case 'undercut':
      return FIND.groove + plungedMin(plunged(f, host, bench.partingMm), cuts, onLathe('plunge'));
    case 'keyseat':
      return FIND.mill + Math.max(cuts, 1) * milled(f.widthMm, f.lengthMm);
    case 'flats':
      return FIND.mill + f.count * cuts * milled(USUAL_END_MILL_MM, f.lengthMm);
    case 'spline':
      return FIND.mill + 2 * f.teeth * milled(USUAL_END_MILL_MM, f.lengthMm);
    case 'slot':
      return FIND.mill + cuts * milled(f.widthMm, across);
    case 'woodruff-seat':
      return FIND.mill + BETWEEN.mill;
    case 'cross-hole':
      return FIND.hole + drilled(f.diameterMm, f.reach === 'to depth' ? f.depthMm : across);
    case 'hole-pattern':
      return FIND.hole + f.count * drilled(f.diameterMm, f.depthMm);
    case 'eccentric':
      // What stands there before is as much thicker as its axis is moved, on both sides.
      return FIND.groove + turnedMin(planPasses(f.diameterMm + 2 * f.throwMm, f.diameterMm), f.lengthMm, rpmOf(own));
    case 'eccentric-bore': {
      const drill = firstDrill(f.diameterMm, bench.drillSets);
      const deep = f.reach === 'through' ? partLengthMm(part) : f.depthMm;
      if (!drill) return FIND.hole;
      const bore = turnedMin(planBorePasses(drill.diameterMm, f.diameterMm), deep, rpmOf(own));
      return FIND.hole + along(deep, feedOf('drill', drill.diameterMm), rpmOf(own)) + BETWEEN.drill + bore;
    }
    case 'keyway':
      return FIND.slot + (cuts ? cuts * BETWEEN.stroke : 2 * BETWEEN.shim);
    case 'oil-groove':
      return FIND.slot + (cuts ? cuts * BETWEEN.stroke : milled(2 * f.radiusMm, f.lengthMm));
    case 'knurl':
      return FIND.groove + along(f.lengthMm, f.pitchMm / 2, onLathe('knurl'));
    default:
      return ABOUT[f.kind] ?? 0;
  }
}

/** Drills and reamers of a bore: each to its depth at its feed, and drawn out to clear its chips. */
function ofDrills({ settings, cuts }: Schedule): number {
  const value = (name: RegExp): number[] => settings.filter((x) => name.test(x.figure.key)).map((x) => x.figure.value);
  const [deep = 0] = value(/\.deep$/);
  const [rpms, feeds] = [value(/\.rpm-/), value(/\.feed-/)];
  return rpms.reduce((s, rpm, i) => s + along(deep, feeds[i]!, rpm) + BETWEEN.drill + (cuts?.toMm.length ?? 0) * BETWEEN.stroke, 0);
}

/**
 * What is cut into a part in one holding, min: drills, threads, grooves, keyseats and the rest. An estimate: travel at the feeds that stand beside
 * it, and what lies between two cuts.
 *
 * @param ids of what is cut there
 */
export function cutMinutes(part: Part, ids: readonly string[], schedules: readonly Schedule[], bench: Bench): number {
  if (bench.hssMMin <= 0) return 0;
  return ids.reduce((sum, id) => {
    const own = schedules.find((s) => s.id === id);
    const f = part.features.find((x) => x.id === id);
    const host = f && hostOf(part, f.on);
    if (f && host) return sum + ofFeature(part, f, host, bench, own);
    return own ? sum + ofDrills(own) : sum;
  }, 0);
}
