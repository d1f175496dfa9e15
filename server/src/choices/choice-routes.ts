import { choiceInput, etagOf, routes, type ChoiceInput } from '@iron-patch/contract';
import type { Express } from 'express';
import { inTransaction, type Pool } from '../db';
import { bodyOf, idIn, notFound, personOf, screenOf, versionBefore } from '../http';
import { jobById } from '../jobs';
import { addChoice, choiceHistory } from './choice-queries';
import { guardChoice } from './guard';

const LONGEST_KEY = 200;

export function mountChoices(app: Express, pool: Pool): void {
  app.put(routes.choice(':id', ':key'), async (req, res) => {
    const jobId = idIn(req, 'job');
    const key = String(req.params['key']);
    const schema = choiceInput(key);
    if (!schema || key.length > LONGEST_KEY) throw notFound('kind of choice');
    const choice = await inTransaction(pool, screenOf(req), async (db) => {
      const personId = await personOf(db, req);
      await jobById(db, jobId);
      const input = bodyOf(schema, req) as ChoiceInput;
      await guardChoice(db, jobId, key, input);
      return addChoice(db, jobId, key, versionBefore(req), input, personId);
    });
    res
      .status(choice.version === 1 ? 201 : 200)
      .set('ETag', etagOf(choice.version))
      .json(choice);
  });

  app.get(routes.choiceHistory(':id', ':key'), async (req, res) => {
    res.json(await choiceHistory(pool, idIn(req, 'job'), String(req.params['key'])));
  });
}
