import type { Problem } from '@iron-patch/core';
import { etagOf, HEADERS, MOST_PHOTO_BYTES, PHOTO_SIZES, photoInput, routes, type PhotoInput } from '@iron-patch/contract';
import express, { type Express } from 'express';
import { inTransaction, type Db, type Pool } from '../db';
import { bodyOf, changedByAnother, idIn, ifMatch, invalid, keyNeeded, notFound, personOf, recordOnce, screenOf } from '../http';
import { jobById } from '../jobs';
import { featuresOf } from '../features';
import { insertPhoto, photoById, pixelsOf, removePhoto, updatePhoto } from './photo-queries';
import { readPicture } from './picture';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A marker may stand for a place of the same job only. */
async function checkMarkers(db: Db, jobId: string, { markers }: PhotoInput): Promise<void> {
  const known = new Set((await featuresOf(db, [jobId])).map((f) => f.id));
  const problems = markers.flatMap((m, i): Problem[] =>
    m.featureId !== null && !known.has(m.featureId)
      ? [{ code: 'unknown', path: `markers.${i}.featureId`, message: 'This place is not on this job.' }]
      : [],
  );
  if (problems.length) throw invalid(problems);
}

export function mountPhotos(app: Express, pool: Pool): void {
  // The picture itself is the body; its id is the idempotency key, so that a picture sent twice is kept once.
  app.post(routes.photos(':id'), express.raw({ type: 'image/*', limit: MOST_PHOTO_BYTES }), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const { id: jobId } = await jobById(db, idIn(req, 'job'));
      const id = req.get(HEADERS.idempotencyKey)!;
      if (!UUID.test(id)) throw keyNeeded();
      const picture = await readPicture(Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0));
      if (!picture.ok) throw invalid(picture.problems);
      return { status: 201, body: await insertPhoto(db, { id, jobId, caption: '', markers: [], personId, picture: picture.value }) };
    }),
  );

  app.put(routes.photo(':id'), async (req, res) => {
    const id = idIn(req, 'photograph');
    const stored = await inTransaction(pool, screenOf(req), async (db) => {
      await personOf(db, req);
      const before = await photoById(db, id);
      if (!before) throw notFound('photograph');
      const input = bodyOf(photoInput, req);
      await checkMarkers(db, before.jobId, input);
      const after = await updatePhoto(db, id, ifMatch(req), input);
      if (!after) throw changedByAnother(before);
      return after;
    });
    res.set('ETag', etagOf(stored.version)).json(stored);
  });

  app.delete(routes.photo(':id'), async (req, res) => {
    const id = idIn(req, 'photograph');
    await inTransaction(pool, screenOf(req), async (db) => {
      await personOf(db, req);
      const before = await photoById(db, id);
      if (!before) throw notFound('photograph');
      if (!(await removePhoto(db, id, ifMatch(req)))) throw changedByAnother(before);
    });
    res.status(204).end();
  });

  for (const size of PHOTO_SIZES)
    app.get(routes.photoPixels(':id', size), async (req, res) => {
      const jpeg = await pixelsOf(pool, idIn(req, 'photograph'), size);
      if (!jpeg) throw notFound('photograph');
      // The pixels behind an id never change.
      res.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(jpeg);
    });
}
