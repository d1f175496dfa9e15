import { freeze, workOut, type Problem } from '@iron-patch/core';
import { routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { idIn, invalid, personOf, recordOnce } from '../http';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { addRelease } from './release-queries';

/** Releases the part for cutting: the server works the figures out itself from what is stored, and freezes them. */
export function mountReleases(app: Express, pool: Pool): void {
  app.post(routes.releases(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const sheet = await loadSheet(db, idIn(req, 'job'));
      const repair = workOut(sheet, await loadShop(db));
      const problems: Problem[] = [];
      if (!repair.part) problems.push({ code: 'no-part', path: '', message: 'There is no part to release yet: draw it first.' });
      else problems.push(...repair.part.problems);
      if (!repair.plan?.chosen) problems.push({ code: 'no-plan', path: '', message: 'Choose lathe, bar and tool at Plan first.' });
      if (problems.length) throw invalid(problems);
      return { status: 201, body: await addRelease(db, sheet.job.id, freeze(repair.releasable, sheet.job.unit), personId) };
    }),
  );
}
