import { judge, type Limits } from '../../evidence/proof';
import { K95 } from '../../evidence/readings';
import { isDiameterOfSurface, placeOutside, READ_AS, sideRead, type Dimension, type Part } from '../../making/part';
import { crossTurns, toTurns, turnsWords } from '../../making/setups';
import { formatWithUnit } from '../../terms/quantity';
import { minus, plus, sumOf, type Figure } from '../../terms/working';
import { capital } from '../../terms/words';
import { instrumentOf } from './bias';
import { instrumentUncertaintyMm, readingFigure, sizeOf } from './measured';
import type { DimensionFinding, PartFinding } from './part-finding';
import type { PlanFinding, PlannedSetUp } from './plan-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';

/** What it is with a size that is being cut: not read yet, metal still to go, inside, too near a limit to tell, past its far limit. */
export type SizeCutState = 'not-read' | 'go-on' | 'in' | 'close' | 'beyond';

/** A width, a depth, a length or the floor of a groove at the machine: what it reads now, and how far the slide still goes. */
export interface SizeCut {
  readonly key: string;
  readonly name: string;
  /** Number of the set-up that cuts it. */
  readonly setUp: number;
  readonly limits: Limits;
  readonly wantedMm: number;
  readonly readings: readonly ReadingRecord[];
  readonly nowMm: number | null;
  readonly state: SizeCutState;
  /** What it still lacks of the middle of its limits; below nought where it is past it. Null before the first reading. */
  readonly left: Figure | null;
  /** How far the slide goes for that, as its dial counts it: `2 turns + 0.15 mm`; empty where there is nothing to go, or no dial is known. */
  readonly dial: string;
  readonly sentences: readonly string[];
}

type Slide = 'along' | 'across';

/** Sizes of what is cut into a surface: they grow as it is cut, but for what is left standing. */
const SHRINKS: readonly Dimension['what'][] = ['outside', 'across'];
const SLIDE: Partial<Readonly<Record<Dimension['what'], Slide>>> = {
  outside: 'across',
  inside: 'across',
  across: 'across',
  depth: 'across',
  length: 'along',
  width: 'along',
};

/** Whether half of what is too much comes off each side: of a diameter, and across two flats; of one flat, or of three, all of it. */
function isHalved({ what, ownerId }: Dimension, part: Part): boolean {
  const f = part.features.find((x) => x.id === ownerId);
  return what === 'outside' || what === 'inside' || (what === 'across' && !(f?.kind === 'flats' && f.count % 2 === 1));
}

/** Whether a shoulder that this set-up cuts ends an outside surface on the side of the chuck: its length grows as the tool goes on. */
function endsAtShoulder(part: Part, id: string, fromFarEnd: boolean): boolean {
  const row = placeOutside(part);
  const at = row.findIndex((s) => s.id === id);
  const towardsChuck = row[fromFarEnd ? at - 1 : at + 1];
  return !!towardsChuck && towardsChuck.diameterMm > row[at]!.diameterMm;
}

/** Which way a size goes as it is cut, and by which slide; null for what is not brought to its size by cutting on. */
function howCut(d: Dimension, part: Part, { setUp }: PlannedSetUp): { readonly grows: boolean; readonly slide: Slide } | null {
  const slide = SLIDE[d.what];
  if (!slide || READ_AS[d.what] === null || isDiameterOfSurface(d)) return null;
  const ofSurface = d.ownerId === d.surface.id;
  // The diameter of a drilled hole is its drill's.
  if (d.what === 'inside' && d.surface.side !== 'inside') return null;
  if (!ofSurface) return { grows: !SHRINKS.includes(d.what), slide };
  if (d.name !== 'length') return null;
  if (d.surface.side === 'inside') return { grows: true, slide: 'along' };
  return endsAtShoulder(part, d.ownerId, setUp.fromFarEnd) ? { grows: true, slide: 'along' } : null;
}

