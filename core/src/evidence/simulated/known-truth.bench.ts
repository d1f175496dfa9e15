import { machineScore, probabilityBuckets } from '../nominal';
import { knownTruthScore } from './known-truth';
import { endScore } from './section-trial';
import { slipScore } from './slip-trial';

/** Prints how often simulated truth is recovered: within the stated band by quantity, and first in rank by machine. */
for (const [parts, firstSeed] of [
  [100, 1],
  [1000, 10_000],
] as const) {
  const score = Object.entries(knownTruthScore(parts, firstSeed)).map(([quantity, n]) => `${quantity} ${n}`);
  console.log(`  of ${parts} simulated parts within the stated 95 % band: ${score.join(', ')}`);
}
for (const [machines, firstSeed] of [
  [100, 1],
  [1000, 10_000],
] as const) {
  const s = machineScore(machines, firstSeed);
  const kinds = Object.entries(s.byKind).map(([kind, k]) => `${kind} ${k.right} of ${k.machines}`);
  console.log(
    `  of ${machines} worn machines the right original sizes first: ${s.right} (${kinds.join(', ')}); without a land "cannot tell": ${s.admitted} of ${s.landless}`,
  );
}
for (const withLand of [true, false]) {
  const said = probabilityBuckets(withLand, 1000, 20_000).map(
    (b) => `${(100 * b.said).toFixed(0)} % was ${(100 * b.was).toFixed(0)} % (${b.n})`,
  );
  console.log(`  probabilities of original sizes, ${withLand ? 'with a land' : 'without one'}: said ${said.join(', ')}`);
}
const slips = slipScore(500, 1);
console.log(
  `  of ${slips.parts} parts with one slip each, ${slips.largeSlips} slips larger than the wear: noticed once all is measured ${slips.afterwards}, asked about when typed ${slips.atEntry} of the ${slips.tellable} that could be told then; of the same parts read right, doubted: ${slips.falseAlarms}`,
);
for (const directions of [3, 4, 6, 8]) {
  const e = endScore(300, directions, 1);
  console.log(
    `  ${directions} directions: the end that decides a fit in its band ${e.tight} of ${e.sections}, the other ${e.wide} of ${e.wideCounted}; half a band is ${e.halfWidth.toFixed(1)} uncertainties`,
  );
}
