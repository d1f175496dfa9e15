import { countOf, inSentence } from '../../terms/words';
import { identifyThread, overWires, pitchDiameterFromWires, type ThreadAnswer } from '../../book/threads';
import { workedOut, type Figure } from '../../terms/working';
import type { QuantityFinding } from './place-figures';
import type { PlaceRecord } from './records';

/** The pitch of a measured thread, and the threads that it can be. */
export interface ThreadFinding {
  readonly pitch: Figure;
  readonly answer: ThreadAnswer | null;
  /** Pitch diameter by the size over three wires; null until the thread is named and the wire is told. */
  readonly pitchDiameter: Figure | null;
  /** Why the wires give no pitch diameter; null where they do, or where there is none. */
  readonly wireProblem: string | null;
}

function byWires(
  place: PlaceRecord,
  values: readonly QuantityFinding[],
  answer: ThreadAnswer | null,
): Pick<ThreadFinding, 'pitchDiameter' | 'wireProblem'> {
  const over = values.find((v) => v.quantity === 'wires');
  const thread = answer?.matches[0]?.thread;
  const { wireMm } = place.detail;
  if (!over || !thread) return { pitchDiameter: null, wireProblem: null };
  if (wireMm === null) return { pitchDiameter: null, wireProblem: 'Say at Strip which wire was used.' };
  const fits = overWires(thread, wireMm);
  if (!fits.ok) return { pitchDiameter: null, wireProblem: fits.problems[0]!.message };
  return {
    pitchDiameter: workedOut(
      `${place.id}.pitch-diameter`,
      `pitch diameter of ${inSentence(place.name)}`,
      pitchDiameterFromWires(thread, wireMm, over.mean.value),
      `over three ${wireMm.toFixed(3)} mm wires as ${thread.name}, lead angle allowed for`,
      [over.mean],
      { plusMinus: over.plusMinusMm },
    ),
    wireProblem: null,
  };
}

/** Pitch in mm from the length over crests; the thread once its major diameter is there too. Null while neither is read. */
export function threadFinding(place: PlaceRecord, values: readonly QuantityFinding[]): ThreadFinding | null {
  const crests = values.find((v) => v.quantity === 'crests');
  const major = values.find((v) => v.quantity === 'major');
  const pitches = place.detail.pitches ?? 1;
  if (!crests) return null;
  const pitchMm = crests.mean.value / pitches;
  const pitch = workedOut(
    `${place.id}.pitch`,
    `pitch of ${inSentence(place.name)}`,
    pitchMm,
    `length over the crests divided by ${countOf(pitches, 'pitch', 'pitches')}`,
    [crests.mean],
    { plusMinus: crests.plusMinusMm / pitches },
  );
  const answer = major ? identifyThread(place.side, major.mean.value, pitchMm) : null;
  return { pitch, answer: answer?.ok ? answer.value : null, ...byWires(place, values, answer?.ok ? answer.value : null) };
}
