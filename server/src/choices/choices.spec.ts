import { FEATURE_KINDS, hostOf, newPart, rightKey } from '@iron-patch/core';
import { routes } from '@iron-patch/contract';
import { caller, makeJob, readingBody, type Caller, type MadeJob } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
let made: MadeJob;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
  made = await makeJob(call);
  for (const [clockDeg, text] of [
    [0, '40.31'],
    [90, '40.17'],
  ] as const)
    await call.post(routes.readings(made.jobId), readingBody(made.boreId, text, { clockDeg, instrumentId: 'tele' }));
});
afterAll(() => shop.close());

const choose = (key: string, value: unknown, tag: string, reason = '') => call.put(routes.choice(made.jobId, key), { value, reason }, tag);
const plan = { latheId: 'gap-bed', barId: 'c45-60', tool: 'carbide', partingMm: 3, touched: 'left', grippedMm: 25, finishes: 2 };

describe('a choice', () => {
  it('keeps its history with who and why, and is never overwritten unseen', async () => {
    const key = `fit:${made.boreId}`;
    const keep = { schoolId: 'grease', hole: 'keep', truedMm: null };
    expect((await choose(key, keep, '*', 'outdoors')).status).toBe(201);
    const again = await choose(key, keep, '*');
    expect([again.status, again.body.current.version]).toEqual([412, 1]);
    const trued = await choose(key, { ...keep, hole: 'true' }, '"v1"', 'too oval');
    expect([trued.status, trued.headers['etag']]).toEqual([200, '"v2"']);
    const history = (await call.get(routes.choiceHistory(made.jobId, key))).body;
    expect(history.map((c: { reason: string }) => c.reason)).toEqual(['too oval', 'outdoors']);
    expect(history[0].personId).toBe('tomas');
  });

  it('has no key with what no text can hold', async () => {
    const at = (key: string): string => `/api/jobs/${made.jobId}/choices/${key}`;
    for (const key of ['a%00b', 'fit:%00', 'k'.repeat(201)]) {
      expect((await call.get(`${at(key)}/history`)).status).toBe(404);
      expect((await call.put(at(key), { value: { schoolId: 'grease', hole: 'keep', truedMm: null }, reason: '' }, '*')).status).toBe(404);
    }
  });

  it('is checked by its kind', async () => {
    expect(
      (await choose('plan', { ...plan, partingMm: 'wide', finishes: 9 }, '*')).body.problems.map((p: { path: string }) => p.path),
    ).toEqual(['value.partingMm', 'value.finishes']);
    expect((await choose('pardon', {}, '*')).status).toBe(404);
  });
});

