import type { ReadingInput } from './reading';

/** So many readings that wait go in one request. */
export const MOST_WAITING = 25;

/** A reading that waited in a browser, and who typed it into which job. */
export interface WaitingReading {
  readonly jobId: string;
  readonly personId: string;
  readonly input: ReadingInput;
}

/** What became of one of them: the status and body that it would have had by itself. */
export interface WaitingAnswer {
  readonly status: number;
  readonly body: unknown;
}

/** In the order in which they were sent. Where the server could not go on there are fewer answers than readings: the rest is sent again. */
export interface WaitingAnswers {
  readonly answers: readonly WaitingAnswer[];
}
