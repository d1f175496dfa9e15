import { inSentence } from '../../terms/words';
import { nearestBearings, shaftSeat } from '../../book/bearings';
import { fitOutlook, type FitOutlook, type PinTarget, type School } from '../../book/fits';
import { press, type PressResult } from '../../book/interference';
import { materialOf, type Material } from '../../book/materials';
import { REFERENCE_TEMP_C } from '../../terms/quantity';
import { chosenRunning, type RunningChoice } from './choices';
import { drawnFor } from './drawn-for';
import type { PlaceFinding } from './place-finding';
import { alphaOf } from './measured';
import type { JobSheet } from './records';
import type { PairKind } from './runs-here.data';
import { areMates, mateOf } from './pair';

/** What a pin made to a target will do in its hole. */
export interface DeskOutlook extends FitOutlook {
  /** What pressing it in takes, where it may have to be pressed; null where it goes in by hand, or no sum is possible. */
  readonly push: PressResult | null;
  /** How much the bore of a bush closes in when it is made to the middle of its limits, mm; 0 where it has no bore or no press. */
  readonly closesAtAimMm: number;
  /** A brittle hub: `yes` where the largest pin cracks it at the smallest that was measured, `may` where it only does within that figure's band. */
  readonly cracks: 'no' | 'may' | 'yes';
}

/** Before anybody says otherwise a pair runs at 20 °C and the metal round the hole is twice its size. */
const USUAL_RUNNING: RunningChoice = { pinC: REFERENCE_TEMP_C, holeC: REFERENCE_TEMP_C, hubOutsideMm: null };
const HUB_SHARE = 2;
/** Turned and bored, before pressing. */
const USUAL_RZ_MM = 0.004;
/** Steel with a film of oil. */
const USUAL_FRICTION = 0.12;
/** Steel: of what housings are made of nothing is stiffer. */
const STIFFEST_ID = 'steel-c45';
/** A pin that must be pressed less often than this is not asked what that takes. */
const PRESS_WORTH_ASKING = 0.02;

/** Everything about the surroundings of one hole that an outlook needs. */
export interface DeskSetting {
  readonly running: RunningChoice;
  readonly hubOutsideMm: number;
  readonly pinMaterialId: string;
  readonly holeMaterialId: string;
  readonly lengthMm: number;
  readonly plusMinusMm: number;
  /** Bore of what goes in, mm; 0 where it is solid or its bore was not measured. */
  readonly pinBoreMm: number;
}

/** What surrounds a hole at the fit desk: metals, walls, temperatures; usual ones where nobody said. */
export function deskSetting(hole: PlaceFinding, places: readonly PlaceFinding[], sheet: JobSheet): DeskSetting {
  const running = chosenRunning(sheet, hole.place.id) ?? USUAL_RUNNING;
  const mate = mateOf(hole, places)?.component;
  const worn = mate?.role === 'worn' ? mate : sheet.components.find((c) => c.role === 'worn');
  return {
    running,
    hubOutsideMm: running.hubOutsideMm ?? HUB_SHARE * (hole.shape?.largestMm ?? 1),
    pinMaterialId: drawnFor(sheet, hole.place.id)?.materialId ?? worn?.materialId ?? '',
    holeMaterialId: hole.component.materialId,
    lengthMm: hole.place.lengthMm,
    plusMinusMm: hole.smallest?.plusMinus ?? 0,
    pinBoreMm: boreOf(worn?.id, hole, places),
  };
}

/**
 * The bore of the worn part itself, as a bush has one: the largest that was measured, where it leaves a wall. A bore that wore away or was
 * never read is about as large as the shaft that was told to run in it.
 */
function boreOf(componentId: string | undefined, hole: PlaceFinding, places: readonly PlaceFinding[]): number {
  const own = places.filter((f) => f.component.id === componentId && f.place.side === 'inside');
  const runsIn = (f: PlaceFinding): PlaceFinding[] => places.filter((s) => s.place.side === 'outside' && areMates(s.place, f.place));
  const mm = Math.max(0, ...own.flatMap((f) => (f.shape ? [f] : runsIn(f))).map((f) => f.shape?.meanMm ?? 0));
  return hole.shape && mm < hole.shape.smallestMm ? mm : 0;
}

function pressed(
  interferenceMm: number,
  target: PinTarget,
  setting: DeskSetting,
  hub = materialOf(setting.holeMaterialId),
): PressResult | null {
  const pin = materialOf(setting.pinMaterialId);
  if (!pin || !hub) return null;
  const result = press({
    diameterMm: target.holeSmallestMm,
    hubOutsideMm: setting.hubOutsideMm,
    shaftBoreMm: setting.pinBoreMm,
    lengthMm: setting.lengthMm,
    interferenceMm,
    rzHubMm: USUAL_RZ_MM,
    rzShaftMm: USUAL_RZ_MM,
    hub,
    shaft: pin,
    friction: USUAL_FRICTION,
  });
  return result.ok ? result.value : null;
}

/** What the hole is in, for how far a bush closes in: where nobody knows, steel, which gives least and so closes it in most. */
const hubTaken = ({ holeMaterialId }: Pick<DeskSetting, 'holeMaterialId'>): Material =>
  materialOf(holeMaterialId) ?? materialOf(STIFFEST_ID)!;

const refused = (p: PressResult | null): boolean => p?.stresses.some((s) => s.verdict === 'refuse') ?? false;

