import { randomUUID } from 'node:crypto';
import { importReadings, readingsToCsv, type ImportedReading, type ReadingRecord } from '@iron-patch/core';
import {
  HEADERS,
  MOST_WAITING,
  readingsFileInput,
  routes,
  type WaitingAnswer,
  type WaitingAnswers,
  type WaitingReading,
} from '@iron-patch/contract';
import type { Express } from 'express';
import type { Pool } from '../db';
import {
  atTheGate,
  bodyOf,
  HttpProblem,
  idIn,
  invalid,
  isId,
  keyedAs,
  keyedPost,
  personOf,
  recordOnce,
  screenOf,
  sendAnswer,
} from '../http';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import { readCsv } from './read-csv';
import { insertReadings } from './reading-queries';
import { recordReading, type SentReading } from './record-reading';

const fromFile = (r: ImportedReading, jobId: string, personId: string, takenAt: string): ReadingRecord => ({
  id: randomUUID(),
  jobId,
  purpose: 'found',
  placeId: r.placeId,
  segmentId: null,
  itemId: null,
  piece: 1,
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

const refusal = (e: unknown): WaitingAnswer => {
  if (e instanceof HttpProblem) return { status: e.details.status, body: e.details };
  throw e;
};

/** The readings of a request for several; each is checked by itself when its turn comes. */
function waitingIn(body: unknown): SentReading[] {
  const { readings } = (body ?? {}) as { readings?: unknown };
  const isOne = (r: unknown): r is WaitingReading => {
    const { jobId, personId, input } = (r ?? {}) as Partial<WaitingReading>;
    return typeof jobId === 'string' && isId(jobId) && typeof personId === 'string' && isId(String(input?.id));
  };
  if (!Array.isArray(readings) || readings.length === 0 || readings.length > MOST_WAITING || !readings.every(isOne))
    throw invalid([
      { code: 'waiting', path: 'readings', message: `Readings: 1 to ${MOST_WAITING}, each with its job, its person and its id.` },
    ]);
  return readings.map((r) => ({ ...r, keyed: keyedAs(r.input.id, routes.readings(r.jobId), r.input) }));
}

export function mountReadings(app: Express, pool: Pool): void {
  app.post(routes.readings(':id'), async (req, res) => {
    const keyed = keyedPost(req);
    const sent = { jobId: idIn(req, 'job'), personId: req.get(HEADERS.person) ?? '', input: req.body as unknown, keyed };
    sendAnswer(res, await recordReading(pool, screenOf(req), sent, atTheGate(req).accessOf));
  });

  // Those that waited in a browser, in the order in which they were typed: one that is refused keeps no other back.
  app.post(routes.readingsWaiting, async (req, res) => {
    const waiting = waitingIn(req.body);
    const answers: WaitingAnswer[] = [];
    try {
      for (const one of waiting) answers.push(await recordReading(pool, screenOf(req), one, atTheGate(req).accessOf).catch(refusal));
    } catch (e) {
      // It cannot go on just now. What was done is told; the rest is sent again.
      if (answers.length === 0) throw e;
    }
    res.json({ answers } satisfies WaitingAnswers);
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
