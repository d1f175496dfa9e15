import { bad, good, type Outcome } from '../../terms/outcome';

export interface Pass {
  readonly kind: 'rough' | 'finish';
  /** Diameter after the pass, mm. */
  readonly toMm: number;
  /** Metal off the diameter, mm. */
  readonly offMm: number;
}

/** As a person says it. */
export const PASS_WORDS: Readonly<Record<Pass['kind'], string>> = { rough: 'rough', finish: 'finish' };

export interface PassOptions {
  /** Most that one roughing pass takes off the diameter, mm. */
  readonly roughMostMm: number;
  /** Left on the diameter for finishing, mm. */
  readonly finishMm: number;
  /** Equal finishing passes. */
  readonly finishes: 2 | 3;
}

/** 2 mm a side on a rigid lathe of this size is within its power; finish 0.6 mm in two equal cuts. */
export const USUAL_PASSES: PassOptions = { roughMostMm: 4, finishMm: 0.6, finishes: 2 };

/**
 * Passes from the bar to the wanted size: equal roughing cuts down to the finishing allowance, then equal finishing cuts.
 * When less than the allowance is there, only finishing cuts.
 *
 * @param fromMm diameter now
 * @param toMm diameter wanted, the middle of its limits
 */
export function planPasses(fromMm: number, toMm: number, o: PassOptions = USUAL_PASSES): Outcome<Pass[]> {
  if (!(toMm > 0)) return bad('no-target', 'There is no size to turn to yet.');
  if (fromMm < toMm) return bad('too-small', `The stock at ${fromMm.toFixed(3)} mm is already under the wanted ${toMm.toFixed(3)} mm.`);
  const total = fromMm - toMm;
  const finish = Math.min(o.finishMm, total);
  const rough = total - finish;
  const roughCount = Math.ceil(rough / o.roughMostMm - 1e-9);
  const passes: Pass[] = [];
  for (let i = 1; i <= roughCount; i++) passes.push({ kind: 'rough', offMm: rough / roughCount, toMm: fromMm - (rough * i) / roughCount });
  if (finish > 0)
    for (let i = 1; i <= o.finishes; i++)
      passes.push({ kind: 'finish', offMm: finish / o.finishes, toMm: fromMm - rough - (finish * i) / o.finishes });
  return good(passes);
}

/**
 * Passes of a boring bar from the drilled hole to the wanted size: the mirror of turning.
 *
 * @param fromMm the hole now
 * @param toMm the bore wanted, the middle of its limits
 */
export function planBorePasses(fromMm: number, toMm: number, o: PassOptions = USUAL_PASSES): Outcome<Pass[]> {
  if (!(toMm > 0)) return bad('no-target', 'There is no size to bore to yet.');
  if (fromMm > toMm) return bad('too-large', `The hole at ${fromMm.toFixed(3)} mm is already over the wanted ${toMm.toFixed(3)} mm.`);
  // What is left of the wanted size counts down as a turned diameter does.
  const mirrored = planPasses(toMm - fromMm + 1, 1, o);
  return mirrored.ok ? good(mirrored.value.map((p) => ({ ...p, toMm: toMm + 1 - p.toMm }))) : mirrored;
}