/** Play now and warm, how it goes in, and what pressing takes. */
export function deskOutlook(target: PinTarget, setting: DeskSetting): DeskOutlook {
  const outlook = fitOutlook({
    pin: {
      lowerMm: target.lowerMm,
      upperMm: target.upperMm,
      alphaPerK: alphaOf(setting.pinMaterialId),
      tempC: setting.running.pinC,
    },
    hole: {
      smallestMm: target.holeSmallestMm,
      largestMm: target.holeLargestMm,
      plusMinusMm: setting.plusMinusMm,
      alphaPerK: alphaOf(setting.holeMaterialId),
      tempC: setting.running.holeC,
    },
  });
  // The tightest pair that the limits and what is known of the hole allow: a hub cracks by that one.
  const asMeasuredMm = target.upperMm - target.holeSmallestMm;
  const usualMm = target.aimMm - target.holeSmallestMm;
  const push = outlook.goesIn.presses > PRESS_WORTH_ASKING ? pressed(asMeasuredMm + setting.plusMinusMm, target, setting) : null;
  return {
    ...outlook,
    push,
    cracks: !refused(push) ? 'no' : asMeasuredMm > 0 && refused(pressed(asMeasuredMm, target, setting)) ? 'yes' : 'may',
    closesAtAimMm: setting.pinBoreMm > 0 ? (pressed(usualMm, target, setting, hubTaken(setting))?.boreClosesMm ?? 0) : 0,
  };
}

/**
 * What cannot be worked out of a pair because nobody knows what it is made of; empty where both materials are known.
 *
 * @param hole name of the part round the hole; `pinBoreMm` 0 for what has no bore
 */
export function unknownMetal(
  { pinMaterialId, holeMaterialId, pinBoreMm }: Pick<DeskSetting, 'pinMaterialId' | 'holeMaterialId' | 'pinBoreMm'>,
  hole: string,
): string {
  const [pin, hub] = [materialOf(pinMaterialId), materialOf(holeMaterialId)];
  if (pin && hub) return '';
  const whose = !hub && !pin ? `${hole} and of what runs in it` : hub ? 'what runs in the hole' : hole;
  const closes =
    pinBoreMm === 0
      ? ''
      : pin
        ? ' A bore is taken to close in as in steel, which is the most.'
        : ' Nor is how far its bore closes in when it is pressed.';
  return `The material of ${whose} is not known: warm, it is taken to grow like steel; the force to press it in, and whether a brittle part would crack, are not worked out.${closes} Say the material at Strip, or try it with a file and a spark.`;
}

const isLand = (f: PlaceFinding, role: 'worn' | 'mate', side: 'inside' | 'outside'): boolean =>
  f.component.role === role && f.place.side === side && f.place.land === 'unworn' && f.mean !== null;

/** Unworn places further apart in size than this are not of the same pair, as a share of the size. */
const SAME_PAIR_SHARE = 0.03;

/**
 * What the maker gave: an unworn hole less an unworn land of the same pair, one on the mate and one on the worn part.
 *
 * @param holeOn whose the hole is
 * @param mateId the component of the mate
 * @returns null where they were not both measured
 */
export function makerClearance(
  places: readonly PlaceFinding[],
  holeOn: 'worn' | 'mate',
  pinOn: 'worn' | 'mate',
  mateId: string,
): School | null {
  const ofPair = (f: PlaceFinding): boolean => f.component.role === 'worn' || f.component.id === mateId;
  const holes = places.filter((f) => isLand(f, holeOn, 'inside') && ofPair(f));
  const lands = places.filter((f) => isLand(f, pinOn, 'outside') && ofPair(f));
  for (const unworn of holes)
    for (const land of lands) {
      const clearanceMm = unworn.mean!.value - land.mean!.value;
      if (Math.abs(clearanceMm) > SAME_PAIR_SHARE * land.mean!.value) continue;
      return {
        kind: 'maker',
        clearanceMm,
        words: `${inSentence(unworn.place.name)} less ${inSentence(land.place.name)}, both unworn`,
      };
    }
  return null;
}

const makerSchool = (hole: PlaceFinding, places: readonly PlaceFinding[]): School[] => {
  const maker = makerClearance(places, 'mate', 'worn', hole.component.id);
  return maker ? [maker] : [];
};

/** A hole this near to a bearing's bore is taken for one, mm. */
const BEARING_BORE_MM = 0.06;

/** The seats of a rolling bearing by its table, where the hole is the bore of one: for an inner ring that turns, and one that stands. */
function seatSchools(hole: PlaceFinding, kind: PairKind | null): School[] {
  const bore = hole.shape?.smallestMm;
  const bearing = bore === undefined ? undefined : nearestBearings({ boreMm: bore }, 1)[0];
  if (!kind?.startsWith('bearing') || !bearing || Math.abs(bearing.boreMm - bore!) > BEARING_BORE_MM) return [];
  return (['inner', 'outer'] as const).flatMap((turning): School[] => {
    const seat = shaftSeat(bearing.boreMm, 'normal', turning);
    if (!seat.ok) return [];
    const { zone, words } = seat.value;
    const [lowerMm, upperMm] = [bearing.boreMm + seat.value.seat.lowerMm, bearing.boreMm + seat.value.seat.upperMm];
    const base = {
      kind: 'seat',
      name: `Bearing seat ${zone}`,
      lowerMm,
      upperMm,
      words: `${words}, ${zone} on ${bearing.boreMm} mm`,
    } as const;
    return [turning === 'inner' ? base : { ...base, standing: true }];
  });
}

/** Schools that only the measured pair itself can offer. */
export const pairSchools = (hole: PlaceFinding, places: readonly PlaceFinding[], kind: PairKind | null): School[] => [
  ...makerSchool(hole, places),
  ...seatSchools(hole, kind),
];
