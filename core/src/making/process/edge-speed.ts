import { gearsUnder, idealRpm, spindleSpeed } from './speed';

/** What cuts beside plain turning and boring. */
export interface EdgeRow {
  /** Of the surface speed of a high-speed steel tool that turns. */
  readonly share: number;
  /** As a person says it. */
  readonly shareWords: string;
  /** How far it is fed, mm a turn or a tooth, by its diameter; null where the pitch, a dial or a hand does it. */
  readonly feed: { readonly each: 'turn' | 'tooth'; readonly mm: (acrossMm: number) => number } | null;
}

/**
 * Shares of the turning speed as shops have them: a drill and a tooth that is struck once a turn bear less, a reamer half of a drill; threads and
 * knurls at a quarter. Feeds of drills as textbooks have them (of 1/4 in 0.002 to 0.004 in a turn, of 1/2 in 0.004 to 0.007); that of an end mill
 * is ours, 0.05 mm a tooth for 12 mm. Feeds in high-speed steel.
 */
export const EDGES = {
  drill: { share: 0.8, shareWords: '0.8 of ', feed: { each: 'turn', mm: (d: number): number => d / 80 } },
  reamer: { share: 0.4, shareWords: '0.4 of ', feed: { each: 'turn', mm: (d: number): number => d / 40 } },
  'end-mill': { share: 0.8, shareWords: '0.8 of ', feed: { each: 'tooth', mm: (d: number): number => d / 250 } },
  'seat-cutter': { share: 1 / 3, shareWords: 'a third of ', feed: null },
  thread: { share: 1 / 4, shareWords: 'a quarter of ', feed: null },
  plunge: { share: 0.4, shareWords: '0.4 of ', feed: { each: 'turn', mm: (): number => 0.05 } },
  form: { share: 0.35, shareWords: '0.35 of ', feed: null },
  knurl: { share: 1 / 4, shareWords: 'a quarter of ', feed: null },
} as const satisfies Readonly<Record<string, EdgeRow>>;
export type Edge = keyof typeof EDGES;

/** How fast what turns goes. */
export interface EdgeSpeed {
  readonly rpm: number;
  /** How that comes, in words. */
  readonly words: string;
}

/**
 * Speed of the spindle for an edge: the share of 1000 V/(pi D), stepped down to a gear that is no faster than what holds the work bears.
 *
 * @param hssMMin surface speed of high-speed steel in the metal, m/min, above 0
 * @param acrossMm of what turns: the tool, or the work
 * @param on gears of the machine; null where it is not on record: then no gear is named
 */
export function edgeSpeed(
  edge: Edge,
  hssMMin: number,
  acrossMm: number,
  on: { readonly name: string; readonly gearsRpm: readonly number[] } | null,
  mostRpm: number | null = null,
): EdgeSpeed {
  const { share, shareWords } = EDGES[edge];
  const gear = spindleSpeed(share * hssMMin, acrossMm, gearsUnder(on?.gearsRpm ?? [], mostRpm));
  const sum = `${shareWords}1000 V/(pi D) for high-speed steel`;
  return gear.ok && on
    ? { rpm: gear.value.gearRpm, words: `${sum}, stepped down to a gear of ${on.name}` }
    : { rpm: idealRpm(share * hssMMin, acrossMm), words: sum };
}
