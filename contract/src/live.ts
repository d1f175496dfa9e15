/** Told to every open screen when something of a job was stored; a null job means the shop itself. */
export interface LiveEvent {
  readonly jobId: string | null;
  readonly table: string;
  /** The row of that table: its id, or the key of a choice. */
  readonly row: string | null;
  /** The screen that did it, so that it need not fetch its own change. */
  readonly screen: string;
}
