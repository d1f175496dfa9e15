import { hssMMin } from '../../book/materials';
import { missingTools, type DrillBench, type Schedule } from '../../making/schedule';
import { finderOf } from '../../making/tooling';
import { millSpindle } from './bored-on';
import type { JobSheet, Shop } from './records';

/** What a drill asks of the shop and of the metals that it goes through: the slowest of them says how fast. */
export function drillBench(materialIds: readonly string[], sheet: JobSheet, shop: Shop): DrillBench {
  const speeds = materialIds.map(hssMMin).filter((v) => v > 0);
  return {
    mill: millSpindle(shop),
    drillSets: shop.drillSets,
    hssMMin: speeds.length ? Math.min(...speeds) : 0,
    finderMm: finderOf(shop.tools, sheet.job.unit).mm,
    unit: sheet.job.unit,
  };
}

/** With what the crib has not of it, said first. */
export function withMissing(schedule: Schedule, sheet: JobSheet, shop: Shop): Schedule {
  const missing = missingTools([schedule], shop.tools, sheet.job.unit).map((m) => `Not in the crib: ${m.words}.`);
  return { ...schedule, words: [...missing, ...schedule.words] };
}
