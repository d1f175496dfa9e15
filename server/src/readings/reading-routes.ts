import { randomUUID } from 'node:crypto';
import { importReadings, readingsToCsv, type ImportedReading, type ReadingRecord } from '@iron-patch/core';
import { HEADERS, readingInput, readingsFileInput, routes } from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import {
  answerKept,
  answerTo,
  bodyOf,
  idIn,
  invalid,
  keyedPost,
  notFound,
  personOf,
  recordOnce,
  screenOf,
  sendAnswer,
  whoIsAtTheBench,
} from '../http';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { readCsv } from './read-csv';
import { insertReadings, standsWith, takeOne } from './reading-queries';
import { takeReading } from './take-reading';

const fromFile = (r: ImportedReading, jobId: string, personId: string, takenAt: string): ReadingRecord => ({
  id: randomUUID(),
  jobId,
  purpose: 'found',
  featureId: r.featureId,
  segmentId: null,
  afterActId: r.afterActId,
  quantity: r.quantity,
  stationMm: r.stationMm,
  clockDeg: r.clockDeg,
  text: r.length.text,
  unit: r.length.unit,
  valueMm: r.length.valueMm,
  instrumentId: r.instrumentId,
  partTempC: r.partTempC,
  dial: null,
  personId: r.personId ?? personId,
  takenAt: r.takenAt ?? takenAt,
  supersedesId: null,
  withdrawn: false,
});

export function mountReadings(app: Express, pool: Pool): void {
  // The commonest act of the shop, in two questions to the database: what it stands with, and its storing.
  app.post(routes.readings(':id'), async (req, res) => {
    const keyed = keyedPost(req);
    const jobId = idIn(req, 'job');
    const personId = req.get(HEADERS.person) ?? '';
    const input = bodyOf(readingInput, req);
    const stands = await standsWith(pool, jobId, personId, keyed.key, input);
    if (stands.answered) return sendAnswer(res, answerKept(stands.answered, keyed));
    if (!stands.person) throw whoIsAtTheBench();
    if (!stands.job) throw notFound('job');
    const reading = takeReading(jobId, personId, input, stands);
    if (await takeOne(pool, screenOf(req), keyed, reading)) return sendAnswer(res, { status: 201, body: reading });
    sendAnswer(res, answerKept(await answerTo(pool, keyed.key), keyed));
  });

  app.post(routes.readingsFile(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const sheet = await loadSheet(db, idIn(req, 'job'));
      const rows = readCsv(bodyOf(readingsFileInput, req).csv);
      if (!rows.ok) throw invalid(rows.problems);
      const imported = importReadings(rows.value, sheet, await loadShop(db));
      if (!imported.ok) throw invalid(imported.problems);
      const takenAt = new Date().toISOString();
      const stored = await insertReadings(
        db,
        imported.value.map((r) => fromFile(r, sheet.job.id, personId, takenAt)),
      );
      return { status: 201, body: { stored: stored.length } };
    }),
  );

  app.get(routes.readingsCsv(':id'), async (req, res) => {
    const sheet = await loadSheet(pool, idIn(req, 'job'));
    res
      .attachment(`job-${sheet.job.number}-readings.csv`)
      .type('text/csv')
      .send(readingsToCsv(sheet, await loadShop(pool)));
  });
}
