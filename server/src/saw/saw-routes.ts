import { routes, sawnInput, type SawJob, type SawnAnswer, type SawnInput } from '@iron-patch/contract';
import {
  choiceKey,
  comesOutOf,
  onRack,
  sawNeeds,
  sawnOf,
  USUAL_ALLOWANCES,
  versionOfChoice,
  workOut,
  type Bar,
  type JobSheet,
  type SawNeed,
  type Shop,
} from '@iron-patch/core';
import type { Express } from 'express';
import { addChoice } from '../choices/choice-queries';
import { statements, type Db, type Pool } from '../db';
import { bodyOf, changedByAnother, invalid, notFound, personOf, recordOnce, shopIdIn } from '../http';
import { barById, saveBar } from '../rack/bar-queries';
import { loadSheet } from '../sheets';
import { loadShop } from '../shop';
import type { Standings } from '../standings';
import sql from './saw.sql';

const q = statements(sql, ['waiting']);

/** Lengths are told to a hundredth of a millimetre. */
const SAME_MM = 0.01;
/** The rest is measured by nobody: it is kept a tenth of a millimetre short at most, never long. */
const PER_MM = 10;

type Blank = SawnInput['blanks'][number];

/** A job that blanks are sawn for, and what it asks for now. */
interface Sawing {
  readonly sheet: JobSheet;
  readonly needs: readonly SawNeed[];
}

async function sawingFor(db: Db, jobId: string, shop: Shop): Promise<Sawing> {
  const sheet = await loadSheet(db, jobId);
  return { sheet, needs: sawNeeds(workOut(sheet, shop).items, sheet).map((n) => onRack(n, shop.rack)) };
}

/** Why a blank is not sawn from that bar for that job; null where it is. */
function refusal({ sheet, needs }: Sawing, bar: Bar, { itemId, blanks, lengthMm }: Blank): string | null {
  const need = needs.find((n) => n.itemId === itemId);
  const { number } = sheet.job;
  if (!need || need.left < blanks) return `Job ${number} asks for ${need?.left ?? 0} of these now. Look at the saw list again.`;
  if (Math.abs(need.fit.lengthMm - lengthMm) > SAME_MM) return `Job ${number} is planned otherwise by now. Look at the saw list again.`;
  if (!comesOutOf(need, bar)) return `This bar will not do for job ${number}. Look at the saw list again.`;
  return null;
}

/** What goes back to the rack of a sawn bar; null where nothing is kept. */
async function offcutOf(db: Db, bar: Bar, input: SawnInput, restMm: number, why: string, personId: string): Promise<Bar | null> {
  const lengthMm = Math.floor(restMm * PER_MM) / PER_MM;
  if (!input.keep || lengthMm <= 0) return null;
  const { id: _, version: _v, ...like } = bar;
  const offcut = { ...like, lengthMm, pieces: 1, place: input.place, priceMinor: null, why, removed: false };
  return saveBar(db, input.offcutId, 0, offcut, personId);
}

async function saw(db: Db, bar: Bar, input: SawnInput, personId: string): Promise<SawnAnswer> {
  if (bar.version !== input.version) throw changedByAnother(bar);
  const shop = await loadShop(db);
  const jobs = new Map<string, Sawing>();
  for (const jobId of new Set(input.blanks.map((b) => b.jobId))) jobs.set(jobId, await sawingFor(db, jobId, shop));
  const problems = input.blanks.flatMap((b, i) => {
    const message = refusal(jobs.get(b.jobId)!, bar, b);
    return message ? [{ code: 'moved', path: `blanks.${i}`, message }] : [];
  });
  const cutMm = input.blanks.reduce((sum, b) => sum + b.blanks * b.lengthMm, 0);
  if (bar.pieces < 1 || cutMm - USUAL_ALLOWANCES.sawMm > bar.lengthMm + SAME_MM)
    problems.push({ code: 'short', path: 'blanks', message: 'That is more than there is of this bar.' });
  if (problems.length) throw invalid(problems);
  const why = `sawn for ${[...jobs.values()].map((j) => j.sheet.job.number).join(', ')}`;
  const { id, version, ...was } = bar;
  const left = await saveBar(db, id, version, { ...was, pieces: bar.pieces - 1, why, removed: false }, personId);
  const offcut = await offcutOf(db, bar, input, Math.max(0, bar.lengthMm - cutMm), why, personId);
  const sawn: SawnAnswer['sawn'][number][] = [];
  for (const { jobId, itemId, blanks } of input.blanks) {
    const { sheet, needs } = jobs.get(jobId)!;
    const key = choiceKey.sawn(itemId);
    const before = sawnOf(sheet, itemId);
    const each = needs.find((n) => n.itemId === itemId)!.each;
    const stored = await addChoice(
      db,
      jobId,
      key,
      versionOfChoice(sheet, key),
      { value: { blanks: before.blanks + blanks, pieces: before.pieces + blanks * each }, reason: '' },
      personId,
    );
    sawn.push({ jobId, itemId, before, version: stored.version });
  }
  return { bar: left, offcut, sawn };
}

/** What open jobs have to have sawn, and what was sawn: the bar is counted down, its rest goes back to the rack, the jobs have their blanks. */
export function mountSaw(app: Express, pool: Pool, standings: Standings): void {
  app.get(routes.saw, async (_req, res) => {
    await standings.refreshChanged();
    const first = (await pool.query<SawJob>(q.waiting)).rows;
    const again = await standings.refresh(first.map((j) => j.id));
    res.json(again > 0 ? (await pool.query<SawJob>(q.waiting)).rows : first);
  });

  app.post(routes.sawn(':id'), (req, res) =>
    recordOnce(pool, req, res, async (db) => {
      const personId = await personOf(db, req);
      const bar = await barById(db, shopIdIn(req, 'bar'));
      if (!bar) throw notFound('bar');
      return { status: 201, body: await saw(db, bar, bodyOf(sawnInput, req), personId) };
    }),
  );
}
