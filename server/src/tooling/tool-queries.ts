import type { CribTool } from '@iron-patch/core';
import type { ToolInput } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import { changedByAnother } from '../http';
import sql from './tools.sql';

const q = statements(sql, ['all', 'byId', 'insert', 'update']);

/** The tools that hang in the crib, by kind and size. */
export const allTools = async (db: Db): Promise<CribTool[]> => (await db.query<CribTool>(q.all)).rows;

export const toolById = async (db: Db, id: string): Promise<CribTool | null> => (await db.query<CribTool>(q.byId, [id])).rows[0] ?? null;

/** Writes a tool: a new one at version 0, else the one that is still at `version`. */
export async function saveTool(db: Db, id: string, version: number, input: ToolInput): Promise<CribTool> {
  const columns = [input.kind, input.sizeMm, input.thread, input.note, input.pieces, input.removed];
  const stored = version === 0 ? await db.query(q.insert, [id, ...columns]) : await db.query(q.update, [id, version, ...columns]);
  if (stored.rowCount === 0) throw changedByAnother(await toolById(db, id));
  return (await toolById(db, id))!;
}
