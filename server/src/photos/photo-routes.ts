import type { PhotoRecord, Problem } from '@iron-patch/core';
import { MOST_PHOTO_BYTES, PHOTO_SIZES, photoInput, routes, type PhotoInput } from '@iron-patch/contract';
import express, { type Express } from 'express';
import pLimit from 'p-limit';
import type { Db, Pool } from '../db';
import { bodyOf, changedByAnother, changeOnce, idIn, ifMatch, invalid, notFound, personOf, recordIdIn, recordOnce } from '../http';
import { jobById } from '../jobs';
import { placesOf } from '../places';
import { insertPhoto, photoById, pixelsOf, removePhoto, updatePhoto } from './photo-queries';
import { readPicture } from './picture';

/** A marker may stand for a place of the same job only. */
async function checkMarkers(db: Db, jobId: string, { markers }: PhotoInput): Promise<void> {
  const known = new Set((await placesOf(db, [jobId])).map((f) => f.id));
  const problems = markers.flatMap((m, i): Problem[] =>
    m.placeId !== null && !known.has(m.placeId)
      ? [{ code: 'unknown', path: `markers.${i}.placeId`, message: 'This place is not on this job.' }]
      : [],
  );
  if (problems.length) throw invalid(problems);
}

/** Pictures are unpacked and scaled two at a time, and before the database is asked for anything: the others wait for their turn. */
const inTurn = pLimit(2);

export function mountPhotos(app: Express, pool: Pool): void {
  const photo = async (db: Db, id: string): Promise<PhotoRecord> => {
    const found = await photoById(db, id);
    if (!found) throw notFound('photograph');
    return found;
  };

  // The picture itself is the body; its id is the idempotency key, so that a picture sent twice is kept once.
  app.post(routes.photos(':id'), express.raw({ type: 'image/*', limit: MOST_PHOTO_BYTES }), async (req, res) => {
    const id = recordIdIn(req);
    await personOf(pool, req);
    await jobById(pool, idIn(req, 'job'));
    const picture = await inTurn(() => readPicture(Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0)));
    if (!picture.ok) throw invalid(picture.problems);
    await recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const { id: jobId } = await jobById(db, idIn(req, 'job'));
      return { status: 201, body: await insertPhoto(db, { id, jobId, caption: '', markers: [], personId, picture: picture.value }) };
    });
  });

  app.put(routes.photo(':id'), (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = idIn(req, 'photograph');
      await personOf(db, req);
      const { jobId } = await photo(db, id);
      const input = bodyOf(photoInput, req);
      await checkMarkers(db, jobId, input);
      const after = await updatePhoto(db, id, ifMatch(req), input);
      if (!after) throw changedByAnother(await photo(db, id));
      return { status: 200, body: after };
    }),
  );

  app.delete(routes.photo(':id'), (req, res) =>
    changeOnce(pool, req, res, async (db) => {
      const id = idIn(req, 'photograph');
      await personOf(db, req);
      await photo(db, id);
      if (!(await removePhoto(db, id, ifMatch(req)))) throw changedByAnother(await photo(db, id));
      return { status: 204, body: null };
    }),
  );

  for (const size of PHOTO_SIZES)
    app.get(routes.photoPixels(':id', size), async (req, res) => {
      const jpeg = await pixelsOf(pool, idIn(req, 'photograph'), size);
      if (!jpeg) throw notFound('photograph');
      // The pixels behind an id never change.
      res.set('Cache-Control', 'private, max-age=31536000, immutable').type('image/jpeg').send(jpeg);
    });
}
