/** Feeds a turn of an ordinary lathe, mm: roughing and finishing. */
export const USUAL_FEEDS_MM: Readonly<Record<'rough' | 'finish', number>> = { rough: 0.25, finish: 0.13 };

/** Back, set and, after a finishing cut, measured: an estimate, min. */
const BETWEEN_MIN = { rough: 0.5, finish: 1.5 } as const;
/** Run-in of a pass, mm. */
const RUN_IN_MM = 3;

/**
 * How long passes of one kind along a surface take, min: (length + run-in) / (feed x speed) each, and what lies between them.
 *
 * @param lengthMm of the surface
 * @param rpm speed of the spindle, above 0
 * @param feedMm a turn
 */
export const passesMin = (kind: 'rough' | 'finish', count: number, lengthMm: number, rpm: number, feedMm = USUAL_FEEDS_MM[kind]): number =>
  count * ((lengthMm + RUN_IN_MM) / (feedMm * rpm) + BETWEEN_MIN[kind]);
