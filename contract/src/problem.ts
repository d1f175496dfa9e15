import type { Problem } from '@iron-patch/core';

/** RFC 9457 problem details, with the fields that are wrong. */
export interface ProblemDetails {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly problems?: readonly Problem[];
  /** On 412: the resource as it is now, so that nobody overwrites another's change unseen. */
  readonly current?: unknown;
}

export const PROBLEM_TYPE = 'application/problem+json';

/** Names of the problems, in `type` behind `/problems/`. */
export const PROBLEM_NAMES = {
  invalid: 'invalid-input',
  notFound: 'not-found',
  changed: 'changed-by-another',
  unconditional: 'condition-needed',
  person: 'who-is-at-the-bench',
  signIn: 'sign-in',
  locked: 'locked',
  notHere: 'not-signed-in-here',
  mayNot: 'may-not',
  wait: 'wait',
  reused: 'key-used-for-another',
  inUse: 'still-in-use',
  held: 'held-back',
  tooLarge: 'too-large',
  tooMany: 'too-many',
  crossSite: 'cross-site',
  notServed: 'not-served-here',
  notNow: 'not-now',
  bug: 'bug',
} as const;
