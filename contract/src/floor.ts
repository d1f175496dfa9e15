import type { LedgerCard, SawNeed, StationStanding, ToDo } from '@iron-patch/core';

/** Where a job stands. */
export interface Standing {
  readonly stations: readonly StationStanding[];
  readonly next: StationStanding | null;
  /** It cannot be worked out: neither its stations nor its next move are known. Absent where it can. */
  readonly trouble?: true;
  /** Nobody goes on with it. Absent where somebody does. */
  readonly calledOff?: true;
  /** It was never worked out yet: that is under way. */
  readonly waiting?: true;
  /** What has to be sawn for it. Absent where nothing has. */
  readonly saws?: readonly SawNeed[];
  /** What it still takes, for the run order. Absent where nothing is. */
  readonly toDo?: ToDo;
  /** What it is found by once it is handed back. Absent before. */
  readonly ledger?: LedgerCard;
}

/** A job as the floor shows it. */
export interface FloorJob extends Standing {
  readonly id: string;
  readonly number: number;
  readonly title: string;
  readonly machine: string;
  readonly customerName: string;
  readonly promisedOn: string | null;
  readonly hazards: readonly string[];
}

/** What the floor says beside its jobs. */
export interface FloorCounts {
  readonly open: number;
  readonly returned: number;
  /** Jobs whose standing is still to be worked out again, after a change of the shop or a new version. */
  readonly behind: number;
}

/** The most urgent of the jobs that were asked for. */
export interface FloorPage extends FloorCounts {
  readonly jobs: readonly FloorJob[];
  /** How many there are in all of what was asked for. */
  readonly found: number;
}

/** Some jobs of the floor as they are now. */
export interface FloorRows extends FloorCounts {
  readonly jobs: readonly FloorJob[];
}

/** A job that is open and promised. */
export type PromisedJob = Pick<FloorJob, 'id' | 'number' | 'title'> & { readonly promisedOn: string };

/** Jobs that a screen shows at first, and that it may ask for at most. */
export const FLOOR_PAGE = { first: 60, most: 600 } as const;
/** Words that a search may have, and how long one may be. */
export const FLOOR_SEARCH = { words: 8, length: 100 } as const;
/** Jobs that may be asked for by id at once. */
export const MOST_FLOOR_ROWS = 50;
