import { inSentence } from '../../../terms/words';
import type { Host } from '../feature-kind';

/** Where round the part something lies, and what it is timed to: degrees clockwise seen from the right end, 0 up. */
export interface Clocked {
  readonly clockDeg: number;
  /** Id of the feature that its angle is held to; empty for none. */
  readonly timedTo: string;
}

export const CLOCK_FIELDS = {
  clockDeg: { kind: 'angle', label: 'Clock angle', from: 0, to: 359.99 },
  timedTo: { kind: 'timed', label: 'Timed to' },
} as const;

export const CLOCK_START: Clocked = { clockDeg: 0, timedTo: '' };

/** Finer than this no head is turned, °. */
const STEP_DEG = 0.01;

/** An angle once round: 0 to under 360. */
export const onceRound = (deg: number): number => {
  const rest = (((Math.round(deg / STEP_DEG) * STEP_DEG) % 360) + 360) % 360;
  return Number(rest.toFixed(2));
};

/**
 * Where something stands round the part from something else, as both ends have it.
 *
 * @param deg clockwise from it, seen from the right end
 * @example `90° clockwise of gear keyseat seen from the right end, counter-clockwise seen from the left`
 */
export function clockWords(deg: number, of: string): string {
  const once = onceRound(deg);
  if (once === 0) return `in line with ${of}`;
  if (once === 180) return `opposite ${of}`;
  const by = onceRound(Math.min(once, 360 - once));
  return once < 180
    ? `${by}° clockwise of ${of} seen from the right end, counter-clockwise seen from the left`
    : `${by}° counter-clockwise of ${of} seen from the right end, clockwise seen from the left`;
}

/** How far it stands from what it is timed to, clockwise seen from the right end, °; null for what is timed to nothing that is there. */
function fromTimed({ clockDeg, timedTo }: Clocked, host: Pick<Host, 'clockOf'>): number | null {
  const other = timedTo === '' ? undefined : host.clockOf(timedTo);
  return other === undefined ? null : onceRound(clockDeg - other);
}

/** Where it stands from what it is timed to, in words; empty for what is timed to nothing. */
export function timedWords(f: Clocked, host: Pick<Host, 'clockOf' | 'nameOf'>): string {
  const deg = fromTimed(f, host);
  return deg === null ? '' : clockWords(deg, inSentence(host.nameOf(f.timedTo) ?? ''));
}

/** Where it is held to something else, the angle between the two is a dimension. */
export const clockDimension = (f: Clocked, host: Pick<Host, 'clockOf' | 'nameOf'>) => {
  const value = fromTimed(f, host);
  if (value === null) return [];
  return [{ name: 'clock', what: 'angle' as const, label: `clock angle from ${inSentence(host.nameOf(f.timedTo) ?? '')}`, value }];
};
/** An angle between two features that the drawing holds to each other. */
export const isTiming = ({ what, name }: { readonly what: string; readonly name: string }): boolean => what === 'angle' && name === 'clock';
/** The dimension that an operation makes by turning to a clock angle: none where it is timed to nothing. */
export const clockMade = (f: Clocked): readonly string[] => (f.timedTo === '' ? [] : ['clock']);
