import { materialOf } from '../../book/materials';
import { HOLDINGS, type SetUp } from '../../making/holdings';
import { partLengthMm, type Part } from '../../making/part';
import type { Lathe } from '../../making/setups';
import { mostFreeMm, WHIRL_SHARE, whirlRpm, type Held } from '../../making/process';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import type { MostRpm } from './planned-passes';
import { freeMm, heldAs } from './pushed';

/** A bar whose metal the book does not have counts as steel. */
const STEEL = { youngMpa: 210_000, densityKgM3: 7850 } as const;

/** As thick as it is on the average along its length, mm. */
function meanDiameterMm({ outside }: Pick<Part, 'outside'>): number {
  const whole = partLengthMm({ outside });
  return outside.reduce((s, x) => s + ((x.diameterMm + (x.farDiameterMm ?? x.diameterMm)) / 2) * x.lengthMm, 0) / whole;
}

/**
 * Half of the speed at which what stands free of a holding would whirl; null where nothing stands free.
 *
 * @param diameterMm as thick on the average
 * @param freeMm that is free: a steady in the middle of it, where one helps, halves it
 */
export function underWhirl(
  held: Held,
  materialId: string,
  diameterMm: number,
  freeMm: number,
  unit: LengthUnit,
  steady = false,
): MostRpm | null {
  if (!freeMm) return null;
  const rpm = WHIRL_SHARE * whirlRpm(held, materialOf(materialId) ?? STEEL, diameterMm, freeMm);
  return { rpm, words: `half of what makes ${placeWithUnit(freeMm, unit)} of it whirl, held by ${held}${steady ? ' and a steady' : ''}` };
}

function underWhirlIn(setUp: SetUp, part: Part, unit: LengthUnit): MostRpm | null {
  const steady = setUp.support === 'steady';
  const held = heldAs(steady ? { ...setUp, support: 'tailstock' } : setUp);
  const free = held ? freeMm(setUp, held, partLengthMm(part)) / (steady ? 2 : 1) : 0;
  return held && underWhirl(held, part.materialId, meanDiameterMm(part), free, unit, steady);
}

/** As it is stamped on the chuck; soft jaws sit in a three-jaw one where they have none of their own. */
export function stampedOn(holding: SetUp['holding'], { holdings = [] }: Pick<Lathe, 'holdings'>): MostRpm | null {
  const of = (kind: SetUp['holding']): number | null => holdings.find((h) => h.kind === kind)?.mostRpm ?? null;
  const rpm = of(holding) ?? (holding === 'soft-jaws' ? of('three-jaw') : null);
  return rpm === null || holding === null ? null : { rpm, words: `what is stamped on the ${HOLDINGS[holding].needs}` };
}

/** The slower of what holds a speed down; null where nothing does. */
export const slowest = (all: readonly (MostRpm | null)[]): MostRpm | null =>
  all.filter((m) => m !== null).sort((p, q) => p.rpm - q.rpm)[0] ?? null;

/** The fastest that a part is turned at in a holding, by what holds it and by how slender it stands there; null where neither says so. */
export function mostRpmIn(setUp: SetUp, part: Part, lathe: Pick<Lathe, 'holdings'>, unit: LengthUnit): MostRpm | null {
  if (setUp.machine !== 'lathe') return null;
  return slowest([underWhirlIn(setUp, part, unit), stampedOn(setUp.holding, lathe)]);
}

/**
 * What to mind of a blank that goes through the spindle: how much of it may stand out behind at the fastest that it is turned at. Empty where all
 * of it might.
 *
 * @param barMm thickness of the blank, `longMm` its length
 * @param rpm fastest that it is turned at; 0 where nothing is
 */
export function behindWords(
  barMm: number,
  longMm: number,
  rpm: number,
  spindleBoreMm: number | null,
  materialId: string,
  unit: LengthUnit,
): string {
  if (rpm <= 0 || spindleBoreMm === null || barMm > spindleBoreMm) return '';
  const may = mostFreeMm('chuck', materialOf(materialId) ?? STEEL, barMm, rpm);
  return may >= longMm
    ? ''
    : `What stands out behind the spindle whips: at ${rpm} rpm no more than ${placeWithUnit(may, unit)} of it, else a support there or a shorter blank. Nobody stands beside it.`;
}
