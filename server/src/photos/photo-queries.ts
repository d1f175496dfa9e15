import type { PhotoMarker, PhotoRecord } from '@iron-patch/core';
import type { PhotoInput, PhotoSize } from '@iron-patch/contract';
import { statements, type Db } from '../db';
import type { Picture } from './picture';
import sql from './photos.sql';

const q = statements(sql, ['byJobs', 'byId', 'insert', 'insertPixels', 'update', 'remove', 'pixels']);

export const photosOf = async (db: Db, jobIds: readonly string[]): Promise<PhotoRecord[]> =>
  (await db.query<PhotoRecord>(q.byJobs, [jobIds])).rows;

export const photoById = async (db: Db, id: string): Promise<PhotoRecord | null> =>
  (await db.query<PhotoRecord>(q.byId, [id])).rows[0] ?? null;

export interface NewPhoto {
  readonly id: string;
  readonly jobId: string;
  readonly caption: string;
  readonly markers: readonly PhotoMarker[];
  readonly personId: string;
  readonly picture: Picture;
}

export async function insertPhoto(db: Db, p: NewPhoto): Promise<PhotoRecord> {
  const { widthPx, heightPx, large, small } = p.picture;
  await db.query(q.insert, [p.id, p.jobId, p.caption, widthPx, heightPx, JSON.stringify(p.markers), p.personId]);
  await db.query(q.insertPixels, [p.id, large, small]);
  return (await photoById(db, p.id))!;
}

/** Null when the version has moved on. */
export async function updatePhoto(db: Db, id: string, version: number, input: PhotoInput): Promise<PhotoRecord | null> {
  const { rowCount } = await db.query(q.update, [id, version, input.caption, JSON.stringify(input.markers)]);
  return rowCount ? photoById(db, id) : null;
}

export const removePhoto = async (db: Db, id: string, version: number): Promise<boolean> =>
  (await db.query(q.remove, [id, version])).rowCount === 1;

export const pixelsOf = async (db: Db, id: string, size: PhotoSize): Promise<Buffer | null> =>
  (await db.query<{ jpeg: Buffer }>(q.pixels, [id, size])).rows[0]?.jpeg ?? null;
