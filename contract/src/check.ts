import { good, type Outcome, type Problem } from '@iron-patch/core';
import { ValidationError, type AnyObjectSchema, type InferType } from 'yup';

const toProblem = (e: ValidationError): Problem => ({
  code: e.type ?? 'invalid',
  path: (e.path ?? '').replace(/\[(\d+)\]/g, '.$1'),
  message: e.message,
});

/**
 * Checks an input against a schema, unknown fields dropped. The one check that browser and server share.
 *
 * @returns the typed value, or every problem at once with its path
 */
export function check<S extends AnyObjectSchema>(schema: S, input: unknown): Outcome<InferType<S>> {
  try {
    return good(schema.validateSync(input, { abortEarly: false, stripUnknown: true }) as InferType<S>);
  } catch (e) {
    if (!(e instanceof ValidationError)) throw e;
    const inner = e.inner.length ? e.inner : [e];
    const seen = new Set<string>();
    const problems = inner.map(toProblem).filter((p) => !seen.has(p.path) && seen.add(p.path));
    return { ok: false, problems };
  }
}
