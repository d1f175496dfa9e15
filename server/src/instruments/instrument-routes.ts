import { formatWithUnit, parseLength } from '@iron-patch/core';
import { instrumentCheckInput, instrumentInput, MOST_BIAS_MM, routes } from '@iron-patch/contract';
import type { Express, Request } from 'express';
import type { Pool } from '../db';
import { bodyOf, changeOnce, invalid, notFound, personOf, recordOnce, stored, versionBefore } from '../http';
import { addCheck, instrumentById, saveInstrument } from './instrument-queries';

const ID = /^[a-z0-9][a-z0-9-]{0,59}$/;

function instrumentId(req: Request): string {
  const id = String(req.params['id']);
  if (!ID.test(id)) throw notFound('instrument');
  return id;
}

export function mountInstruments(app: Express, pool: Pool): void {
  app.put(routes.instrument(':id'), (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = instrumentId(req);
      await personOf(db, req);
      const version = versionBefore(req);
      if (version > 0 && !(await instrumentById(db, id))) throw notFound('instrument');
      return stored(await saveInstrument(db, id, version, bodyOf(instrumentInput, req)));
    }),
  );

  app.post(routes.instrumentChecks(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const id = instrumentId(req);
      if (!(await instrumentById(db, id))) throw notFound('instrument');
      const input = bodyOf(instrumentCheckInput, req);
      const parsed = parseLength(input.text, { unit: input.unit });
      if (!parsed.ok) throw invalid([{ ...parsed.problems[0]!, path: 'text' }]);
      const off = parsed.value.valueMm - input.referenceMm;
      if (Math.abs(off) > MOST_BIAS_MM)
        throw invalid([
          {
            code: 'implausible',
            path: 'text',
            message: `That is ${formatWithUnit(Math.abs(off), input.unit)} off the reference: read it again, or pick the reference that was measured.`,
          },
        ]);
      return { status: 201, body: await addCheck(db, id, input, parsed.value.valueMm, personId) };
    }),
  );
}
