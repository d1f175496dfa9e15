import { choiceInput, routes, type ChoiceInput } from '@iron-patch/contract';
import type { Express, Request } from 'express';
import type { Pool } from '../db';
import type { SignIn } from '../sign-in';
import { bodyOf, changeOnce, idIn, notFound, personOf, stored, versionBefore } from '../http';
import { jobById } from '../jobs';
import { addChoice, choiceHistory } from './choice-queries';
import { guardChoice } from './guard';
import { guardSigned } from './guard-signed';

const LONGEST_KEY = 200;

/** The key in the path; one that no choice can have, such as with what PostgreSQL keeps in no text, is simply not found. */
function keyIn(req: Request): string {
  const key = String(req.params['key']);
  if (key.length > LONGEST_KEY || key.includes('\0')) throw notFound('kind of choice');
  return key;
}

export function mountChoices(app: Express, pool: Pool, signIn: SignIn): void {
  app.put(routes.choice(':id', ':key'), (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const jobId = idIn(req, 'job');
      const key = keyIn(req);
      const schema = choiceInput(key);
      if (!schema) throw notFound('kind of choice');
      const personId = await personOf(db, req);
      await jobById(db, jobId);
      const input = bodyOf(schema, req) as ChoiceInput;
      await guardChoice(db, jobId, key, input);
      await guardSigned({ pool, db, req, signIn }, jobId, key, input);
      return stored(await addChoice(db, jobId, key, versionBefore(req), input, personId));
    }),
  );

  app.get(routes.choiceHistory(':id', ':key'), async (req, res) => {
    res.json(await choiceHistory(pool, idIn(req, 'job'), keyIn(req)));
  });
}
