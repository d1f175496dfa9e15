import { materialOf } from '../../book/materials';
import { betweenBarMm, type BoringId } from '../../making/holdings';
import type { Part } from '../../making/part';
import type { Lathe } from '../../making/setups';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import type { Figure } from '../../terms/working';
import { bentBar, reaching } from './bar-bend';
import { boredOn, dialOfBore, millOf, type Dialled } from './bored-on';
import type { PlanChoice } from './choices';
import type { SegmentFinding } from './part-finding';
import { surfacePasses, tooFastWords, type SegmentPasses } from './planned-passes';
import type { Pushed } from './pushed';
import type { Shop } from './records';

/** A bore with what stands there before its bar. */
export interface ToBore {
  readonly segment: SegmentFinding;
  /** Read, or drilled; null where nobody knows. */
  readonly from: Figure | null;
  /** As in a sentence: `the drilled hole`. */
  readonly standing: string;
  /** Why nothing is bored from there; null where it is. */
  readonly cannot: string | null;
}

/** Bores as they come to their sizes. */
export interface BoredPasses {
  readonly passes: readonly SegmentPasses[];
  /** How far the bar gives way in each. */
  readonly pushed: readonly Pushed[];
  /** Whose dial sets them; null where no dial does. */
  readonly bores: Dialled | null;
  readonly problems: readonly string[];
  /** What to mind beside what gives way. */
  readonly minds: readonly string[];
}

const IN_LINE = 'Each bore is reckoned through its own mouth. One behind another in line takes a bar that reaches through all of them.';

/** What a reamer or a hone takes, and how it goes. */
const followWords = (takes: string): string =>
  `A reamer or a hone takes ${takes} off the diameter. A reamer at half the speed of a drill, with oil, never turned back; with a hone read it every few strokes and let it cool.`;

/** Passes of bores that are held in one way; null is that none will do. */
export function boredPasses(
  bores: readonly ToBore[],
  way: BoringId | null,
  plan: PlanChoice,
  lathe: Lathe | null,
  part: Pick<Part, 'materialId' | 'features'>,
  shop: Pick<Shop, 'machines' | 'tools'>,
  unit: LengthUnit,
): BoredPasses {
  const mill = millOf(shop);
  const on = way && boredOn(way, lathe, mill);
  const passes = bores.map(({ segment, from, standing, cannot }) => {
    const takes = from && !cannot ? formatWithUnit(segment.diameter.value - from.value, unit) : 'the rest';
    const why = way === 'follow' ? followWords(takes) : (cannot ?? undefined);
    return surfacePasses(segment, from ?? segment.diameter, standing, plan, part, on, why);
  });
  const m = materialOf(part.materialId);
  const pushed = passes.flatMap((x): Pushed[] => {
    const { id, lengthMm } = x.segment.segment;
    const held =
      way === 'carriage-bar'
        ? ({ held: 'centres', freeMm: betweenBarMm(lengthMm), words: 'twice the bore, and room at both ends' } as const)
        : reaching(lengthMm);
    const told = m && on && bentBar(`bored.${id}`, x, held, m, shop.tools, unit);
    return told ? [told] : [];
  });
  return {
    ...{ passes, pushed },
    bores: on && lathe && dialOfBore(way, lathe, mill),
    problems: passes.map((x) => tooFastWords(x, on?.most ?? null)).filter(Boolean),
    minds: bores.length > 1 && way === 'mill-head' ? [IN_LINE] : [],
  };
}
