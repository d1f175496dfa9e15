import { drillBeforeReamer, drillLadderMm, firstDrill, peckDepthsMm, pointMm, type FirstDrill } from '../process';
import { formatWithUnit, placeWithUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { partLengthMm, placeBore, type Bore, type Part, type PlacedSurface } from '../part';
import { drillSteps, turnedBy, type Turning } from './drill-steps';
import { setting, type Bench, type Schedule } from './schedule';

/** Left before a flat bottom or a shoulder for the boring bar to finish, mm. */
const LEFT_AT_BOTTOM_MM = 0.5;
/** A drill that comes through goes on until its full diameter is past the part-off, and so much more, mm. */
const OUT_MM = 2;

/** A step of a bore with the drill that opens it; null where none does, as for a taper. */
interface Step {
  readonly s: PlacedSurface;
  readonly drill: FirstDrill | null;
}

/** Where a step lies, and what is at hand for it. */
interface In {
  readonly part: Part;
  readonly bore: Bore;
  readonly bench: Bench;
}

/** How deep a drill goes from the mouth, its full diameter; its point may go as far as what is drilled behind it is wide. */
function depthMm(
  { part, bore, bench }: In,
  s: PlacedSurface,
  drillMm: number,
  behindMm: number | null,
): { readonly mm: number; readonly how: string } {
  const own = bore.from === 'near' ? s.toMm : partLengthMm(part) - s.fromMm;
  if (behindMm === null && bore.through)
    return { mm: own + bench.partingMm + OUT_MM, how: 'past the part-off, or out behind, and a little more' };
  const point = pointMm(drillMm) - pointMm(behindMm ?? 0);
  return {
    mm: own - point - LEFT_AT_BOTTOM_MM,
    how: `${behindMm === null ? 'the bottom' : 'the shoulder'} less what its point stands before, and ${LEFT_AT_BOTTOM_MM} mm for the boring bar`,
  };
}

/** The work turns round a drill or a reamer that stands still in it. */
const workTurns = (s: PlacedSurface, { hssMMin, lathe, mostRpm }: Bench): Turning =>
  turnedBy(s, {
    hssMMin,
    on: lathe,
    most: { rpm: mostRpm(s.id), words: 'no faster than what holds the work bears, where a gear is as slow' },
  });

function ofStep(here: In, steps: readonly Step[], at: number): Schedule[] {
  const { bench } = here;
  const { s, drill } = steps[at]!;
  if (!drill) return [];
  const deeper = steps.slice(at + 1).flatMap((o) => o.drill ?? []);
  // The drill of a deeper step comes through here: one no larger takes nothing more.
  if (deeper.some((d) => d.diameterMm >= drill.diameterMm)) return [];
  const behind = steps[at + 1];
  const { diameterMm } = drill;
  const deep = depthMm(here, s, diameterMm, behind ? (behind.drill?.diameterMm ?? 0) : null);
  if (deep.mm <= 0) return [];
  // Where a deeper step was drilled its web needs no clearing again.
  const there = Math.max(0, ...deeper.map((d) => d.diameterMm));
  const ladder = drillLadderMm(diameterMm, bench.drillSets).filter((mm) => mm > there);
  const pecks = peckDepthsMm(diameterMm, deep.mm);
  const show = (mm: number): string => formatWithUnit(mm, bench.unit);
  const drills = drillSteps(s, ladder, 'leaves the boring bar enough to straighten it', workTurns(s, bench));
  return [
    {
      ...{ id: s.id, title: `Drill ${inSentence(s.name)}`, tools: [] },
      settings: [...drills, setting(s, 'deep', 'full diameter, from the mouth', deep.mm, deep.how)],
      cuts: { on: null, toMm: pecks },
      words: [
        'Centre drill first. Count the depth from where the full diameter is in, at the tailstock quill.',
        ...(pecks.length > 1
          ? [
              `Draw it out every ${placeWithUnit(diameterMm, bench.unit)} from ${placeWithUnit(pecks[0]!, bench.unit)} on to clear the chips.`,
            ]
          : []),
        ...(drill.here ? [] : [`No drill that size hangs in the crib: ${show(diameterMm)} is the nearest that is sold.`]),
      ],
    },
  ];
}

/** A step too small for a boring bar: drilled, then reamed. */
function reamed(here: In, s: PlacedSurface, isLast: boolean): Schedule[] {
  const { bore, bench } = here;
  const sizeMm = bench.cutMm(s);
  const drill = drillBeforeReamer(sizeMm, bench.drillSets);
  if (!drill) return [];
  const deep = depthMm(here, s, drill.diameterMm, isLast ? null : 0);
  if (deep.mm <= 0) return [];
  const turning = workTurns(s, bench);
  const show = (mm: number): string => formatWithUnit(mm, bench.unit);
  return [
    {
      ...{ id: s.id, title: `Drill and ream ${inSentence(s.name)}`, tools: [{ kind: 'reamer', sizeMm }] },
      settings: [
        ...drillSteps(s, [drill.diameterMm], 'leaves what a reamer takes', turning),
        setting(s, 'reamer', 'reamer', sizeMm, 'as it is cut'),
        ...turning('reamer', 'reamer', 'reamer', sizeMm),
        setting(s, 'deep', 'full diameter, from the mouth', deep.mm, deep.how),
      ],
      cuts: { on: null, toMm: peckDepthsMm(drill.diameterMm, deep.mm) },
      words: [
        'Too small for a boring bar. Centre drill first; the reamer with oil, never turned back.',
        ...(drill.here ? [] : [`No drill that leaves it enough hangs in the crib: ${show(drill.diameterMm)} is the nearest that is sold.`]),
        ...(bore.through ? [] : ['A reamer cannot finish the last of a blind hole: say at Draw how deep its full size has to be.']),
      ],
    },
  ];
}

/** Bores that are drilled before they are bored or reamed, the deepest step first: drills in their order, how deep, when to clear the chips. A tube is bored as it comes. */
export const boreSchedules = (part: Part, bench: Bench): Schedule[] =>
  (bench.holeMm === null ? part.bores : []).flatMap((bore) => {
    const row = placeBore(part, bore);
    // What is wider than the way to it no drill reaches.
    const reached = (s: PlacedSurface, i: number): boolean =>
      s.kind !== 'taper' &&
      // A thread says itself what is drilled for it.
      !part.features.some((f) => f.kind === 'thread' && f.on === s.id) &&
      row.slice(0, i).every((o) => Math.min(o.leftMm, o.rightMm) >= s.diameterMm);
    const steps = row.map((s, i): Step => ({ s, drill: reached(s, i) ? firstDrill(bench.cutMm(s), bench.drillSets) : null }));
    const here = { part, bore, bench };
    return steps
      .flatMap(({ s, drill }, i) => (drill ? ofStep(here, steps, i) : reached(s, i) ? reamed(here, s, i === row.length - 1) : []))
      .reverse();
  });
