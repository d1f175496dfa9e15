import { machineScore } from '../nominal';
import { knownTruthScore } from './known-truth';

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
