import { isDate, LEDGER, routes, type LedgerCount, type LedgerPage, type LedgerRow, type LedgerSums } from '@iron-patch/contract';
import { sizeAmong } from '@iron-patch/core/terms/quantity';
import type { Express, Request } from 'express';
import { comebacksOf } from '../alike';
import { atOneMoment, statements, type Db, type Pool } from '../db';
import { askedIn, isId, upToIn, wordsIn } from '../http';
import type { Standings } from '../standings';
import sql from './ledger.sql';

const q = statements(sql, ['page', 'counts', 'promised']);

type Row = Omit<LedgerRow, 'cameBack'> & { readonly found: number };

/** What PostgreSQL's text search takes as it is typed; it passes over other signs. */
const PLAIN_WORD = /^[\p{L}\p{N}][\p{L}\p{N}./-]*$/u;

/** A word as PostgreSQL looks for it within others; signs that stand for any letter there mean themselves. */
const patternOf = (word: string): string => `%${word.replace(/[\\%_]/g, '\\$&')}%`;

/** What is looked for: words, days of the shop's calendar, the machine of a job. */
interface Question {
  readonly words: readonly string[];
  readonly from: string | null;
  readonly to: string | null;
  readonly machineOf: string | null;
  readonly upTo: number;
  readonly timeZone: string;
}

async function ledger(db: Db, { words, from, to, machineOf, upTo, timeZone }: Question): Promise<LedgerPage> {
  const { sizes, rest } = sizeAmong(words);
  const asked = [
    words.map(patternOf),
    upTo,
    sizes.map((s) => s.fromMm),
    sizes.map((s) => s.toMm),
    rest.map(patternOf),
    from,
    to,
    timeZone,
    machineOf,
    words.every((w) => PLAIN_WORD.test(w)) ? words : [],
  ];
  const found = (await db.query<Row>(q.page, asked)).rows;
  const back = await comebacksOf(
    db,
    found.flatMap((r) => r.jobId ?? []),
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

/** A day that is asked for; null where it is none. */
function dayIn(req: Request, name: string): string | null {
  const day = askedIn(req, name);
  return isDate(day) ? day : null;
}

/** Everything that was handed back: looked for by words, size, day and machine; and what all of it comes to by cause, by route, by promise. */
export function mountLedger(
  app: Express,
  pool: Pool,
  { timeZone, standings }: { readonly timeZone: string; readonly standings: Standings },
): void {
  app.get(routes.ledger, async (req, res) => {
    const machineOf = askedIn(req, 'machineOf');
    const question = {
      words: wordsIn(req, LEDGER),
      from: dayIn(req, 'from'),
      to: dayIn(req, 'to'),
      machineOf: isId(machineOf) ? machineOf : null,
      upTo: upToIn(req, LEDGER),
      timeZone,
    };
    await standings.refreshChanged();
    res.json(await atOneMoment(pool, (db) => ledger(db, question)));
  });

  app.get(routes.ledgerSums, async (_req, res) => {
    res.json(await atOneMoment(pool, (db) => sums(db, timeZone)));
  });
}
