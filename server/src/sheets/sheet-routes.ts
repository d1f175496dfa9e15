import { MOST_SHEET_ROWS, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import { atOneMoment, type Pool } from '../db';
import { askedIn, idIn, invalid } from '../http';
import { loadSheet } from './sheet-queries';
import { loadRows, rowsAsked } from './sheet-rows';

export function mountSheets(app: Express, pool: Pool): void {
  app.get(routes.sheet(':id'), async (req, res) => {
    res.json(await loadSheet(pool, idIn(req, 'job')));
  });

  // What somebody else changed: a screen that has the sheet asks for those rows, and for no others.
  app.get(routes.sheetRows(':id'), async (req, res) => {
    const id = idIn(req, 'job');
    const asked = rowsAsked(askedIn(req, 'of'));
    if (!asked) throw invalid([{ code: 'rows', path: 'of', message: `Rows: at most ${MOST_SHEET_ROWS} pairs of a table and an id.` }]);
    res.json(await atOneMoment(pool, (db) => loadRows(db, id, asked)));
  });
}
