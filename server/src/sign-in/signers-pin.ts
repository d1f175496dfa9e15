import { HEADERS } from '@iron-patch/contract';
import type { Request } from 'express';
import type { Pool } from '../db';
import { atTheGate, invalid } from '../http';
import { byPin } from './accounts';
import type { SignIn } from './device';

/**
 * Holds whoever is at the bench to their own PIN, typed for this one act. Where people are picked nobody has one.
 *
 * @throws HttpProblem 422 at `pin` where it is not theirs
 */
export async function signersPin(pool: Pool, req: Request, { way }: SignIn): Promise<void> {
  const { deviceId } = atTheGate(req);
  if (way === 'pick' || deviceId === null) return;
  const right = await byPin(pool, deviceId, req.get(HEADERS.person) ?? '', req.get(HEADERS.pin) ?? '');
  if (!right)
    throw invalid([
      { code: 'wrong', path: 'pin', message: 'PIN: it is not yours. Whoever has none yet chooses one under their name at the top.' },
    ]);
}
