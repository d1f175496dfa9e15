import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { routes, wallTime } from '@iron-patch/contract';
import type { Express } from 'express';
import pLimit from 'p-limit';
import type { Pool } from '../db';
import { did } from '../http';
import { packEverything } from './pack';

/** One at a time: it reads all there is. */
const inTurn = pLimit(1);

/** Everything that the shop has on record, in open formats. */
export function mountEverything(app: Express, pool: Pool, { timeZone }: { readonly timeZone: string }): void {
  app.get(routes.everything, async (req, res) => {
    const gone = new AbortController();
    res.once('close', () => gone.abort());
    await inTurn(async () => {
      if (gone.signal.aborted) return;
      const directory = await mkdtemp(join(tmpdir(), 'iron-patch-everything-'));
      const file = join(directory, 'everything.zip');
      try {
        await packEverything(pool, file, gone.signal);
        // All of the shop's records leave it: who took them stays on record, as of what is stored.
        await did(pool, req, 200);
        await new Promise<void>((resolve, reject) =>
          res.download(file, `iron-patch-${wallTime(new Date(), timeZone).day}.zip`, (e) => (e ? reject(e) : resolve())),
        );
      } catch (e) {
        // Whoever asked went away: nobody waits for an answer.
        if (!gone.signal.aborted) throw e;
      } finally {
        await rm(directory, { recursive: true, force: true });
      }
    });
  });
}
