import { randomUUID } from 'node:crypto';
import { bundleOf, type BundlePhoto, type Shop } from '@iron-patch/core';
import { checkBundle, MOST_BUNDLE_BYTES, routes } from '@iron-patch/contract';
import express, { type Express } from 'express';
import type { Db, Pool } from '../db';
import { idIn, invalid, personOf, plainBody, recordOnce } from '../http';
import { pixelsOf } from '../photos';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { bringIn } from './bring-in';

/** Coming in has a larger limit than other JSON: mounted before the general parser. */
export function mountBundleIn(app: Express, pool: Pool): void {
  app.post(routes.bundles, express.json({ limit: MOST_BUNDLE_BYTES, strict: true }), plainBody, (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const checked = checkBundle(req.body);
      if (!checked.ok) throw invalid(checked.problems);
      return { status: 201, body: await bringIn(db, checked.value, personId, randomUUID) };
    }),
  );
}

/** A job as a file, with its photographs, and what of the shop it names. */
export async function bundleFile(db: Db, jobId: string, shop: Shop): Promise<{ readonly name: string; readonly text: string }> {
  const sheet = await loadSheet(db, jobId);
  const photos: BundlePhoto[] = [];
  for (const { id, caption, markers } of sheet.photos) {
    const jpeg = await pixelsOf(db, id, 'large');
    if (jpeg) photos.push({ id, caption, markers, jpeg: jpeg.toString('base64') });
  }
  return { name: `job-${sheet.job.number}.json`, text: JSON.stringify(bundleOf(sheet, shop, photos), null, 1) };
}

export function mountBundleOut(app: Express, pool: Pool): void {
  app.get(routes.bundle(':id'), async (req, res) => {
    const { name, text } = await bundleFile(pool, idIn(req, 'job'), await loadShop(pool));
    res.attachment(name).type('application/json').send(text);
  });
}
