import { seenAt, signProblems, workOut } from '@iron-patch/core';
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
      const given = { ...input, gaugedWith: input.gaugedWith ?? '', gaugedValue: input.gaugedValue ?? null };
      const problems = signProblems(found, given);
      if (problems.length) throw invalid(problems);
      const shown = found!.gauged
        ? { measuredMm: given.gaugedValue, gaugedWith: given.gaugedWith }
        : { measuredMm: found!.measured!.value, gaugedWith: '' };
      return { status: 201, body: await addProof(db, sheet.job.id, input, shown, personId) };
    }),
  );
}
