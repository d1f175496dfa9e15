import { AUDIT_PAGE, routes, type AuditPage, type AuditRow } from '@iron-patch/contract';
import type { Express } from 'express';
import { statements, type Pool } from '../db';
import { askedIn } from '../http';
import sql from './audit.sql';

const q = statements(sql, ['page']);

/** Who did what, the newest first, of one person or of all. */
export function mountAudit(app: Express, pool: Pool): void {
  app.get(routes.audit, async (req, res) => {
    const before = Number(askedIn(req, 'before'));
    const from = Number.isSafeInteger(before) && before > 0 ? before : null;
    const { rows } = await pool.query<AuditRow>(q.page, [from, askedIn(req, 'person'), AUDIT_PAGE + 1]);
    const shown = rows.slice(0, AUDIT_PAGE);
    res.json({ rows: shown, next: rows.length > AUDIT_PAGE ? shown.at(-1)!.seq : null } satisfies AuditPage);
  });
}
