import { identifyThread, type ThreadAnswer } from '../threads';
import { workedOut, type Figure } from '../working';
import type { QuantityFinding } from './feature-figures';
import type { FeatureRecord } from './records';

/** The pitch of a measured thread, and the threads that it can be. */
export interface ThreadFinding {
  readonly pitch: Figure;
  readonly answer: ThreadAnswer | null;
}

/** Pitch from the length over crests; the thread once its major diameter is there too. */
export function threadFinding(feature: FeatureRecord, values: readonly QuantityFinding[]): ThreadFinding | null {
  const crests = values.find((v) => v.quantity === 'crests');
  const major = values.find((v) => v.quantity === 'major');
  const pitches = feature.detail.pitches ?? 1;
  if (!crests) return null;
  const pitchMm = crests.mean.value / pitches;
  const pitch = workedOut(
    `${feature.id}.pitch`,
    `pitch of ${feature.name.toLowerCase()}`,
    pitchMm,
    `length over the crests divided by ${pitches} pitch${pitches > 1 ? 'es' : ''}`,
    [crests.mean],
    { plusMinus: crests.plusMinusMm / pitches },
  );
  const answer = major ? identifyThread(feature.side, major.mean.value, pitchMm) : null;
  return { pitch, answer: answer?.ok ? answer.value : null };
}
