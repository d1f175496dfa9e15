import { MM_PER_INCH } from '../../terms/quantity';

/** The dial that shows when the half-nuts may close: its wheel on the leadscrew, and the marks once round. */
export interface ThreadDial {
  readonly teeth: number;
  readonly marks: number;
}

const isWhole = (n: number): boolean => Math.abs(n - Math.round(n)) < 1e-6;

/**
 * Marks of the thread dial at which the half-nuts may close again, counted from the one where they closed first. None where the dial does not come
 * back to the thread even after a whole turn (metric on an inch screw): then they stay closed.
 *
 * @param leadMm of the thread
 * @param screwMm pitch of the leadscrew
 */
export function dialMarks(leadMm: number, screwMm: number, { teeth, marks }: ThreadDial): number[] {
  // From one mark to the next the leadscrew has let so many of its threads by, and the work so many of its own.
  const at = (k: number): boolean => isWhole((k * teeth) / marks) && isWhole((k * teeth * screwMm) / marks / leadMm);
  return at(marks) ? Array.from({ length: marks }, (_, k) => k).filter(at) : [];
}

const STAY_CLOSED = 'The half-nuts stay closed: back it out and reverse the spindle.';

/** Whether every closing of the half-nuts finds the thread: the leadscrew's pitch is one lead of it, or several. */
export const closesAnywhere = (leadMm: number, screwMm: number): boolean => isWhole(screwMm / leadMm) && screwMm > leadMm - 1e-9;

/** Where the half-nuts may close, in a sentence. */
export function halfNutWords(leadMm: number, screwMm: number, dial: ThreadDial | null): string {
  if (closesAnywhere(leadMm, screwMm)) return 'The half-nuts may close anywhere.';
  if (!dial)
    return isWhole((4 * MM_PER_INCH) / leadMm) && isWhole((4 * MM_PER_INCH) / screwMm)
      ? 'The half-nuts close by the thread dial.'
      : STAY_CLOSED;
  const found = dialMarks(leadMm, screwMm, dial);
  if (!found.length) return STAY_CLOSED;
  if (found.length === dial.marks) return `The half-nuts may close at any of the thread dial’s ${dial.marks} lines.`;
  if (found.length === 1) return 'The half-nuts close at one line of the thread dial only, always the same.';
  const every = ORDINALS[found[1]! - 2];
  return `The half-nuts close at every ${every ?? `${found[1]}th`} line of the thread dial, counted from the one where they closed first.`;
}

const ORDINALS = ['second', 'third', 'fourth', 'fifth', 'sixth'] as const;
