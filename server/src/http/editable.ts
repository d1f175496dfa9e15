import { etagOf } from '@iron-patch/contract';
import type { Express } from 'express';
import type { AnyObjectSchema, InferType } from 'yup';
import type { Db, Pool } from '../db';
import { changedByAnother, notFound } from './http-problem';
import { bodyOf, idIn, ifMatch } from './input';
import { personOf } from './person';
import { changeOnce, recordOnce } from './record-once';

/** A resource of a job that people edit: how to reach it and what to store. */
export interface Editable<S extends AnyObjectSchema, R extends { readonly version: number }> {
  readonly what: string;
  readonly schema: S;
  /** Path of the collection under a job, with `:id` for the job. */
  readonly collection: string;
  /** Path of one, with `:id`. */
  readonly item: string;
  readonly byId: (db: Db, id: string) => Promise<R | null>;
  readonly insert: (db: Db, jobId: string, input: InferType<S>) => Promise<R>;
  /** Null when the version has moved on. */
  readonly update: (db: Db, id: string, version: number, input: InferType<S>) => Promise<R | null>;
  /** False when the version has moved on; throws `stillInUse` when something rests on it. */
  readonly remove: (db: Db, id: string, version: number) => Promise<boolean>;
}

/** Mounts POST, GET, PUT and DELETE with entity tags for an editable resource. */
export function mountEditable<S extends AnyObjectSchema, R extends { readonly version: number }>(
  app: Express,
  pool: Pool,
  e: Editable<S, R>,
): void {
  const present = async (db: Db, id: string): Promise<R> => {
    const found = await e.byId(db, id);
    if (!found) throw notFound(e.what);
    return found;
  };

  app.post(e.collection, (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      await personOf(db, req);
      return { status: 201, body: await e.insert(db, idIn(req, 'job'), bodyOf(e.schema, req)) };
    }),
  );

  app.get(e.item, async (req, res) => {
    const found = await present(pool, idIn(req, e.what));
    res.set('ETag', etagOf(found.version)).json(found);
  });

  /** Why the version has moved on: changed by another, or taken away. Asked anew: it may have happened since it was looked at. */
  const moved = async (db: Db, id: string): Promise<Error> => changedByAnother(await present(db, id));

  app.put(e.item, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = idIn(req, e.what);
      await personOf(db, req);
      const version = ifMatch(req);
      await present(db, id);
      const after = await e.update(db, id, version, bodyOf(e.schema, req));
      if (!after) throw await moved(db, id);
      return { status: 200, body: after };
    }),
  );

  app.delete(e.item, (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = idIn(req, e.what);
      await personOf(db, req);
      const version = ifMatch(req);
      await present(db, id);
      if (!(await e.remove(db, id, version))) throw await moved(db, id);
      return { status: 204, body: null };
    }),
  );
}
