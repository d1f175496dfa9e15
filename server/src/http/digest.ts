import { createHash } from 'node:crypto';

/** What is kept of the secret of a link: it opens nothing by itself. */
export const digestOf = (token: string): Buffer => createHash('sha256').update(token).digest();
