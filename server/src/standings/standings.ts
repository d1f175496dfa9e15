import { NO_SHOP, type JobSheet, type Shop } from '@iron-patch/core';
import { FLOOR_PAGE, type Standing } from '@iron-patch/contract';
import type { Logger } from 'pino';
import { atOneMoment, statements, type Db, type Pool } from '../db';
import { loadSheets } from '../sheets';
import { loadShop } from '../shop';
import type { Bench } from './bench';
import sql from './standings.sql';

const q = statements(sql, ['stale', 'changed', 'keep', 'shopChange', 'counts', 'openIds']);

/** How many jobs are worked out at once: few enough that none waits long behind them. */
const BATCH = 25;
/** Jobs that a request works out before it answers, a page of the floor; what is left is caught up with beside it. */
const MOST_WHILE_ASKED = FLOOR_PAGE.first;

/** How often a request tries to have what it shows of now, where others are at the same jobs, and the wait between. */
const TRIES = 4;
const PAUSE_MS = 40;

/** What the floor says beside its jobs. */
export interface StandingCounts {
  readonly open: number;
  readonly returned: number;
  /** Jobs that are still to be worked out again. */
  readonly behind: number;
}

interface Stale {
  readonly jobId: string;
  readonly ofChange: string;
}

interface Batch {
  readonly stale: readonly Stale[];
  readonly shopChange: string;
  readonly shop: Shop;
  readonly sheets: readonly JobSheet[];
}

const urgencyOf = ({ stations, next, trouble }: Standing): number => {
  if (trouble || next?.state === 'out') return 0;
  return next === null && stations.length > 0 ? 2 : 1;
};

/**
 * The standings of all jobs: kept in the database, marked there by whatever changes a job, worked out again before they are shown. Two
 * servers on one database may do the same work twice; neither overwrites a newer standing.
 */
export class Standings {
  private catchingUp: Promise<void> | null = null;
  private closed = false;

  /**
   * @param program names the program whose standings these are: another one works them all out again
   */
  constructor(
    private readonly pool: Pool,
    private readonly bench: Bench,
    private readonly log: Logger,
    private readonly program: string,
  ) {}

  /**
   * Works out those of some jobs that are not of what is stored now; of many, the first of them.
   *
   * @returns how many they were
   */
  async refresh(jobIds: readonly string[]): Promise<number> {
    const some = jobIds.slice(0, MOST_WHILE_ASKED);
    let worked = 0;
    for (let left = some.length ? TRIES : 0; left > 0;) {
      const { behind, kept } = await this.workOutSome(some, false);
      worked += kept;
      if (kept === behind && behind < BATCH) break;
      // Somebody else just works the same ones out, or is changing one of them.
      if (kept < behind && --left > 0) await new Promise((r) => setTimeout(r, PAUSE_MS));
    }
    return worked;
  }

  /** Works out what changed since anybody looked; where that is much, it follows beside. */
  async refreshChanged(): Promise<void> {
    const { rows } = await this.pool.query<{ changed: number }>(q.changed, [MOST_WHILE_ASKED + 1]);
    if (rows[0]!.changed > MOST_WHILE_ASKED) this.catchUp();
    else if (rows[0]!.changed > 0) while ((await this.workOutSome(null, true)).kept === BATCH);
  }

  async counts(): Promise<StandingCounts> {
    const { rows } = await this.pool.query<StandingCounts>(q.counts, [await this.shopChange(this.pool), this.program]);
    if (rows[0]!.behind > 0) this.catchUp();
    return rows[0]!;
  }

  /** Jobs that are not handed back, by id. */
  async openIds(): Promise<string[]> {
    await this.refreshChanged();
    return (await this.pool.query<{ jobId: string }>(q.openIds)).rows.map((r) => r.jobId);
  }

  /** Works out everything that is behind, beside what is asked; one at a time. */
  catchUp(): void {
    this.catchingUp ??= this.workOutRest()
      .catch((err: unknown) => this.log.warn({ err }, 'standings wait: not caught up'))
      .finally(() => (this.catchingUp = null));
  }

  async close(): Promise<void> {
    this.closed = true;
    await this.catchingUp;
    await this.bench.close();
  }

  private async workOutRest(): Promise<void> {
    while (!this.closed && (await this.workOutSome(null, false)).kept > 0);
  }

  private async shopChange(db: Db): Promise<string> {
    return (await db.query<{ changed: string }>(q.shopChange)).rows[0]!.changed;
  }

  /** Works out a batch of those that are behind; fewer are kept where somebody is changing one of them. */
  private async workOutSome(jobIds: readonly string[] | null, changedAlone: boolean): Promise<{ behind: number; kept: number }> {
    const batch = await this.load(jobIds, changedAlone);
    if (batch.stale.length === 0) return { behind: 0, kept: 0 };
    const worked = await this.bench.workOut({ sheets: batch.sheets, shop: batch.shop });
    const ofChange = new Map(batch.stale.map((s) => [s.jobId, s.ofChange]));
    const kept = worked.map(({ jobId, standing, error }) => {
      if (error !== null) this.log.error({ err: error, jobId }, 'job cannot be worked out');
      return { job_id: jobId, standing, urgency: urgencyOf(standing), of_change: ofChange.get(jobId)! };
    });
    const { rowCount } = await this.pool.query(q.keep, [JSON.stringify(kept), batch.shopChange, this.program]);
    return { behind: batch.stale.length, kept: rowCount ?? 0 };
  }

  /** Records, shop and what they are of, all of one moment. */
  private load(jobIds: readonly string[] | null, changedAlone: boolean): Promise<Batch> {
    return atOneMoment(this.pool, async (db) => {
      const shopChange = await this.shopChange(db);
      const { rows: stale } = await db.query<Stale>(q.stale, [shopChange, this.program, jobIds, changedAlone, BATCH]);
      if (stale.length === 0) return { stale, shopChange, shop: NO_SHOP, sheets: [] };
      const sheets = await loadSheets(
        db,
        stale.map((s) => s.jobId),
      );
      return { stale, shopChange, shop: await loadShop(db), sheets };
    });
  }
}
