import type { ProblemDetails } from '@iron-patch/contract/wire';
import type { Problem } from '@iron-patch/core';

/** The server answered with a problem. */
export class ApiProblem extends Error {
  constructor(readonly details: ProblemDetails) {
    super(details.title);
  }
}

/** No answer came: the line is down or the server is. Nothing is known of what became of the request. */
export class NoAnswer extends Error {}

/** What a form says when no answer came. */
export const NO_ANSWER = 'The server does not answer. What you typed is still here and stays over a reload: try again in a moment.';

/** Why the server would not take something, so that sending it again is no use; null when it may yet go: no answer, busy, broken. */
export function refusalOf(error: unknown): readonly Problem[] | null {
  if (!(error instanceof ApiProblem)) return null;
  const { status, problems, title, detail } = error.details;
  if (status < 400 || status >= 500 || [401, 408, 429].includes(status)) return null;
  return problems ?? [{ code: 'refused', path: '', message: `${title} ${detail}` }];
}

/** True where nobody is let in until somebody signs in: asking again by itself is no use. */
export const waitsForSignIn = (error: unknown): boolean => error instanceof ApiProblem && error.details.status === 401;
