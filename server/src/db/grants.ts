import grants from './grants.sql';
import { withOwner } from './owner';

/**
 * Gives the server's role the rights that it works with, and takes all others. A database in whose PostgreSQL there is no such role, as a
 * developer's may be, is used by its owner alone.
 *
 * @param url the database, brought up to date, as its owner
 */
export const grantRights = (url: string): Promise<void> =>
  withOwner(url, async (client) => {
    const { rows: app } = await client.query(`select 1 from pg_roles where rolname = 'iron_patch_app'`);
    if (app.length > 0) await client.query(grants);
  });
