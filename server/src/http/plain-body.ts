import type { Problem } from '@iron-patch/core';
import type { RequestHandler } from 'express';
import { invalid } from './http-problem';

/** Nothing that is stored here lies deeper. */
const MOST_DEPTH = 24;
/** Names that mean something to JavaScript itself and nothing to a repair. */
const NO_NAMES: ReadonlySet<string> = new Set([...Object.getOwnPropertyNames(Object.prototype), 'prototype']);
/** A zero character, or half of a pair: PostgreSQL keeps neither. */
const NO_TEXT = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

interface Step {
  readonly value: unknown;
  readonly path: string;
  readonly depth: number;
}

/** What is wrong with a body whatever it is for: nested too deep, names and characters that nobody types. Null where nothing is. */
function faultIn(body: unknown): Problem | null {
  const left: Step[] = [{ value: body, path: '', depth: 0 }];
  for (let step = left.pop(); step; step = left.pop()) {
    const { value, path, depth } = step;
    if (typeof value === 'string' && NO_TEXT.test(value))
      return { code: 'characters', path, message: 'There are characters in it that cannot be kept.' };
    if (typeof value !== 'object' || value === null) continue;
    if (depth >= MOST_DEPTH) return { code: 'depth', path: '', message: 'It is nested too deep.' };
    for (const [name, inner] of Object.entries(value)) {
      if (NO_NAMES.has(name) || NO_TEXT.test(name))
        return { code: 'name', path, message: 'There is a name in it that means nothing here.' };
      left.push({ value: inner, path: path ? `${path}.${name}` : name, depth: depth + 1 });
    }
  }
  return null;
}

/** Lets plain bodies through. */
export const plainBody: RequestHandler = (req, _res, next) => {
  const fault = Buffer.isBuffer(req.body) ? null : faultIn(req.body);
  if (fault) throw invalid([fault]);
  next();
};
