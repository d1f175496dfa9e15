import { randomUUID } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { NO_DETAIL } from '@iron-patch/core';
import { HEADERS, routes, type FloorPage, type ReadingInput } from '@iron-patch/contract';
import { withIds, type DemoJob, type DemoPhoto, type DemoPiece } from './demo-job';

type Send = (method: 'POST' | 'PUT', path: string, body: unknown) => Promise<{ readonly id: string }>;

/** Speaks to the running server as a screen does: demo data passes every check that a person's would. */
const sender =
  (address: string, person: string): Send =>
  async (method, path, body) => {
    const condition: Record<string, string> = method === 'PUT' ? { 'If-None-Match': '*' } : { [HEADERS.idempotencyKey]: randomUUID() };
    const res = await fetch(address + path, {
      method,
      headers: { 'Content-Type': 'application/json', [HEADERS.person]: person, ...condition },
      body: JSON.stringify(body),
    });
    const json = (await res.json()) as { id: string };
    if (!res.ok) throw new Error(`The demo data was refused at ${path}: ${JSON.stringify(json)}`);
    return json;
  };

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;

/** Times of readings: two minutes apart, the last a while ago. */
function clock(count: number, now: number): () => string {
  let at = now - (count + 30) * 2 * MINUTE_MS;
  return () => new Date((at += 2 * MINUTE_MS)).toISOString();
}

const countOf = (demo: DemoJob): number =>
  demo.readings.reduce((s, g) => s + g.rows.length * g.clocksDeg.length, 0) +
  (demo.cuts ?? []).reduce((s, c) => s + c.steps.length, 0) +
  (demo.proofs ?? []).reduce((s, p) => s + p.readings.length, 0);

/** A place of a file: a diameter of which nothing is suspected, where it does not say. */
const wholePlace = (f: Readonly<Record<string, unknown>>): Readonly<Record<string, unknown>> => ({
  kind: 'diameter',
  suspicions: [],
  ...f,
  detail: { ...NO_DETAIL, ...(f['detail'] as object | undefined) },
});

/** A route of a file that names no cause of the list has none. */
const wholeChoice = ({ key, value }: DemoJob['choices'][number]): unknown =>
  key === 'route' ? { causeId: '', cure: '', ...(value as object) } : value;

/** The key of a choice; one of many of its kind (`soft:*`) gets an id of its own. */
const keyOf = (key: string, ids: ReadonlyMap<string, string>): string => withIds(key, ids).replace('*', randomUUID());

async function loadPhoto(
  photo: DemoPhoto,
  jobId: string,
  ids: ReadonlyMap<string, string>,
  address: string,
  person: string,
  directory: string,
): Promise<void> {
  const id = randomUUID();
  const sent = await fetch(address + routes.photos(jobId), {
    method: 'POST',
    headers: { 'Content-Type': 'image/jpeg', [HEADERS.person]: person, [HEADERS.idempotencyKey]: id },
    body: await readFile(join(directory, photo.file)),
  });
  const markers = photo.markers.map(({ place, ...m }) => ({ ...m, id: randomUUID(), placeId: place && ids.get(place) }));
  const told = await fetch(address + routes.photo(id), {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', [HEADERS.person]: person, 'If-Match': '"v1"' },
    body: JSON.stringify({ caption: photo.caption, markers }),
  });
  if (!sent.ok || !told.ok) throw new Error(`The photograph ${photo.file} was refused: ${await (sent.ok ? told : sent).text()}`);
}

