import { randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/**
 * Passwords and PINs are kept as argon2id digests at the cost that OWASP's cheat sheet of 2024 has first: 19 MiB, two passes, one lane
 * (about 50 ms off the main thread).
 */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export const sealed = (secret: string): Promise<string> => hash(secret, COST);

/** What a wrong name is held against, so that it takes as long as a right one. */
const nobodys = sealed(randomBytes(24).toString('hex'));

/** True where it is the secret behind the digest; as slow where there is none. */
export async function opens(digest: string | null, secret: string): Promise<boolean> {
  const right = await verify(digest ?? (await nobodys), secret);
  return right && digest !== null;
}
