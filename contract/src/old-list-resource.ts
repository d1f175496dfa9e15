/** A list of old jobs that was brought in. */
export interface OldListResource {
  readonly id: string;
  readonly name: string;
  readonly jobs: number;
  readonly personId: string;
  readonly at: string;
  /** Taken back as a whole: its jobs are looked for no more. */
  readonly takenBackAt: string | null;
}
