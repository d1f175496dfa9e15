import { seenAt, workOut } from '@iron-patch/core';
import { proofInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, idIn, invalid, personOf, recordOnce } from '../http';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { addProof } from './proof-queries';

/** Somebody passes or fails a dimension of one piece; one that is out passes only with a remark that says why. */
export function mountProofs(app: Express, pool: Pool): void {
  app.post(routes.proofs(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const sheet = await loadSheet(db, idIn(req, 'job'));
      const input = bodyOf(proofInput, req);
      const { itemId, number } = { itemId: input.itemId ?? sheet.job.id, number: input.piece ?? 1 };
      const { at, piece } = seenAt(workOut(sheet, await loadShop(db)), itemId, number);
      if (at?.item.id !== itemId || piece?.piece.number !== number)
        throw invalid([{ code: 'unknown', path: 'itemId', message: 'This item, or this piece of it, is not on this job any more.' }]);
      const found = piece.proofs.find((p) => p.dimension.dimension.key === input.segmentId);
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
