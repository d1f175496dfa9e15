import type { DrillSet } from '../../book/drills';
import { materialOf } from '../../book/materials';
import {
  feedsFor,
  firstDrill,
  gearsUnder,
  passesMin,
  planBorePasses,
  planPasses,
  spindleSpeed,
  USUAL_NOSE_MM,
  USUAL_PASSES,
  type Feeds,
  type Pass,
  type SpindleSpeed,
} from '../../making/process';
import type { Part, PlacedSurface } from '../../making/part';
import { isTapped } from '../../making/schedule';
import { crossTurns, turnsWords, type Lathe } from '../../making/setups';
import type { Blank } from '../../making/stock';
import { bad, type Outcome } from '../../terms/outcome';
import { ruled, tabled, workedOut, type Figure } from '../../terms/working';
import type { PlanChoice } from './choices';
import type { SegmentFinding } from './part-finding';

/** Speed of the chosen tool in the part's material. */
export function surfaceSpeed(plan: PlanChoice, materialId: string): Figure {
  const material = materialOf(materialId);
  const speed = plan.tool === 'hss' ? (material?.speedHss ?? 0) : (material?.speedCarbide ?? 0);
  const words = `${material?.name ?? 'material not known'}, ${plan.tool === 'hss' ? 'high-speed steel' : 'carbide'}, starting value`;
  return tabled('plan.surface-speed', 'surface speed', speed, words, 'speed');
}

/** The bar that is chosen. */
export const barFigure = (barMm: number): Figure => tabled('plan.bar-diameter', 'bar', barMm, 'the rack');

export interface SegmentPasses {
  readonly segment: SegmentFinding;
  /** The bar, or the hole that is drilled before boring, mm. */
  readonly fromMm: number;
  readonly passes: Outcome<Pass[]>;
  /** For the first roughing cut on this segment and for its finish. */
  readonly roughSpeed: Outcome<SpindleSpeed>;
  readonly finishSpeed: Outcome<SpindleSpeed>;
  /** Each pass as a figure: diameter after it, mm. */
  readonly passFigures: readonly Figure[];
  readonly roughRpm: Figure | null;
  readonly finishRpm: Figure | null;
  /** A turn, mm. */
  readonly feeds: Readonly<Record<keyof Feeds, Figure>>;
}

/** Where the dial that sets it stands for a pass, counted from touching the bar or the wall of the hole. */
export const passDial = ({ fromMm }: Pick<SegmentPasses, 'fromMm'>, { toMm }: Pick<Pass, 'toMm'>, on: Pick<Lathe, 'cross'>): string =>
  turnsWords(crossTurns(Math.abs(fromMm - toMm), on), on.cross);

/** Ra that turning has to give a surface, µm; null where none is asked for, or something else gives it. */
function turnedRaUm({ features }: Pick<Part, 'features'>, id: string): number | null {
  const asked = features.flatMap((f) => (f.kind === 'surface-finish' && f.on === id && f.how === 'turned' ? [f.raUm] : []));
  return asked.length ? Math.min(...asked) : null;
}

/** Feeds a turn for a surface, with what holds them. */
function feedFigures(id: string, noseMm: number, raUm: number | null): SegmentPasses['feeds'] {
  const feeds = feedsFor(noseMm, raUm);
  const nose = ruled('plan.nose', 'nose radius', noseMm, 'of the turning tool');
  const held = raUm !== null && feeds.finish < feedsFor(noseMm, null).finish;
  const usual = 'usual feed, no more than two thirds of the nose radius';
  return {
    rough: workedOut(`segment.${id}.rough-feed`, 'roughing feed, a turn', feeds.rough, usual, [nose]),
    finish: workedOut(
      `segment.${id}.finish-feed`,
      'finishing feed, a turn',
      feeds.finish,
      held ? `its ridges come to Ra ${raUm} µm at best: f²/8r, and 4/(9 sqrt 3) of that` : usual,
      [nose],
    ),
  };
}

/** The drill before boring; nought where the bore is too small for one. */
export function drillFigure(id: string, boreMm: number, sets: readonly DrillSet[]): Figure {
  const drill = firstDrill(boreMm, sets);
  return tabled(`plan.drill.${id}`, 'drilled before boring', drill?.diameterMm ?? 0, drill?.here ? 'drills of the crib' : 'drills as sold');
}

/**
 * Why nothing is bored there: a tap or a reamer gives the hole its size; null for what is bored.
 *
 * @param drillMm drilled before boring, or the hole of the stock; 0 where the hole is too small for a boring bar
 */
export function drilledOnly({ features }: Pick<Part, 'features'>, { id }: Pick<PlacedSurface, 'id'>, drillMm: number): string | null {
  if (features.some((f) => f.kind === 'thread' && f.on === id && isTapped(f.thread)))
    return 'Drilled for its tap: the drill stands under “To set”.';
  return drillMm === 0 ? 'Too small to bore: drill and ream it.' : null;
}

/** The fastest that work is turned at in a holding, and why. */
export interface MostRpm {
  readonly rpm: number;
  readonly words: string;
}

/** What a speed is held under beside its size; that even the slowest gear is over it is said, never that it is held. */
function heldWords({ idealRpm, gearRpm }: SpindleSpeed, most: MostRpm | null): string {
  if (!most || most.rpm >= idealRpm) return '';
  return `, ${gearRpm > most.rpm ? 'the slowest gear, over' : 'held under'} ${Math.round(most.rpm)}: ${most.words}`;
}