async function loadJob(demo: DemoJob, address: string, now: number, photoDirectory: string): Promise<void> {
  const send = sender(address, demo.by);
  const { promisedInDays, ...written } = demo.job;
  const ticket = { changes: [], restBy: '', ...written };
  const promisedOn = promisedInDays === null ? null : new Date(now + promisedInDays * DAY_MS).toISOString().slice(0, 10);
  const { id: jobId } = await send('POST', routes.jobs, { ...ticket, promisedOn });
  const ids = new Map<string, string>([['job', jobId]]);
  for (const { key, ...c } of demo.components)
    ids.set(key, (await send('POST', routes.components(jobId), withIds({ parentId: null, ...c }, ids))).id);
  for (const { key, ...f } of demo.places) ids.set(key, (await send('POST', routes.places(jobId), withIds(wholePlace(f), ids))).id);

  for (const item of demo.items ?? []) ids.set(item, randomUUID());

  const time = clock(countOf(demo), now);
  const take = (more: Partial<ReadingInput>): Promise<unknown> =>
    send('POST', routes.readings(jobId), {
      id: randomUUID(),
      placeId: null,
      segmentId: null,
      quantity: 'size',
      stationMm: 0,
      clockDeg: 0,
      unit: demo.job.unit,
      partTempC: null,
      dial: null,
      takenAt: time(),
      supersedesId: null,
      withdrawn: false,
      confirmed: false,
      ...more,
    });
  for (const grid of demo.readings) {
    const instrumentId = grid.instrumentId ?? demo.places.find((f) => `$${f.key}` === grid.place)!.instrumentId;
    for (const { stationMm, texts } of grid.rows)
      for (const [i, text] of texts.entries())
        await take({
          purpose: 'found',
          ...(grid.quantity ? { quantity: grid.quantity as ReadingInput['quantity'] } : {}),
          placeId: withIds(grid.place, ids),
          stationMm,
          clockDeg: grid.clocksDeg[i]!,
          text,
          instrumentId,
        });
  }
  for (const c of demo.choices)
    await send('PUT', routes.choice(jobId, keyOf(c.key, ids)), { value: withIds(wholeChoice(c), ids), reason: c.reason ?? '' });
  const pieceOf = ({ item, piece = 1 }: DemoPiece) => ({ itemId: item ? withIds(item, ids) : jobId, piece });
  // One item after another, as it was done: what is made fits what was bored before.
  for (const item of demo.releases ?? []) {
    await send('POST', routes.releases(jobId), { itemId: item === 'own' ? jobId : withIds(item, ids) });
    const isOf = (of: DemoPiece): boolean => (of.item ?? 'own') === item;
    for (const { segmentId, instrumentId, steps, ...of } of (demo.cuts ?? []).filter(isOf))
      for (const [dial, text, partTempC] of steps)
        await take({
          purpose: 'cut',
          ...pieceOf(of),
          segmentId: withIds(segmentId, ids),
          instrumentId,
          dial,
          text,
          partTempC: partTempC ?? null,
        });
    for (const p of (demo.proofs ?? []).filter(isOf)) {
      const segmentId = withIds(p.segmentId, ids);
      for (const [stationMm, clockDeg, text] of p.readings)
        await take({ purpose: 'proof', ...pieceOf(p), segmentId, instrumentId: p.instrumentId, stationMm, clockDeg, text });
      await send('POST', routes.proofs(jobId), { ...pieceOf(p), segmentId, passed: p.passed, remark: p.remark });
    }
  }
  for (const photo of demo.photos ?? []) await loadPhoto(photo, jobId, ids, address, demo.by, photoDirectory);
  for (const note of demo.notes) await send('POST', routes.notes(jobId), note);
}

/** Demo jobs of a folder in the order of their file names. */
export async function readDemo(directory: string): Promise<DemoJob[]> {
  const files = (await readdir(directory)).filter((f) => f.endsWith('.json')).sort();
  return Promise.all(files.map(async (f) => JSON.parse(await readFile(join(directory, f), 'utf8')) as DemoJob));
}

/**
 * Loads the demo jobs into a running server that has no jobs yet.
 *
 * @returns how many were loaded; 0 when the shop has jobs already
 */
export async function loadDemo(address: string, directory: string, now: number): Promise<number> {
  const { open, returned } = (await (await fetch(address + routes.floor)).json()) as FloorPage;
  if (open + returned > 0) return 0;
  const jobs = await readDemo(directory);
  for (const job of jobs) await loadJob(job, address, now, join(directory, '../photos'));
  return jobs.length;
}
