import { Piscina } from 'piscina';
import type { MovedJob } from '@iron-patch/core';
import { weighMoves, workOutAll, type MovesToWeigh, type SheetsToWorkOut, type WorkedOut } from './work-out';

/** Where jobs are worked out. */
export interface Bench {
  workOut(work: SheetsToWorkOut): Promise<readonly WorkedOut[]>;
  moves(work: MovesToWeigh): Promise<readonly MovedJob[]>;
  close(): Promise<void>;
}

/** On this thread: for tests, and where no worker was built. */
export const inlineBench: Bench = {
  workOut: (work) => Promise.resolve(workOutAll(work)),
  moves: (work) => Promise.resolve(weighMoves(work)),
  close: () => Promise.resolve(),
};

/** Threads that are kept idle for this long. */
const IDLE_MS = 60_000;
/** One for what is asked, one for what is caught up with beside it. */
const THREADS = 2;

/**
 * On threads of their own: requests are answered meanwhile.
 *
 * @param file the built worker
 */
export function threadBench(file: string): Bench {
  const pool = new Piscina({ filename: file, minThreads: 0, maxThreads: THREADS, idleTimeout: IDLE_MS });
  return {
    workOut: (work) => pool.run(work, { name: 'workOut' }) as Promise<WorkedOut[]>,
    moves: (work) => pool.run(work, { name: 'moves' }) as Promise<MovedJob[]>,
    close: () => pool.destroy(),
  };
}
