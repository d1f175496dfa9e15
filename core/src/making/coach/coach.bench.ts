import { coachScore, TEMPERS, type TemperName } from './coach-trial';

/** Prints how the coach does on simulated lathes, beside the rule of thumb. */
const PARTS = 1000;
for (const leastChipMm of [0.01, 0.05])
  for (const temper of Object.keys(TEMPERS) as TemperName[]) {
    const told = (['coach', 'half, then the rest'] as const).map((turner) => {
      const s = coachScore(temper, turner, PARTS, 1, leastChipMm);
      return `${turner} ${s.scrapped} scrapped, ${s.inLimits} in (${s.polished} by emery), ${s.cuts.toFixed(1)} cuts`;
    });
    console.log(`  IT7 on a lathe that is ${temper}, chip ${leastChipMm} mm, of ${PARTS}: ${told.join('; ')}`);
  }
