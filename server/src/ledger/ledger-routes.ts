import { LEDGER, routes, type LedgerCount, type LedgerPage, type LedgerRow, type LedgerSums } from '@iron-patch/contract';
import type { Express } from 'express';
import { comebacksOf } from '../alike';
import { atOneMoment, statements, type Db, type Pool } from '../db';
import { upToIn, wordsIn } from '../http';
import sql from './ledger.sql';

const q = statements(sql, ['page', 'counts', 'promised']);

type Row = Omit<LedgerRow, 'cameBack'> & { readonly found: number };

/** A word as PostgreSQL looks for it within others; signs that stand for any letter there mean themselves. */
const patternOf = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

async function ledger(db: Db, words: readonly string[], upTo: number): Promise<LedgerPage> {
  const found = (await db.query<Row>(q.page, [words.map(patternOf), upTo])).rows;
  const back = await comebacksOf(
    db,
    found.map((r) => r.jobId),
  );
  return {
    rows: found.map(({ found: _, ...row }) => ({
      ...row,
      cameBack: back.filter((b) => b.ofJobId === row.jobId).map(({ jobId, number }) => ({ jobId, number })),
    })),
    found: found[0]?.found ?? 0,
  };
}

async function sums(db: Db, timeZone: string): Promise<LedgerSums> {
  const counts = async (by: 'cause' | 'route'): Promise<LedgerCount[]> => (await db.query<LedgerCount>(q.counts, [by])).rows;
  return {
    causes: await counts('cause'),
    routes: await counts('route'),
    promised: (await db.query<LedgerSums['promised']>(q.promised, [timeZone])).rows[0]!,
  };
}

/** Everything that was handed back: looked for by words; and what all of it comes to by cause, by route, by promise. */
export function mountLedger(app: Express, pool: Pool, { timeZone }: { readonly timeZone: string }): void {
  app.get(routes.ledger, async (req, res) => {
    res.json(await atOneMoment(pool, (db) => ledger(db, wordsIn(req, LEDGER), upToIn(req, LEDGER))));
  });

  app.get(routes.ledgerSums, async (_req, res) => {
    res.json(await atOneMoment(pool, (db) => sums(db, timeZone)));
  });
}
