import { check, HEADERS, versionOf } from '@iron-patch/contract';
import type { Request } from 'express';
import type { AnyObjectSchema, InferType } from 'yup';
import { conditionNeeded, invalid, keyNeeded, notFound } from './http-problem';

/** What was sent, checked by the contract's schema; every problem at once otherwise. */
export function checkedBy<S extends AnyObjectSchema>(schema: S, sent: unknown): InferType<S> {
  const checked = check(schema, sent);
  if (!checked.ok) throw invalid(checked.problems);
  return checked.value;
}

export const bodyOf = <S extends AnyObjectSchema>(schema: S, req: Request): InferType<S> => checkedBy(schema, req.body);

/** The version that the caller read before changing it. */
export function ifMatch(req: Request): number {
  const version = versionOf(req.get('If-Match'));
  if (version === null) throw conditionNeeded();
  return version;
}

/** The version before this one: the first of its key or id is made with If-None-Match: *, a later one with If-Match. */
export const versionBefore = (req: Request): number => (req.get('If-None-Match') === '*' ? 0 : ifMatch(req));

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** What the query says under a name, without what PostgreSQL keeps in no text; empty where it says nothing, or says it twice. */
export function askedIn(req: Request, name: string): string {
  const value = req.query[name];
  return typeof value === 'string' ? value.replaceAll('\0', '') : '';
}

/** Words that are looked for under `find`, in small letters; what is too long, or too many, is cut. */
export const wordsIn = (req: Request, most: { readonly length: number; readonly words: number }): string[] =>
  askedIn(req, 'find').slice(0, most.length).toLowerCase().split(/\s+/).filter(Boolean).slice(0, most.words);

/** How many rows are asked for under `upTo`: as many as at first where it says nothing that is a count, and no more than the most. */
export function upToIn(req: Request, page: { readonly first: number; readonly most: number }): number {
  const asked = Number(askedIn(req, 'upTo') || page.first);
  return Number.isInteger(asked) && asked > 0 ? Math.min(asked, page.most) : page.first;
}

export const isId = (text: string): boolean => UUID.test(text);

/** An id in the path; what is no id at all is simply not found. */
export function idIn(req: Request, what: string): string {
  const id = String(req.params['id']);
  if (!isId(id)) throw notFound(what);
  return id;
}

/** The key of a new record, which is its id: what is sent twice is made once. */
export function recordIdIn(req: Request): string {
  const id = req.get(HEADERS.idempotencyKey) ?? '';
  if (!isId(id)) throw keyNeeded();
  return id;
}