/** A move as the dial of its slide counts it: of a diameter, and of flats, half of it comes off each side. */
function dialWords(moveMm: number, slide: Slide, { dial, setUp }: PlannedSetUp, { lathe }: PlanFinding): string {
  if (setUp.machine === 'lathe' && slide === 'across')
    return `${turnsWords(crossTurns(2 * moveMm, lathe), lathe.cross)} ${lathe.cross.unit}`;
  return dial ? `${turnsWords(toTurns(moveMm, dial), dial)} ${dial.unit}` : '';
}

function stateOf(nowMm: number | null, plusMinusMm: number, grows: boolean, limits: Limits): SizeCutState {
  if (nowMm === null) return 'not-read';
  if (judge(nowMm, plusMinusMm, limits) === 'fits') return 'in';
  const lacks = grows ? limits.lowerMm - nowMm : nowMm - limits.upperMm;
  if (lacks > 0) return 'go-on';
  return (grows ? nowMm > limits.upperMm : nowMm < limits.lowerMm) ? 'beyond' : 'close';
}

function sizeCut(
  found: DimensionFinding & { readonly limits: Limits },
  one: PlannedSetUp,
  plan: PlanFinding,
  part: Part,
  live: readonly ReadingRecord[],
  { job }: JobSheet,
  shop: Shop,
): SizeCut[] {
  const { dimension, limits } = found;
  const how = howCut(dimension, part, one);
  if (!how) return [];
  const { grows, slide } = how;
  const readings = live.filter((r) => r.purpose === 'cut' && r.segmentId === dimension.key);
  const last = readings.at(-1);
  const nowMm = last ? sizeOf(last, part.materialId, job.shopTempC, shop) : null;
  const side = sideRead(dimension.what);
  const plusMinusMm = last ? K95 * instrumentUncertaintyMm(instrumentOf(shop, last.instrumentId), side, last.valueMm) : 0;
  const state = stateOf(nowMm, plusMinusMm, grows, limits);
  const wantedMm = (limits.lowerMm + limits.upperMm) / 2;
  const wanted = { ...found.figure, value: wantedMm };
  const left =
    last && nowMm !== null
      ? sumOf(
          `segment.${dimension.key}.left`,
          'still to go',
          grows
            ? [plus(wanted), minus(readingFigure(last, nowMm, shop, job.unit))]
            : [plus(readingFigure(last, nowMm, shop, job.unit)), minus(wanted)],
        )
      : null;
  const halved = isHalved(dimension, part);
  const moveMm = state === 'go-on' ? left!.value / (halved ? 2 : 1) : 0;
  const show = (mm: number): string => formatWithUnit(mm, job.unit);
  const words: Readonly<Record<SizeCutState, readonly string[]>> = {
    'not-read': ['Read it as it stands now.'],
    'go-on': [
      `The tool goes ${show(moveMm)} on${halved ? ', on each side' : ''}. Wind past and come again from the same side, then read it.`,
    ],
    in: ['Inside its limits. Take no more.'],
    close: [`Inside, or as good as, but ±${show(plusMinusMm)} cannot tell. Stop, and read it with a finer instrument.`],
    beyond: ['Past its far limit. Stop: read it again, cold, before the part is given up.'],
  };
  return [
    {
      key: dimension.key,
      name: capital(dimension.label),
      setUp: one.setUp.number,
      limits,
      wantedMm,
      readings,
      nowMm,
      state,
      left,
      dial: moveMm > 0 ? dialWords(moveMm, slide, one, plan) : '',
      sentences: words[state],
    },
  ];
}

/**
 * Every size of one piece that is no diameter of a surface, in the order in which the set-ups cut them.
 *
 * @param live readings of that piece
 */
export const sizeCuts = (
  found: PartFinding | null,
  plan: PlanFinding | null,
  live: readonly ReadingRecord[],
  sheet: JobSheet,
  shop: Shop,
): SizeCut[] =>
  found && plan
    ? plan.setUps.flatMap((one) =>
        found.dimensions.flatMap((d) =>
          d.limits && one.setUp.cuts.includes(d.dimension.ownerId)
            ? sizeCut(d as DimensionFinding & { readonly limits: Limits }, one, plan, found.part, live, sheet, shop)
            : [],
        ),
      )
    : [];
