import { routes, type SearchResource } from '@iron-patch/contract';
import { caller, componentBody, jobBody, makeJob, readingBody, type Caller } from '../testing/caller';
import { openTestShop, type TestShop } from '../testing/test-database';

let shop: TestShop;
let call: Caller;
beforeAll(async () => {
  shop = await openTestShop();
  call = caller(shop);
});
afterAll(() => shop.close());

const find = async (text: string): Promise<SearchResource> =>
  (await call.get(`${routes.search}?for=${encodeURIComponent(text)}`)).body as SearchResource;
const told = async (text: string): Promise<string[]> => (await find(text)).hits.map((h) => `${h.kind} ${h.words}`);

it('finds nothing for nothing, and in an empty shop', async () => {
  expect(await find('')).toEqual({ hits: [], alike: false });
  expect(await find('hinge')).toEqual({ hits: [], alike: true });
});

describe('in a shop', () => {
  let jobId: string;
  let bodyId: string;
  beforeAll(async () => {
    ({ jobId, bodyId } = await makeJob(call));
    await call.post(
      routes.jobs,
      jobBody({ title: 'Rocker pivot', customerName: 'Well keepers', machine: 'Well pump', complaint: 'Knocks' }),
    );
    await call.post(routes.notes(jobId), { station: 'cut', text: 'Chatter under 200 rpm, steady with the tailstock in' });
    await call.post(routes.readings(jobId), readingBody(bodyId, '39.912'));
    // Handed back twice over: a job that is hardly begun cannot be handed back through the door.
    await shop.pool.query(
      `insert into choices (job_id, key, version, value, reason, person_id) values
         ($1, 'returned', 1, '{"lesson": "Oil it"}', '', 'tomas'),
         ($1, 'returned', 2, '{"lesson": "Grease the barrel before it goes together"}', '', 'tomas')`,
      [jobId],
    );
  });

  it('finds a job by its number, its customer, and words of its complaint, all of which it must have', async () => {
    expect((await find('rocker')).hits).toMatchObject([{ kind: 'job', title: 'Rocker pivot', station: 'receive', valueMm: null }]);
    expect((await find('KEEPERS knocks')).hits).toHaveLength(1);
    expect((await find('keepers bangs')).alike).toBe(true);
    const { number } = (await find('rocker')).hits[0]!;
    expect((await find(String(number))).hits.map((h) => h.title)).toContain('Rocker pivot');
  });

  it('finds places, notes and lessons, and says where they stand', async () => {
    expect((await find('chatter')).hits).toMatchObject([{ kind: 'note', jobId, station: 'cut' }]);
    expect((await find('body')).hits.find((h) => h.kind === 'place')).toMatchObject({ jobId, station: 'measure', placeId: bodyId });
    expect((await find('grease together')).hits).toMatchObject([{ kind: 'lesson', jobId, station: 'return' }]);
    // What was said first is no longer what stands.
    expect((await told('oil it')).filter((w) => w.includes('Oil it'))).toEqual([]);
  });

  it('finds a size by what was read, as closely as it is typed, and no reading that was taken back or put right', async () => {
    const sizes = async (text: string): Promise<(number | null)[]> =>
      (await find(text)).hits.filter((h) => h.kind === 'size').map((h) => h.valueMm);
    expect(await sizes('39.9')).toEqual([39.912]);
    expect(await sizes('39.91')).toEqual([39.912]);
    expect(await sizes('39.92')).toEqual([]);
    expect(await sizes('1.571')).toEqual([39.912]);
    const wrong = readingBody(bodyId, '39.5', { stationMm: 20 });
    await call.post(routes.readings(jobId), wrong);
    expect(await sizes('39.50')).toEqual([39.5]);
    await call.post(routes.readings(jobId), readingBody(bodyId, '39.8', { stationMm: 20, supersedesId: wrong.id }));
    expect(await sizes('39.50')).toEqual([]);
    expect(await sizes('39.80')).toEqual([39.8]);
  });

  it('finds what is spelt alike where nothing has the word', async () => {
    const { hits, alike } = await find('rokcer pivott');
    expect(alike).toBe(true);
    expect(hits[0]).toMatchObject({ kind: 'job', title: 'Rocker pivot' });
    expect((await find('zzqx')).hits).toEqual([]);
  });

  it('takes signs of patterns for what they are', async () => {
    await call.post(routes.notes(jobId), { station: 'cut', text: 'runs at 100% load_' });
    expect(await told('100%')).toEqual(['note runs at 100% load_']);
    expect(await told('%')).toEqual(['note runs at 100% load_']);
    expect(await told("'; drop table jobs; --")).toEqual([]);
    expect((await call.get(`${routes.search}?for=a&for=b`)).status).toBeLessThan(500);
    expect((await find('x'.repeat(5000))).hits).toEqual([]);
  });

  it('takes a component for what it is called and how it was found', async () => {
    await call.post(routes.components(jobId), componentBody({ name: 'Thrust washer', asFound: 'In two pieces' }));
    expect(await told('washer two')).toEqual(['component Thrust washer: In two pieces']);
  });
});
