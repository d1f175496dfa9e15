import { randomUUID } from 'node:crypto';
import { seriousProblems } from './support/axe';
import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** A hole that is bored true after it was measured, and a shaft that stays while the new part's hole is sized to it. */
let shop: TestShop;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  tomas = await visit(shop);
});
afterAll(async () => {
  await tomas.close();
  await shop.close();
});

const states = (): Promise<{ after: boolean; text: string }[]> =>
  shop.query(
    `select after_act_id is not null as after, text from readings r join places f on f.id = r.place_id
     where f.name = 'Arm bore' order by r.seq`,
  );

it('reads a hole again after it is bored, beside what was found', async () => {
  const { page, line } = tomas;
  await tomas.open('Rocker pivot', 'strip');
  await page.click('Point of no return');
  await page.choose('What is done', 'Bore, hone or ream true');
  await page.choose('To which component', 'Rocker arm');
  await page.choose('Which place of it', 'Arm bore');
  await page.click('Put it on the plan');
  await page.fill('Why it goes ahead all the same (kept)', 'Bored on the mill today.');
  await page.click('Go ahead without');
  await page.click('It is done');
  await tomas.open('Rocker pivot', 'measure');
  await page.click('Arm bore');
  await page.sees('after act 1, bored');
  const before = (await states()).length;
  await page.until('the line to stand after the act', async () => (await line.where()).includes('after act 1, bored'));
  await line.takeAll(['0.5120', '0.5121', '0.5120', '0.5120']);
  await page.until('four readings after the act', async () => (await states()).filter((r) => r.after).length === 4);
  expect((await states()).filter((r) => !r.after)).toHaveLength(before);
  await page.sees('Side by side');
  await page.sees('after act 1, bored 4');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('as found');
  await page.until('the line to stand as found', async () => !(await line.where()).includes('after act'));
});

it('sizes the new pin by the hole as it is now', async () => {
  const { page } = tomas;
  await tomas.open('Rocker pivot', 'decide');
  await page.sees('0.51');
  await page.click('largest the new part may be');
  await page.sees('after act 1, bored');
});

it('sizes the hole of the new part to a shaft that stays', async () => {
  const { page } = tomas;
  const id = await tomas.open('Rocker pivot', 'strip');
  const post = async (path: string, body: object): Promise<{ id: string }> =>
    (await (
      await fetch(`${shop.address}/api/jobs/${id}/${path}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-Person': 'tomas', 'Idempotency-Key': randomUUID() },
        body: JSON.stringify(body),
      })
    ).json()) as { id: string };
  const sheet = (await (await fetch(`${shop.address}/api/jobs/${id}/sheet`)).json()) as {
    components: { id: string; role: string }[];
    places: { detail: object; instrumentId: string }[];
  };
  const worn = sheet.components.find((c) => c.role === 'worn')!;
  const place = (more: object): object => ({
    kind: 'diameter',
    suspicions: [],
    detail: { ...sheet.places[0]!.detail, oneSizeWithId: null },
    startMm: 0,
    lengthMm: 20,
    land: 'worn',
    matesPlaceId: null,
    stationsMm: [5],
    clocksDeg: [0, 90],
    instrumentId: 'mic-0-1-in',
    ...more,
  });
  const pump = await post('components', {
    parentId: null,
    name: 'Pump rod end',
    role: 'mate',
    materialId: 'steel-c45',
    axisOffsetMm: 0,
    verdict: 'reuse',
    asFound: '',
  });
  const eye = await post('places', place({ componentId: worn.id, name: 'Eye of the pivot', side: 'inside', instrumentId: 'tele' }));
  const rod = await post('places', place({ componentId: pump.id, name: 'Rod stub', side: 'outside', matesPlaceId: eye.id }));
  for (const clockDeg of [0, 90])
    await post('readings', {
      id: randomUUID(),
      purpose: 'found',
      placeId: rod.id,
      segmentId: null,
      quantity: 'size',
      stationMm: 5,
      clockDeg,
      text: '0.3120 in',
      unit: 'in',
      instrumentId: 'mic-0-1-in',
      partTempC: null,
      dial: null,
      takenAt: new Date().toISOString(),
      supersedesId: null,
      withdrawn: false,
      confirmed: true,
    });
  await tomas.open('Rocker pivot', 'decide');
  await page.sees('Rod stub stays');
  await page.sees('Not known yet');
  await page.run('document.querySelector("ip-bore-desk").scrollIntoView()');
  await page.fill('Own target: smallest the bore may be', '0.3130');
  await page.click('Own target, keep the shaft, bore');
  await page.until('it to be stored', async () => {
    const [c] = await shop.query<{ school: string }>(
      `select value ->> 'schoolId' as school from choices where key = 'fit:${rod.id}' order by version desc limit 1`,
    );
    return c?.school.startsWith('own:0.0254');
  });
  await page.sees('bore at least');
  expect(await seriousProblems(page)).toEqual([]);
});
