import { HEADERS } from '@iron-patch/contract';
import type { Request } from 'express';
import type { Db } from '../db';
import { whoIsAtTheBench } from './http-problem';

/** Id of the person at the bench; everything that stores needs one that the shop knows. */
export async function personOf(db: Db, req: Request): Promise<string> {
  const id = req.get(HEADERS.person) ?? '';
  const known = await db.query('select 1 from people where id = $1', [id]);
  if (known.rowCount === 0) throw whoIsAtTheBench();
  return id;
}

/** Id of the screen that asks; empty when it did not say. */
export const screenOf = (req: Request): string => (req.get(HEADERS.screen) ?? '').slice(0, 64);
