import { formatWithUnit, freeze, notAsSeen, seenAt, workOut, type LengthUnit, type MovedFigure, type Problem } from '@iron-patch/core';
import { releaseInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, idIn, invalid, movedMeanwhile, personOf, recordOnce } from '../http';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { addRelease } from './release-queries';

const MOST_TOLD = 5;

function tell({ key, label, oldMm, newMm }: MovedFigure, unit: LengthUnit): Problem {
  const show = (mm: number | null): string => (mm === null ? 'not there' : formatWithUnit(mm, unit));
  return { code: 'moved', path: key, message: `${label} was ${show(oldMm)} on your screen and is ${show(newMm)} now.` };
}

/** Releases an item for cutting: the server works the figures out itself from what is stored, and freezes them. */
export function mountReleases(app: Express, pool: Pool): void {
  app.post(routes.releases(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const sheet = await loadSheet(db, idIn(req, 'job'));
      const { seen, itemId = sheet.job.id } = bodyOf(releaseInput, req);
      const repair = seenAt(workOut(sheet, await loadShop(db)), itemId);
      const problems: Problem[] = [];
      if (repair.at?.item.id !== itemId)
        throw invalid([{ code: 'no-part', path: '', message: 'There is nothing of this item to release: draw it first.' }]);
      if (!repair.part) problems.push({ code: 'no-part', path: '', message: 'There is no part to release yet: draw it first.' });
      else {
        problems.push(...repair.part.problems);
        for (const { dimension } of repair.part.unlimited)
          problems.push({
            code: 'limits',
            path: dimension.key,
            message: `Say what limits the ${dimension.label}: its fit at Decide, or limits of its own at Draw.`,
          });
      }
      if (repair.at.item.kind !== 'make' && repair.at.item.proposed)
        problems.push({ code: 'proposed', path: '', message: 'Take this item up first: so far a verdict alone asks for it.' });
      if (repair.at.item.kind === 'make' && !repair.blockPlan && !repair.plan?.chosen)
        problems.push({ code: 'no-plan', path: '', message: 'Choose lathe, bar and tool at Plan first.' });
      if (problems.length) throw invalid(problems);
      const moved = seen ? notAsSeen(repair.releasable, seen) : [];
      if (moved.length) throw movedMeanwhile(moved.slice(0, MOST_TOLD).map((m) => tell(m, sheet.job.unit)));
      return { status: 201, body: await addRelease(db, sheet.job.id, itemId, freeze(repair.releasable, sheet.job.unit), personId) };
    }),
  );
}