/** Where even the slowest gear is too fast for how it is held; empty where one will do. */
export const tooFastWords = ({ segment, finishRpm }: Pick<SegmentPasses, 'segment' | 'finishRpm'>, most: MostRpm | null): string =>
  most && finishRpm && finishRpm.value > most.rpm
    ? `${segment.segment.name}: every gear is faster than ${Math.round(most.rpm)} rpm, ${most.words}. Hold it another way, or take another lathe.`
    : '';

/** What a surface is cut on: its spindle, and the fastest that it is turned at there; null where nothing but its size says so. */
export interface Spindle {
  readonly name: string;
  readonly gearsRpm: readonly number[];
  readonly most: MostRpm | null;
}

const rpmFigure = (
  key: string,
  label: string,
  outcome: Outcome<SpindleSpeed>,
  surface: Figure,
  over: Figure,
  on: Spindle | null,
): Figure | null =>
  outcome.ok && on
    ? workedOut(
        key,
        label,
        outcome.value.gearRpm,
        `1000 V/(pi D) is ${Math.round(outcome.value.idealRpm)}${heldWords(outcome.value, on.most)}, stepped down to a gear of ${on.name}`,
        [surface, over],
        { measure: 'rpm' },
      )
    : null;

/** Why nothing is cut where no way holds it. */
const NOT_HELD = 'Nothing here holds it, see above.';

/**
 * One surface from what stands there to its size: passes, speeds and feeds.
 *
 * @param from the bar, the drilled hole, or what was read; `standing` in words: `the bar`
 * @param on null where no machine does it
 * @param cannot why nothing is turned or bored there; null where it is
 */
export function surfacePasses(
  segment: SegmentFinding,
  from: Figure,
  standing: string,
  plan: PlanChoice,
  part: Pick<Part, 'materialId' | 'features'>,
  on: Spindle | null,
  cannot: string | null = on ? null : NOT_HELD,
): SegmentPasses {
  const { id } = segment.segment;
  const inside = segment.segment.side === 'inside';
  const surface = surfaceSpeed(plan, part.materialId);
  const planned = inside ? planBorePasses : planPasses;
  const passes =
    cannot === null ? planned(from.value, segment.diameter.value, { ...USUAL_PASSES, finishes: plan.finishes }) : bad('not-cut', cannot);
  const gears = gearsUnder(on?.gearsRpm ?? [], on?.most?.rpm ?? null);
  const first = inside ? segment.diameter : from;
  const speed = (overMm: number): Outcome<SpindleSpeed> =>
    surface.value > 0
      ? spindleSpeed(surface.value, overMm, gears)
      : bad('no-material', 'What it is made of is not known: no speed follows.');
  const roughSpeed = speed(first.value);
  const finishSpeed = speed(segment.diameter.value);
  return {
    segment,
    fromMm: from.value,
    passes,
    roughSpeed,
    finishSpeed,
    passFigures: passes.ok
      ? passes.value.map((p, n) =>
          workedOut(
            `segment.${id}.pass.${n}`,
            p.kind === 'rough' ? `rough pass ${n + 1}` : `finish pass ${n + 1}`,
            p.toMm,
            `equal cuts from ${standing} to the wanted size, the last ones for finishing`,
            [from, segment.diameter],
          ),
        )
      : [],
    feeds: feedFigures(id, plan.noseMm ?? USUAL_NOSE_MM, turnedRaUm(part, id)),
    roughRpm: rpmFigure(`segment.${id}.rough-rpm`, 'roughing speed', roughSpeed, surface, first, on),
    finishRpm: rpmFigure(`segment.${id}.finish-rpm`, 'finishing speed', finishSpeed, surface, segment.diameter, on),
  };
}

/**
 * The passes of every diameter, from the bar or from the drilled hole.
 *
 * @param mostRpm the fastest that a surface is turned at where it is cut, by its id; null where nothing but its size says so
 */
export function passesFor(
  segments: readonly SegmentFinding[],
  plan: PlanChoice,
  lathe: Lathe,
  stock: Pick<Blank, 'roundMm' | 'holeMm'>,
  part: Pick<Part, 'materialId' | 'features'>,
  sets: readonly DrillSet[],
  mostRpm: (id: string) => MostRpm | null = () => null,
): SegmentPasses[] {
  const bar = barFigure(stock.roundMm);
  return segments.map((segment) => {
    const { id, side } = segment.segment;
    const on = { ...lathe, most: mostRpm(id) };
    if (side === 'outside') return surfacePasses(segment, bar, 'the bar', plan, part, on);
    const drill =
      stock.holeMm === null
        ? drillFigure(id, segment.diameter.value, sets)
        : tabled(`plan.drill.${id}`, 'hole of the stock', stock.holeMm, 'the rack');
    return surfacePasses(segment, drill, 'the drilled hole', plan, part, on, drilledOnly(part, segment.segment, drill.value));
  });
}

/** Turning surfaces to size, min; what has no passes or no speed takes none. */
export const cuttingMin = (passes: readonly SegmentPasses[]): number =>
  passes.reduce((sum, x) => {
    if (!x.passes.ok || !x.roughSpeed.ok || !x.finishSpeed.ok) return sum;
    const { lengthMm } = x.segment.segment;
    const all = x.passes.value;
    const of = (kind: Pass['kind']): number => all.filter((p) => p.kind === kind).length;
    return (
      sum +
      passesMin('rough', of('rough'), lengthMm, x.roughSpeed.value.gearRpm, x.feeds.rough.value) +
      passesMin('finish', of('finish'), lengthMm, x.finishSpeed.value.gearRpm, x.feeds.finish.value)
    );
  }, 0);
