import { choiceKey, type CautionChoice } from '@iron-patch/core';
import { HEADERS, type ChoiceInput } from '@iron-patch/contract';
import type { Request } from 'express';
import type { Db, Pool } from '../db';
import { invalid } from '../http';
import { allPeople } from '../people';
import { photoById } from '../photos/photo-queries';
import { signersPin, type SignIn } from '../sign-in';

export interface Signing {
  readonly pool: Pool;
  readonly db: Db;
  readonly req: Request;
  readonly signIn: SignIn;
}

/**
 * A licensed matter is signed by one of the shop with their own PIN, as themselves, or for somebody from outside with a photograph of their
 * paper on this job.
 */
export async function guardSigned({ pool, db, req, signIn }: Signing, jobId: string, key: string, input: ChoiceInput): Promise<void> {
  if (!key.startsWith(choiceKey.caution('')) || input.value === null) return;
  const { by, signedBy, photoId } = input.value as CautionChoice;
  if (by === undefined)
    throw invalid([
      { code: 'by', path: 'value.by', message: 'Say who decided: one of the shop, or somebody from outside by their paper.' },
    ]);
  if (by === 'outside') {
    if ((await photoById(db, photoId!))?.jobId !== jobId)
      throw invalid([{ code: 'unknown', path: 'value.photoId', message: 'Choose a photograph of the paper that is on this job.' }]);
    return;
  }
  const me = (await allPeople(db)).find((p) => p.id === req.get(HEADERS.person));
  if (me?.name !== signedBy)
    throw invalid([
      { code: 'another', path: 'value.signedBy', message: 'One of the shop signs for themselves: whoever decided goes to the bench.' },
    ]);
  await signersPin(pool, req, signIn);
}
