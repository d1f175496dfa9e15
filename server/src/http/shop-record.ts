import type { Express, Request } from 'express';
import type { AnyObjectSchema, InferType } from 'yup';
import type { Db, Pool } from '../db';
import { notFound } from './http-problem';
import { bodyOf, versionBefore } from './input';
import { personOf, personOrFirst } from './person';
import { changeOnce, stored } from './record-once';

/** Something of the shop itself that people edit under an id of their own choosing: how to reach it and what to store. */
export interface ShopRecord<S extends AnyObjectSchema, R extends { readonly version: number }> {
  readonly what: string;
  /** With `:id`. */
  readonly path: string;
  readonly schema: S;
  readonly byId: (db: Db, id: string) => Promise<R | null>;
  /** Makes it at version 0, else changes the one that is still at that version; throws when it has moved on. */
  readonly save: (db: Db, id: string, version: number, input: InferType<S>, personId: string) => Promise<R>;
  /** True where a shop in which nobody works yet may store it. */
  readonly byNobody?: boolean;
}

const ID = /^[a-z0-9][a-z0-9-]{0,59}$/;

/** The id in the path; what is no id at all is simply not found. */
export function shopIdIn(req: Request, what: string): string {
  const id = String(req.params['id']);
  if (!ID.test(id)) throw notFound(what);
  return id;
}

/** Mounts PUT, with entity tags, for a record of the shop. */
export function mountShopRecord<S extends AnyObjectSchema, R extends { readonly version: number }>(
  app: Express,
  pool: Pool,
  { what, path, schema, byId, save, byNobody = false }: ShopRecord<S, R>,
): void {
  app.put(path, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = shopIdIn(req, what);
      const personId = await (byNobody ? personOrFirst : personOf)(db, req);
      const version = versionBefore(req);
      if (version > 0 && !(await byId(db, id))) throw notFound(what);
      return stored(await save(db, id, version, bodyOf(schema, req), personId));
    }),
  );
}