describe('release and proof', () => {
  it('need a part and a plan first', async () => {
    const early = await call.post(routes.releases(made.jobId), {});
    expect(early.body.problems.map((p: { code: string }) => p.code)).toEqual(['no-part']);
  });

  it('freeze what the server works out, and mark what moves', async () => {
    const pin = newPart('headed-pin', 'Hinge pin', 40, 120);
    const part = { ...pin, outside: pin.outside.map((s) => (s.id === 'body' ? { ...s, fitsPlaceIds: [made.boreId] } : s)) };
    expect((await choose('part', part, '*')).status).toBe(201);
    expect((await choose('plan', plan, '*')).status).toBe(201);
    const release = await call.post(routes.releases(made.jobId), {});
    expect(release.status).toBe(201);
    // What was on the screen: all as it is, or one number of yesterday, which is told and nothing released.
    const seen = (release.body as { figures: { key: string; valueMm: number }[] }).figures.map(({ key, valueMm }) => ({ key, valueMm }));
    expect((await call.post(routes.releases(made.jobId), { seen })).status).toBe(201);
    const stale = seen.map((f) => (f.key === 'segment.body.length' ? { ...f, valueMm: f.valueMm - 1 } : f));
    const refused = await call.post(routes.releases(made.jobId), { seen: stale });
    expect(refused.status).toBe(409);
    expect(refused.body.problems).toMatchObject([{ code: 'moved', path: 'segment.body.length' }]);
    expect((await call.post(routes.releases(made.jobId), { seen: seen.slice(1) })).status).toBe(409);
    // A keyseat in inches has no limits of a book: it is not released without its own.
    const key = {
      ...FEATURE_KINDS.keyseat.start(hostOf(part, 'body')!),
      id: 'k',
      kind: 'keyseat',
      on: 'body',
      name: 'Keyseat',
      widthMm: 9.525,
    };
    const keyed = { ...part, features: [...part.features, key] };
    expect((await choose('part', keyed, '"v1"')).status).toBe(200);
    expect((await call.post(routes.releases(made.jobId), {})).body.problems).toMatchObject([{ code: 'limits' }, { code: 'limits' }]);
    expect((await choose('part', part, '"v2"')).status).toBe(200);
    const diameter = release.body.figures.find((f: { key: string }) => f.key === 'segment.body.diameter');
    // Trued to 40.35 less grease clearance 0.0508 + 0.0015 x 40.35, less half of IT6.
    expect(diameter.valueMm).toBeCloseTo(40.35 - 0.0508 - 0.0015 * 40.35 - 0.008, 6);
    const floor = async () => (await call.get(routes.floor)).body.jobs.find((j: { id: string }) => j.id === made.jobId);
    expect((await floor()).next.id).not.toBe('cut');
    await call.post(routes.readings(made.jobId), readingBody(made.boreId, '40.46', { instrumentId: 'tele' }));
    // The new reading is far from the one that stands at its spot: somebody says that it is right.
    expect((await floor()).next).toMatchObject({ id: 'measure', state: 'out', waitsFor: expect.stringContaining('stands out') });
    const { readings } = (await call.get(routes.sheet(made.jobId))).body as { readings: { id: string }[] };
    for (const { id } of readings) await choose(rightKey(made.boreId, id), { believed: id }, '*');
    expect((await floor()).next).toMatchObject({ id: 'cut', state: 'out', waitsFor: expect.stringContaining('released number') });
  });

  it('pass only what was measured, and what is out only with a reason', async () => {
    const sign = (remark: string) => call.post(routes.proofs(made.jobId), { segmentId: 'body', passed: true, remark });
    expect((await sign('')).body.problems).toMatchObject([{ code: 'unmeasured' }]);
    await call.post(routes.readings(made.jobId), readingBody(null, '39.9', { purpose: 'proof', segmentId: 'body' }));
    expect((await sign('')).body.problems).toMatchObject([{ code: 'out', path: 'remark' }]);
    expect((await sign('Maud: loose is fine for the test ramp')).body).toMatchObject({ passed: true, measuredMm: 39.9 });
  });

  it('pass what no instrument reads by what it was tried with, and an indicator’s swing by its reading', async () => {
    const sheet = (await call.get(routes.sheet(made.jobId))).body as { choices: { key: string; value: unknown; version: number }[] };
    const stored = sheet.choices.find((c) => c.key === 'part')!;
    const part = stored.value as { features: object[] };
    const asked = [
      { id: 'ra', kind: 'surface-finish', on: 'body', name: 'Surface', raUm: 0.8, how: 'ground' },
      { id: 'true', kind: 'relation', on: 'body', name: 'True to', which: 'run-out', of: '', to: 'head', mm: 0.02 },
    ];
    expect((await choose('part', { ...part, features: [...part.features, ...asked] }, `"v${stored.version}"`)).status).toBe(200);
    const sign = (segmentId: string, more: object) =>
      call.post(routes.proofs(made.jobId), { segmentId, passed: true, remark: '', ...more });
    expect((await sign('ra.roughness', {})).body.problems).toMatchObject([{ code: 'untried', path: 'gaugedWith' }]);
    expect((await sign('ra.roughness', { gaugedWith: 'specimen', gaugedValue: 'smooth' })).body.problems).toMatchObject([
      { path: 'gaugedValue' },
    ]);
    expect((await sign('ra.roughness', { gaugedWith: 'specimen', gaugedValue: 1.2 })).body.problems).toMatchObject([{ code: 'out' }]);
    expect((await sign('ra.roughness', { gaugedWith: 'specimen', gaugedValue: 0.6 })).body).toMatchObject({
      measuredMm: 0.6,
      gaugedWith: 'specimen',
    });
    expect((await sign('ra.roughness', { gaugedWith: 'fingernail' })).body).toMatchObject({ measuredMm: null, gaugedWith: 'fingernail' });
    // Nothing at all is the best an indicator can show; a size of nothing is none.
    const swing = { purpose: 'proof', segmentId: 'true.off', instrumentId: 'tele', quantity: 'indicator' } as const;
    expect((await sign('true.off', { gaugedWith: 'eye' })).body.problems).toMatchObject([{ code: 'unmeasured' }]);
    expect((await call.post(routes.readings(made.jobId), readingBody(null, '0', { ...swing, quantity: 'size' }))).status).toBe(422);
    expect((await call.post(routes.readings(made.jobId), readingBody(null, '0', swing))).status).toBe(201);
    expect((await sign('true.off', { gaugedWith: 'eye' })).body).toMatchObject({ measuredMm: 0, gaugedWith: '' });
    expect(
      (await call.post(routes.readings(made.jobId), readingBody(null, '0', { ...swing, purpose: 'cut' }))).body.problems,
    ).toMatchObject([{ path: 'quantity' }]);
  });

  it('give one-page papers and a drawing', async () => {
    for (const path of [routes.slip(made.jobId), routes.report(made.jobId), routes.firstArticle(made.jobId)]) {
      const { headers, body } = await call
        .get(path)
        .buffer(true)
        .parse((res, done) => {
          const chunks: Buffer[] = [];
          res.on('data', (c: Buffer) => chunks.push(c));
          res.on('end', () => done(null, Buffer.concat(chunks)));
        });
      expect(headers['content-type']).toBe('application/pdf');
      const text = (body as Buffer).toString('latin1');
      expect(text.startsWith('%PDF-')).toBe(true);
      expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1);
    }
    const svg = await call.get(routes.drawing(made.jobId));
    expect(svg.headers['content-type']).toContain('image/svg+xml');
    expect((svg.body as Buffer).toString()).toContain('<title>1001 Ramp hinge pin</title>');
  });
});

it('keeps its place in the list when it is changed', async () => {
  const { jobId } = await makeJob(call);
  const note = (what: string) => ({ value: { what, where: '', settled: '', removed: false }, reason: '' });
  for (const key of ['fragment:b', 'fragment:a']) await call.put(routes.choice(jobId, key), note(key), '*');
  await call.put(routes.choice(jobId, 'fragment:b'), note('changed'), '"v1"');
  const { choices } = (await call.get(routes.sheet(jobId))).body;
  expect(choices.map((c: { key: string; version: number }) => [c.key, c.version])).toEqual([
    ['fragment:b', 2],
    ['fragment:a', 1],
  ]);
});
