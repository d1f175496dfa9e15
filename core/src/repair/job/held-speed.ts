import { materialOf } from '../../book/materials';
import { HOLDINGS, type SetUp } from '../../making/holdings';
import { partLengthMm, type Part } from '../../making/part';
import type { Lathe } from '../../making/setups';
import { mostFreeMm, WHIRL_SHARE, whirlRpm } from '../../making/process';
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

/** Half of the speed at which what stands free of a holding would whirl, a steady in the middle of it where one helps; null where nothing stands free. */
function underWhirl(setUp: SetUp, part: Part, unit: LengthUnit): MostRpm | null {
  const steady = setUp.support === 'steady';
  const held = heldAs(steady ? { ...setUp, support: 'tailstock' } : setUp);
  const free = held ? freeMm(setUp, held, partLengthMm(part)) / (steady ? 2 : 1) : 0;
  if (!held || !free) return null;
  const rpm = WHIRL_SHARE * whirlRpm(held, materialOf(part.materialId) ?? STEEL, meanDiameterMm(part), free);
  return { rpm, words: `half of what makes ${placeWithUnit(free, unit)} of it whirl, held by ${held}${steady ? ' and a steady' : ''}` };
}

/** As it is stamped on the chuck; soft jaws sit in a three-jaw one where they have none of their own. */
function stamped({ holding }: SetUp, { holdings = [] }: Pick<Lathe, 'holdings'>): MostRpm | null {
  const of = (kind: SetUp['holding']): number | null => holdings.find((h) => h.kind === kind)?.mostRpm ?? null;
  const rpm = of(holding) ?? (holding === 'soft-jaws' ? of('three-jaw') : null);
  return rpm === null || holding === null ? null : { rpm, words: `what is stamped on the ${HOLDINGS[holding].needs}` };
}

/** The fastest that a part is turned at in a holding, by what holds it and by how slender it stands there; null where neither says so. */
export function mostRpmIn(setUp: SetUp, part: Part, lathe: Pick<Lathe, 'holdings'>, unit: LengthUnit): MostRpm | null {
  if (setUp.machine !== 'lathe') return null;
  const [most = null] = [underWhirl(setUp, part, unit), stamped(setUp, lathe)].filter((m) => m !== null).sort((p, q) => p.rpm - q.rpm);
  return most;
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
