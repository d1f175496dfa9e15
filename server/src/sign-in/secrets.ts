import { randomBytes } from 'node:crypto';
import { digestOf } from '../http';

const TOKEN_BYTES = 32;

/** A secret for the cookie of a device, and the digest by which the server knows it again. */
export function newToken(): { readonly token: string; readonly digest: Buffer } {
  const token = randomBytes(TOKEN_BYTES).toString('base64url');
  return { token, digest: digestOf(token) };
}
