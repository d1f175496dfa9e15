import { formatWithUnit, nearRuleMark, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import type { Side } from './diameter-reading';
import type { PlaceKind } from './place-kinds.data';
import type { Shape } from './shape';

/** What the readings so far ask for: clock angles or a station more. */
export interface PlanAdvice {
  readonly text: string;
  readonly addClocksDeg: readonly number[];
  readonly addStationsMm: readonly number[];
}

/** Two directions that differ by this many uncertainties ask for two more. */
const TELLING = 2;
const BETWEEN_MM = 4;
/** With so few directions an oval and an arc may look alike; worth more readings when the band of the tight end is this many times the usual. */
const FEW_DIRECTIONS = 4;
const UNSETTLED_TIMES = 1.5;

/**
 * What to add to the plan, from the readings that are in.
 *
 * @param planned the plan as it is; what is a taper by design has no step to look for
 */
export function planAdvice(
  side: Side,
  shape: Shape | null,
  planned: { readonly stationsMm: readonly number[]; readonly clocksDeg: readonly number[]; readonly kind?: PlaceKind },
  unit: LengthUnit,
): PlanAdvice[] {
  if (shape === null) return [];
  const advice: PlanAdvice[] = [];
  const missing = [45, 135].filter((c) => !planned.clocksDeg.includes(c));
  const two = shape.sections
    .filter((s) => s.ovalityKind === 'at-least')
    .reduce<(typeof shape.sections)[number] | null>((p, q) => (p && p.ovalityMm >= q.ovalityMm ? p : q), null);
  if (two && missing.length && two.ovalityMm > (TELLING * shape.plusMinusMm) / 2)
    advice.push({
      text: `Oval ${formatWithUnit(two.ovalityMm, unit)} or more at ${placeWithUnit(two.stationMm, unit)}: add 45° and 135°.`,
      addClocksDeg: missing,
      addStationsMm: [],
    });
  const wide = shape.sections.find(
    (s) =>
      s.ovalityKind === 'fitted' &&
      s.directions <= FEW_DIRECTIONS &&
      (side === 'inside' ? s.smallestPlusMinusMm : s.largestPlusMinusMm) > UNSETTLED_TIMES * shape.plusMinusMm,
  );
  if (wide) {
    const between = planned.clocksDeg.filter((c) => c < 180).map((c) => c + 90 / wide.directions);
    const fresh = between.filter((c) => !planned.clocksDeg.some((p) => Math.abs(p - c) < 1));
    if (fresh.length)
      advice.push({
        text: `${wide.directions} directions cannot tell an oval from wear on one side at ${placeWithUnit(wide.stationMm, unit)}: add ${fresh.map((c) => `${c}°`).join(', ')}.`,
        addClocksDeg: fresh,
        addStationsMm: [],
      });
  }
  const steps = shape.sections
    .slice(1)
    .map((s, i) => ({ from: shape.sections[i]!, to: s, jump: Math.abs(s.meanMm - shape.sections[i]!.meanMm) }));
  const largest = steps.reduce<(typeof steps)[number] | null>((p, q) => (p && p.jump >= q.jump ? p : q), null);
  const between = largest && nearRuleMark((largest.from.stationMm + largest.to.stationMm) / 2, unit);
  if (
    largest &&
    between !== null &&
    planned.kind !== 'taper' &&
    largest.jump > TELLING * shape.plusMinusMm &&
    largest.to.stationMm - largest.from.stationMm > 2 * BETWEEN_MM &&
    !planned.stationsMm.some((s) => Math.abs(s - between) < BETWEEN_MM / 2)
  )
    advice.push({
      text: `${formatWithUnit(largest.jump, unit)} from ${placeWithUnit(largest.from.stationMm, unit)} to ${placeWithUnit(largest.to.stationMm, unit)}: add ${placeWithUnit(between, unit)} to see where it steps.`,
      addClocksDeg: [],
      addStationsMm: [between],
    });
  const odd = shape.sections.find((s) => s.unexplainedMm !== null && s.unexplainedMm > TELLING * shape.plusMinusMm);
  if (odd)
    advice.push({
      text: `Readings at ${placeWithUnit(odd.stationMm, unit)} stand ${formatWithUnit(odd.unexplainedMm!, unit)} off the oval: repeat them, or it is scored${side === 'inside' ? '' : ' or has a flat'}.`,
      addClocksDeg: [],
      addStationsMm: [],
    });
  return advice;
}
