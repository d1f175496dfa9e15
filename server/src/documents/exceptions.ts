import type { ReturnChoice } from '@iron-patch/core';
import type { Paper } from './paper';

/** What goes out that is not as it was planned, with its reason: on every paper that a customer is given. */
export function toldExceptions(paper: Paper, { unproved, undone }: ReturnChoice): void {
  for (const [what, why] of [
    ['Not proved', unproved],
    ['Planned and not done', undone],
  ] as const)
    if (why) paper.quoted(`${what}: ${why}`, 11);
}
