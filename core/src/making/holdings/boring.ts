import { formatWithUnit, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { faceOf, type Block, type BlockHole } from '../part';
import { BAR_SHARE, SHANKS } from '../process';
import type { Lathe, MillCard } from '../setups';
import { bestFirst, type HoldWay } from './hold-way';
import { HOLDINGS, lacks, runOutOf } from './holding';

/** How a housing, a link or a barrel is held while it is bored true. */
export const BORING_IDS = ['mill-head', 'jaws', 'faceplate', 'carriage-bar', 'follow'] as const;
export type BoringId = (typeof BORING_IDS)[number];

/** What is bored. */
export interface BoringWork {
  /** The smallest of the bores, mm. */
  readonly diameterMm: number;
  /** The longest of them, mm. */
  readonly lengthMm: number;
  /** Bores that are made in one setting. */
  readonly holes: number;
  /** Whether all go right through; null where nobody said. */
  readonly through: boolean | null;
  /** Off the diameter, mm; null where there is no hole yet, or nobody read it. */
  readonly takesMm: number | null;
  /** There is a hole that a reamer or hone can follow. */
  readonly hasHole: boolean;
  /** What swings when the lathe turns it about a hole, across, mm; null where nobody said how large it is. */
  readonly swingsMm: number | null;
  /** A round outside that jaws may hold it by, mm; null where none of it was read. */
  readonly roundMm: number | null;
}

/** The machines that it could go to. */
export interface BoringMachines {
  readonly lathe: Lathe | null;
  readonly mill: MillCard | null;
}

export type BoringChoice = HoldWay<BoringId>;

/** A bar between centres holds its size up to so many. */
const BETWEEN_RATIO = 15;
/** Room that dog, tailstock and the tool's way out take of such a bar, mm. */
const BETWEEN_ENDS_MM = 100;

/** How long a bar between centres has to be, mm: its tool travels the whole bore on both sides of it. */
export const betweenBarMm = (boreMm: number): number => 2 * boreMm + BETWEEN_ENDS_MM;

/** More than this a reamer or a hone is not asked to take, off the diameter, mm. */
const FOLLOW_MM = 0.3;

const BAR_CAUTION = 'Boring bar: lock what does not move, keep hands and rags off the bar; it catches a sleeve as any shaft does.';
const PLATE_CAUTION =
  'It is out of balance: counterweight, lowest gear, the whole swing turned by hand past the bed before the spindle starts.';
const HONE_CAUTION = 'A reamer or hone that grips turns the work: clamp it, and keep the hand off the wrench’s swing.';

function tooDeep({ diameterMm, lengthMm }: BoringWork, unit: LengthUnit): string {
  const barMm = BAR_SHARE * diameterMm;
  return lengthMm > SHANKS.steel.ratio * barMm
    ? `A bar of ${placeWithUnit(barMm, unit)} would reach ${(lengthMm / barMm).toFixed(1)} times its thickness: it chatters and bores a taper.`
    : '';
}

function carriageCannot(work: BoringWork, { lathe }: BoringMachines, unit: LengthUnit): string {
  if (!lathe) return 'The shop has no lathe on record.';
  if (work.through === false) return 'It does not go right through: the bar has to run in the tailstock.';
  const barMm = BAR_SHARE * work.diameterMm;
  const longMm = betweenBarMm(work.lengthMm);
  if (longMm > lathe.centresMm)
    return `The bar has to be ${placeWithUnit(longMm, unit)} long: more than ${lathe.name} has between centres.`;
  return longMm > BETWEEN_RATIO * barMm
    ? `A bar of ${placeWithUnit(barMm, unit)} would be ${(longMm / barMm).toFixed(0)} times as long as thick: it springs.`
    : '';
}

function faceplateCannot(work: BoringWork, { lathe }: BoringMachines, unit: LengthUnit): string {
  if (!lathe) return 'The shop has no lathe on record.';
  if (lathe.holdings?.length && !lathe.holdings.some((h) => h.kind === 'faceplate')) return `${lathe.name} has no faceplate on its card.`;
  if (work.swingsMm !== null && work.swingsMm > lathe.swingMm)
    return `About that hole it swings ${placeWithUnit(work.swingsMm, unit)}, and ${lathe.name} ${placeWithUnit(lathe.swingMm, unit)}.`;
  return tooDeep(work, unit);
}

function jawsCannot(work: BoringWork, { lathe }: BoringMachines, unit: LengthUnit): string {
  if (!lathe) return 'The shop has no lathe on record.';
  if (work.roundMm === null) return 'No round outside of it was read that jaws could hold.';
  if (work.roundMm > lathe.swingMm)
    return `It is ${placeWithUnit(work.roundMm, unit)} across, and ${lathe.name} swings ${placeWithUnit(lathe.swingMm, unit)}.`;
  return lacks('four-jaw', lathe) || tooDeep(work, unit);
}

function followCannot({ hasHole, takesMm }: BoringWork, unit: LengthUnit): string {
  if (!hasHole) return 'There is no hole yet that it could follow.';
  return takesMm !== null && takesMm > FOLLOW_MM
    ? `${formatWithUnit(takesMm, unit)} off the diameter is too much for a reamer or a hone: bore first, leave it the last of it.`
    : '';
}

/**
 * Every way to hold what is bored, the best first: what will do, then what makes a new axis before what follows the old one, then what is set up
 * sooner. Accuracies are what shops get with an indicator to a hundredth; minutes are an estimate.
 */
export function boringWays(work: BoringWork, on: BoringMachines, unit: LengthUnit): BoringChoice[] {
  const show = (mm: number): string => formatWithUnit(mm, unit);
  const places = work.holes > 1 ? ', distances by the table' : '';
  const ways: readonly BoringChoice[] = [
    {
      ...{ id: 'mill-head', name: 'On the mill, boring head', minutes: 20 + 5 * (work.holes - 1), cautions: [BAR_CAUTION] },
      hold: 'clamped to the mill’s table on its machined face, dialled in with an indicator in the spindle; all bores in line in this one setting',
      about: 'Head and table square to each other first; what is sound of the old hole, or its other end, gives the centre.',
      gives: `square to 1 in 10,000${places}`,
      cannot: on.mill ? tooDeep(work, unit) : 'The shop has no mill on record.',
    },
    {
      ...{ id: 'jaws', name: 'In the four-jaw chuck', minutes: HOLDINGS['four-jaw'].minutes * work.holes, cautions: [BAR_CAUTION] },
      hold: 'four-jaw chuck on its round outside, dialled in on what is sound of the hole and on its face',
      about: 'What is round itself: a hub, a pulley, a flange. Copper under the jaws, no tighter than it needs: a thin wall springs.',
      gives: on.lathe ? `within ${show(runOutOf('four-jaw', on.lathe).mm)} of what it is dialled in on` : '',
      cannot: jawsCannot(work, on, unit),
    },
    {
      ...{ id: 'faceplate', name: 'On the lathe’s faceplate', minutes: 20 * work.holes, cautions: [PLATE_CAUTION] },
      hold: 'clamped to the faceplate with its machined face to the plate, each hole dialled in, counterweight opposite',
      about: 'Small housings and links; each hole is dialled in anew.',
      gives: `square to 1 in 10,000, each within ${show(0.01)} of its place`,
      cannot: faceplateCannot(work, on, unit),
    },
    {
      ...{ id: 'carriage-bar', name: 'On the carriage, bar between centres', minutes: 40, cautions: [BAR_CAUTION] },
      hold: 'the work packed up on the carriage to the height of the centres and clamped, the boring bar between centres with a dog',
      about:
        'What no machine swings, and long bores through two walls: straight as the bed, in line by itself. Nothing reads the size but a gauge.',
      gives: 'in line to 1 in 30,000',
      cannot: carriageCannot(work, on, unit),
    },
    {
      ...{ id: 'follow', name: 'Reamer with a pilot, or hone', minutes: 10, cautions: [HONE_CAUTION] },
      hold: 'clamped by what is stiff, the pilot in what is sound of the hole',
      about: 'It follows the hole that is there: round and to size, but no straighter and in no better place than before.',
      gives: 'where the old hole is',
      cannot: followCannot(work, unit),
    },
  ];
  return bestFirst(ways, (w) => Number(w.id === 'follow'));
}

/** What swings when a block is turned about one of its holes, across, mm: twice the way to the farthest corner. */
export function swingAbout(block: Block, { on, atMm, upMm }: Pick<BlockHole, 'on' | 'atMm' | 'upMm'>): number {
  const { uMm, vMm } = faceOf(block, on);
  return 2 * Math.hypot(Math.max(atMm, uMm - atMm), Math.max(upMm, vMm - upMm));
}

/** What is bored into a block; null where nothing is. */
export function boringOf(block: Block): BoringWork | null {
  const holes = block.cuts.filter((c): c is BlockHole => c.kind === 'hole' && c.made === 'bored');
  if (!holes.length) return null;
  const deep = (h: BlockHole): number => (h.reach === 'through' ? faceOf(block, h.on).thickMm : h.depthMm);
  return {
    ...{ diameterMm: Math.min(...holes.map((h) => h.diameterMm)), lengthMm: Math.max(...holes.map(deep)), holes: holes.length },
    ...{ through: holes.every((h) => h.reach === 'through'), takesMm: null, hasHole: false, roundMm: null },
    swingsMm: Math.max(...holes.map((h) => swingAbout(block, h))),
  };
}
