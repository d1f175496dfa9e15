import { HEADERS } from '@iron-patch/contract';
import type { Access } from '@iron-patch/core/terms/access';
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

/** The same; empty in a shop in which nobody works yet, so that somebody can be the first. */
export async function personOrFirst(db: Db, req: Request): Promise<string> {
  const { rowCount } = await db.query('select 1 from people limit 1');
  return rowCount ? personOf(db, req) : '';
}

/** Id of the screen that asks; empty when it did not say. */
export const screenOf = (req: Request): string => (req.get(HEADERS.screen) ?? '').slice(0, 64);

/** Who asks, as the gate found out. */
export interface AtTheGate {
  /** Id of the device that is signed in; null where people are picked. */
  readonly deviceId: string | null;
  /** What somebody may do through this request; null where they may not act through it at all. */
  readonly accessOf: (personId: string) => Promise<Access | null>;
}
const gates = new WeakMap<Request, AtTheGate>();
export const letIn = (req: Request, at: AtTheGate): void => void gates.set(req, at);
export const atTheGate = (req: Request): AtTheGate => gates.get(req)!;
