import { FOUR_CLOCKS, isIndicator, type PlaceKind } from '../../evidence/readings';
import { bad, good, type Outcome } from '../../terms/outcome';

/** Directions round the clock that so many readings of a section are taken in. */
const CLOCKS: Readonly<Record<number, readonly number[]>> = {
  1: [0],
  2: [0, 90],
  3: [0, 60, 120],
  4: FOUR_CLOCKS,
  6: [0, 30, 60, 90, 120, 150],
  8: [0, 45, 90, 135, 180, 225, 270, 315],
};
/** An indicator is read once round: its total is from nought at the low side to what it shows opposite. */
const ROUND: Readonly<Record<number, readonly number[]>> = { 2: [0, 180], 4: [0, 90, 180, 270], 8: CLOCKS[8]! };
/** Clock angles of so many readings, or null where nobody would take so many. */
export const clocksOfMany = (n: number, kind: PlaceKind = 'diameter'): readonly number[] | null =>
  (isIndicator(kind) ? ROUND[n] : CLOCKS[n]) ?? null;

/** An angle as it is written beside a reading: `45°`, `at 45 deg`. */
const ANGLE = /(?:\bat\s+)?(\d+(?:[.,]\d+)?)\s*(?:°|deg(?:rees?)?\b)\s*:?/i;
const EVERY_ANGLE = new RegExp(ANGLE.source, 'gi');

/** What was read, without the colons of its angles: `0°: 20.32`. */
export const withoutAngleColons = (line: string): string => line.replace(EVERY_ANGLE, (angle) => angle.replace(/:$/, ' '));

/** Whether an angle stands among what was read. */
export const saysAngle = (part: string): boolean => ANGLE.test(part);

/** Readings of one section, each beside the angle that it was taken at. */
export interface Clocked {
  readonly said: readonly string[];
  readonly clocksDeg: readonly number[];
}

/**
 * Readings that were written with their angles, which stand before them (`0° 20.32 90° 20.41`) or behind (`20.32 at 0°, 20.41 at 90°`).
 *
 * @param texts readings of a part that holds no angle
 * @returns null where no angle is written; a reason where an angle stands without its reading, beyond 360°, or twice
 */
export function clockedReadings(part: string, texts: (said: string) => readonly string[]): Outcome<Clocked | null> {
  const clocksDeg = [...part.matchAll(EVERY_ANGLE)].map((found) => Number(found[1]!.replace(',', '.')));
  if (!clocksDeg.length) return good(null);
  // What stands between the angles; the piece before the first is empty where they lead.
  const pieces = part
    .split(EVERY_ANGLE)
    .filter((_, i) => i % 2 === 0)
    .map((piece) => piece.replace(/^[\s,;]+|[\s,;]+$/g, ''));
  const said = pieces[0] === '' ? pieces.slice(1) : pieces.slice(0, -1);
  const left = pieces[0] === '' ? '' : pieces.at(-1)!;
  if (left || said.some((s) => texts(s).length !== 1))
    return bad('clock', 'Write one reading beside each angle: 0° 20.32 90° 20.41.', 'readings');
  const wrong = clocksDeg.find((deg) => deg >= 360);
  if (wrong !== undefined) return bad('clock', `${wrong}° is beyond the round: write 0° to 359°.`, 'readings');
  const twice = clocksDeg.find((deg, i) => clocksDeg.indexOf(deg) !== i);
  if (twice !== undefined) return bad('clock', `${twice}° stands twice at one station: keep one of them.`, 'readings');
  return good({ said, clocksDeg });
}
