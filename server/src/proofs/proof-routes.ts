import { workOut } from '@iron-patch/core';
import { proofInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, idIn, invalid, personOf, recordOnce } from '../http';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { addProof } from './proof-queries';

/** Somebody passes or fails a segment; one that is out passes only with a remark that says why. */
export function mountProofs(app: Express, pool: Pool): void {
  app.post(routes.proofs(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const sheet = await loadSheet(db, idIn(req, 'job'));
      const input = bodyOf(proofInput, req);
      const found = workOut(sheet, await loadShop(db)).proofs.find((p) => p.dimension.dimension.key === input.segmentId);
      if (!found?.measured)
        throw invalid([{ code: 'unmeasured', path: 'segmentId', message: 'Measure this dimension before passing it.' }]);
      if (input.passed && found.verdict === 'out' && input.remark === '')
        throw invalid([
          { code: 'out', path: 'remark', message: 'It is out of its limits. Say why it may pass all the same, and who agreed.' },
        ]);
      return { status: 201, body: await addProof(db, sheet.job.id, input, found.measured.value, personId) };
    }),
  );
}
