import { formatWithUnit, parseLength, type InstrumentRecord } from '@iron-patch/core';
import { instrumentCheckInput, instrumentInput, MOST_BIAS_MM, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, invalid, mountShopRecord, notFound, personOf, recordOnce, shopIdIn, type ShopRecord } from '../http';
import { addCheck, instrumentById, saveInstrument } from './instrument-queries';

const instruments: ShopRecord<typeof instrumentInput, InstrumentRecord> = {
  what: 'instrument',
  path: routes.instrument(':id'),
  schema: instrumentInput,
  byId: instrumentById,
  save: saveInstrument,
};

export function mountInstruments(app: Express, pool: Pool): void {
  mountShopRecord(app, pool, instruments);

  app.post(routes.instrumentChecks(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const id = shopIdIn(req, 'instrument');
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
