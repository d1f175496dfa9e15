import { HEADERS } from '@iron-patch/contract';
import type { Request } from 'express';
import { statements, type Db } from '../db';
import { atTheGate } from './person';
import sql from './did.sql';

const q = statements(sql, ['did']);

/** Rows that are overwritten where they stand: of all others every version is kept by itself, or they hold a secret. */
const OVERWRITTEN = /^\/api\/(people|machines|bars|instruments|tools|drill-sets|components|places|photos|jobs|shop\/card)(\/[^/]+)?$/;
const BELOW_A_JOB = /^\/api\/jobs\/[^/]+\/(components|places)$/;

function sentIn(req: Request): string | null {
  const kept = OVERWRITTEN.test(req.path) || BELOW_A_JOB.test(req.path);
  return kept && req.body !== undefined && !Buffer.isBuffer(req.body) ? JSON.stringify(req.body) : null;
}

/** Puts on record who did what: in the transaction that does it, where something is stored. */
export async function did(db: Db, req: Request, status: number, personId: string = req.get(HEADERS.person) ?? ''): Promise<void> {
  await db.query(q.did, [personId, atTheGate(req).deviceId, req.method, req.path, status, sentIn(req)]);
}
