import { randomUUID } from 'node:crypto';
import { choiceKey, type JobSheet, type ReadingRecord } from '@iron-patch/core';
import { MOST_WAITING, routes, type WaitingAnswer, type WaitingReading } from '@iron-patch/contract';
import pg from 'pg';
import { caller, makeJob, readingBody, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
let made: MadeJob;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
beforeEach(async () => {
  made = await makeJob(call);
});
afterAll(() => shop.close());

const take = (text: string, more = {}) => call.post(routes.readings(made.jobId), readingBody(made.bodyId, text, more));
const stored = async () => (await call.get(routes.sheet(made.jobId))).body.readings;

describe('a reading', () => {
  it('keeps its text and unit and is parsed by the server', async () => {
    const { status, body } = await take('1.5716 in');
    expect(status).toBe(201);
    expect(body).toMatchObject({ text: '1.5716 in', unit: 'in', personId: 'tomas', takenAt: '2026-11-20T10:00:00.000Z' });
    expect(body.valueMm).toBeCloseTo(39.91864, 9);
  });

  it.each([
    ['', 'empty'],
    ['wobbly', 'not-a-number'],
    ['-39.9', 'negative'],
    ['0', 'zero'],
    ['99999999', 'too-big'],
    ['39.9 furlongs', 'unknown-unit'],
  ])('"%s" is refused as %s and not stored', async (text, code) => {
    const res = await take(text);
    expect(res.status).toBe(422);
    expect(res.body.problems).toMatchObject([{ path: 'text', code }]);
    expect(await stored()).toHaveLength(0);
  });

  it('ten times off is asked about, and taken when somebody says that it is right', async () => {
    await take('39.91');
    const doubted = await take('3.991');
    expect(doubted.body.problems).toMatchObject([
      { path: 'instrumentId', code: 'range', message: expect.stringContaining('cannot show 3.991') },
      { path: 'text', code: 'implausible', message: expect.stringContaining('Did you mean 39.910') },
    ]);
    expect((await take('3.991', { confirmed: true })).status).toBe(201);
  });

  it('of another job, with an unknown instrument, or of nothing is refused with all reasons', async () => {
    const other = await makeJob(call);
    const res = await call.post(routes.readings(made.jobId), readingBody(other.bodyId, '39.9', { instrumentId: 'thumb' }));
    expect(res.body.problems.map((p: { path: string }) => p.path)).toEqual(['placeId', 'instrumentId']);
    const cut = await call.post(routes.readings(made.jobId), readingBody(null, '39.9', { purpose: 'cut' }));
    expect(cut.body.problems).toMatchObject([{ path: 'segmentId' }]);
  });

  it('is superseded once, never changed or deleted', async () => {
    const { body: old } = await take('39.19');
    const right = await take('39.91', { supersedesId: old.id });
    expect(right.status).toBe(201);
    const late = await take('39.92', { supersedesId: old.id });
    expect(late.body.problems).toMatchObject([{ path: 'supersedesId', code: 'already' }]);
    expect((await take('', { supersedesId: right.body.id, withdrawn: true })).status).toBe(201);
    expect(await stored()).toHaveLength(3);
    await expect(shop.pool.query('update readings set value_mm = 1')).rejects.toThrow('only added to');
    await expect(shop.pool.query('delete from readings')).rejects.toThrow('only added to');
  });

  it('sent twice over a bad line is stored once', async () => {
    const body = readingBody(made.bodyId, '39.9');
    const key = randomUUID();
    const answers = await Promise.all([1, 2, 3].map(() => call.post(routes.readings(made.jobId), body, key)));
    expect(answers.map((a) => a.status)).toEqual([201, 201, 201]);
    expect(await stored()).toHaveLength(1);
  });

  it('cannot be taken outside of the calendar, alone or in a file', async () => {
    for (const takenAt of ['0000-06-01T00:00:00Z', '-000100-01-01T00:00:00Z', '+275760-09-13T00:00:00Z', 'yesterday'])
      expect((await take('39.9', { takenAt })).body.problems).toMatchObject([{ path: 'takenAt' }]);
    for (const time of ['0000-06-01T00:00:00Z', '+275760-09-12T00:00:00Z']) {
      const csv = `place,station_mm,clock_deg,reading,taken_at\nBody,10,0,39.9,${time}\n`;
      const { status, body } = await call.post(routes.readingsFile(made.jobId), { csv });
      expect([status, JSON.stringify(body)]).toEqual([422, expect.stringContaining('is no time such as')]);
    }
    expect(await stored()).toHaveLength(0);
  });

  it('cannot be taken in the far future', async () => {
    const { body } = await take('39.9', { takenAt: '2999-01-01T00:00:00Z' });
    expect(Date.parse(body.takenAt)).toBeLessThan(Date.now() + 6 * 60_000);
  });
});

describe('a place with readings', () => {
  it('is not removed', async () => {
    await take('39.9');
    expect((await call.delete(routes.place(made.bodyId), '"v1"')).status).toBe(409);
    expect((await call.delete(routes.place(made.boreId), '"v1"')).status).toBe(204);
    expect((await call.delete(routes.component(made.pinId), '"v1"')).body.detail).toContain('Remove those first');
  });
});

describe('a readings file', () => {
  const send = (csv: string) => call.post(routes.readingsFile(made.jobId), { csv });
  const header = 'place,station_mm,clock_deg,reading';

  it('is stored whole', async () => {
    const rows = Array.from({ length: 500 }, (_, i) => `Body,${i % 100},${(i * 45) % 180},39.9${i % 10}`);
    const res = await send([header, ...rows].join('\n'));
    expect([res.status, res.body]).toEqual([201, { stored: 500 }]);
    expect(await stored()).toHaveLength(500);
  });

  it('with bad rows is not stored at all, and every problem is listed', async () => {
    const res = await send([header, 'Body,5,0,39.9', 'Nose,5,0,39.9', 'Body,x,0,abc'].join('\n'));
    expect(res.status).toBe(422);
    expect(res.body.problems.map((p: { path: string }) => p.path)).toEqual(['rows.1.place', 'rows.2.station_mm', 'rows.2.reading']);
    expect(await stored()).toHaveLength(0);
  });

  it('may use semicolons and decimal commas, and must be a table', async () => {
    expect((await send('place;station_mm;clock_deg;reading\nBody;5,5;0;39,91\n')).body).toEqual({ stored: 1 });
    expect((await send('place,station_mm\n"unclosed')).status).toBe(422);
    expect((await send('')).body.problems).toMatchObject([{ path: 'csv' }]);
  });

  it('comes out as it went in', async () => {
    await send(`${header}\nBody,5,0,1.5716 in\n`);
    const { text, headers } = await call.get(routes.readingsCsv(made.jobId));
    expect(headers['content-type']).toContain('text/csv');
    expect(text.split('\r\n')[1]).toMatch(/^Hinge pin,Body,5,0,size,as found,1.5716 in,in,Outside mic 25 to 50,,39.91864,Tomas Quill/);
  });
});

describe('a reading after an act', () => {
  const actId = '0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
  const act = (more: object = {}) =>
    call.put(
      routes.choice(made.jobId, choiceKey.act(actId)),
      {
        value: {
          componentId: made.pinId,
          placeId: null,
          kind: 'bend',
          where: '',
          state: 'done',
          override: 'told',
          removed: false,
          ...more,
        },
        reason: '',
      },
      '*',
    );
  const after = (text: string, more = {}) => take(text, { afterActId: actId, ...more });

  it('is refused while the act is not on record as done on that very place', async () => {
    const told = async () => (await after('39.9')).body.problems?.map((p: { path: string; code: string }) => `${p.path} ${p.code}`);
    expect(await told()).toEqual(['afterActId not-done']);
    await act({ state: 'planned' });
    expect(await told()).toEqual(['afterActId not-done']);
    await call.put(
      routes.choice(made.jobId, choiceKey.act(actId)),
      { value: { componentId: made.pinId, kind: 'bend', where: '', state: 'done', override: 'told', removed: true }, reason: '' },
      '"v1"',
    );
    expect(await told()).toEqual(['afterActId not-done']);
  });

  it('stands beside the one as found, in the sheet and in the file, and comes back by the file', async () => {
    await take('39.9');
    expect((await act()).status).toBe(201);
    expect((await after('39.5')).body).toMatchObject({ afterActId: actId, valueMm: 39.5 });
    expect((await stored()).map((r: { afterActId: string | null }) => r.afterActId)).toEqual([null, actId]);
    const csv = (await call.get(routes.readingsCsv(made.jobId))).text;
    const states = csv
      .split('\r\n')
      .slice(1, 3)
      .map((row) => /as found|after act 1[^"]*straightened/.exec(row)?.[0]);
    expect(states).toEqual(['as found', 'after act 1, straightened']);
    const back = await call.post(routes.readingsFile(made.jobId), {
      csv: 'place;station_mm;clock_deg;reading;state\nBody;20;0;39.52;after act 1',
    });
    expect(back.body).toEqual({ stored: 1 });
    expect((await stored()).at(-1)).toMatchObject({ afterActId: actId, valueMm: 39.52 });
    const odd = await call.post(routes.readingsFile(made.jobId), {
      csv: 'place;station_mm;clock_deg;reading;state\nBody;20;0;39.52;after act 7',
    });
    expect(odd.body.problems).toMatchObject([{ path: 'rows.0.state' }]);
  });

  it('is refused of another part, of another place than the act changed, and of the new part', async () => {
    await act({ placeId: made.bodyId });
    expect((await after('39.9')).status).toBe(201);
    const bore = await call.post(routes.readings(made.jobId), readingBody(made.boreId, '40', { afterActId: actId, instrumentId: 'tele' }));
    expect(bore.body.problems).toMatchObject([{ path: 'afterActId' }]);
    const cut = await call.post(
      routes.readings(made.jobId),
      readingBody(null, '39.9', { purpose: 'cut', segmentId: 's', afterActId: actId }),
    );
    expect(cut.body.problems).toMatchObject([{ path: 'afterActId', code: 'mixed' }]);
  });
});

it('costs at most four questions to the database, and is answered as it is stored', async () => {
  const asked = jest.spyOn(pg.Client.prototype, 'query');
  const body = readingBody(made.bodyId, '39.915', { partTempC: 31.5 });
  const first = await call.post(routes.readings(made.jobId), body, body.id);
  expect(first.status).toBe(201);
  // What feels whether the database is still there asks beside it, every two seconds.
  const own = asked.mock.calls.filter(([what]) => (what as unknown) !== 'select 1');
  expect(own.length).toBeGreaterThan(0);
  expect(own.length).toBeLessThanOrEqual(4);
  asked.mockRestore();
  const { readings } = (await call.get(routes.sheet(made.jobId))).body as JobSheet;
  expect(first.body).toEqual(readings.find((r) => r.id === body.id));
  expect((await call.post(routes.readings(made.jobId), body, body.id)).body).toEqual(first.body);
});

it('sent many times at one moment under its key is recorded once, and every sender is answered alike', async () => {
  const body = readingBody(made.bodyId, '39.916');
  const all = await Promise.all(Array.from({ length: 12 }, () => call.post(routes.readings(made.jobId), body, body.id)));
  expect(all.map((r) => r.status)).toEqual(all.map(() => 201));
  for (const { body: answer } of all) expect(answer).toEqual(all[0]!.body);
  const other = await call.post(routes.readings(made.jobId), readingBody(made.bodyId, '39.916'), body.id);
  expect(other.body.title).toBe('This key was used for something else.');
});

it('corrected by two at one moment is corrected once', async () => {
  const wrong = readingBody(made.bodyId, '39.92');
  await call.post(routes.readings(made.jobId), wrong, wrong.id);
  const both = await Promise.all(
    ['39.93', '39.94'].map((text) => call.post(routes.readings(made.jobId), readingBody(made.bodyId, text, { supersedesId: wrong.id }))),
  );
  expect(both.map((r) => r.status).sort()).toEqual([201, 422]);
});

describe('readings that waited', () => {
  const one = (text: string, more = {}): WaitingReading => ({
    jobId: made.jobId,
    personId: 'ines',
    input: readingBody(made.bodyId, text, more),
  });
  const send = async (readings: readonly unknown[]): Promise<{ status: number; answers: WaitingAnswer[] }> => {
    const { status, body } = await call.post(routes.readingsWaiting, { readings });
    return { status, answers: (body as { answers: WaitingAnswer[] }).answers };
  };

  it('are recorded in their order, in the name of who typed each, and as if each came alone', async () => {
    const waiting = Array.from({ length: MOST_WAITING }, (_, i) => one(`39.9${String(i).padStart(2, '0')}`));
    const { status, answers } = await send(waiting);
    expect([status, answers.map((a) => a.status)]).toEqual([200, waiting.map(() => 201)]);
    const rows = (await stored()) as ReadingRecord[];
    expect(rows.map((r) => [r.text, r.personId])).toEqual(waiting.map((w) => [w.input.text, 'ines']));
    expect(answers.map((a) => a.body)).toEqual(rows);
    // The same again, together or alone, is the same.
    expect((await send(waiting.slice(0, 2))).answers).toEqual(answers.slice(0, 2));
    expect((await call.post(routes.readings(made.jobId), waiting[2]!.input, waiting[2]!.input.id)).body).toEqual(answers[2]!.body);
    expect(await stored()).toHaveLength(MOST_WAITING);
  });

  it('a correction follows what it corrects; one that is refused keeps no other back', async () => {
    const wrong = one('39.95');
    const { answers } = await send([
      wrong,
      one('39.91', { supersedesId: wrong.input.id }),
      one('wobbly'),
      { ...one('39.9'), personId: 'nobody' },
      { ...one('39.9'), jobId: randomUUID() },
      one('39.92'),
    ]);
    expect(answers.map((a) => a.status)).toEqual([201, 201, 422, 403, 404, 201]);
    expect(answers[2]!.body).toMatchObject({ problems: [{ path: 'text', code: 'not-a-number' }] });
    expect(await stored()).toHaveLength(3);
  });

  it('where it cannot go on it tells what was done, and no more', async () => {
    // The third finds its table locked, and gives way.
    const holder = await shop.pool.connect();
    const waiting = [one('39.91'), one('39.92'), one('39.93')];
    try {
      await holder.query('begin');
      await holder.query('select pg_advisory_xact_lock(1)');
      await shop.pool.query(
        `create function wait_at_third() returns trigger language plpgsql as $$
         begin if new.text = '39.93' then perform pg_advisory_xact_lock(1); end if; return new; end $$`,
      );
      await shop.pool.query('create trigger waits before insert on readings for each row execute function wait_at_third()');
      const { status, answers } = await send(waiting);
      expect([status, answers.map((a) => a.status)]).toEqual([200, [201, 201]]);
    } finally {
      await holder.query('rollback');
      holder.release();
      await shop.pool.query('drop function wait_at_third() cascade');
    }
    expect((await send(waiting)).answers.map((a) => a.status)).toEqual([201, 201, 201]);
    expect(await stored()).toHaveLength(3);
  });

  it('are refused as a whole where it is not said which', async () => {
    const good = one('39.9');
    const bad = [
      [],
      [{}],
      [null],
      [{ ...good, jobId: 'x' }],
      [{ ...good, input: {} }],
      Array.from({ length: MOST_WAITING + 1 }, () => one('39.9')),
    ];
    for (const readings of bad) expect((await send(readings)).status).toBe(422);
    expect((await call.post(routes.readingsWaiting, {})).status).toBe(422);
    expect(await stored()).toHaveLength(0);
  });
});
