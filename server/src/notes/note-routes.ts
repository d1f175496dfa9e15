import { noteInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import { bodyOf, idIn, personOf, recordOnce } from '../http';
import { jobById } from '../jobs';
import { addNote } from './note-queries';

export function mountNotes(app: Express, pool: Pool): void {
  app.post(routes.notes(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const job = await jobById(db, idIn(req, 'job'));
      return { status: 201, body: await addNote(db, job.id, bodyOf(noteInput, req), personId) };
    }),
  );
}
