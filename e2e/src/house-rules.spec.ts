import { openShop, type TestShop } from './support/shop';
import { visit, type Visit } from './support/visit';

/** The owner changes how the shop fits its pins, and sees first what that does. */
let shop: TestShop;
let maud: Visit;
let tomas: Visit;
beforeAll(async () => {
  shop = await openShop({ demo: true });
  [maud, tomas] = await Promise.all([visit(shop, 'maud'), visit(shop, 'tomas')]);
});
afterAll(async () => {
  await Promise.all([maud.close(), tomas.close()]);
  await shop.close();
});

it('a rule is changed only after it showed what it moves; the other screen follows by itself', async () => {
  await tomas.open('Rocker pivot', 'decide');
  await tomas.page.sees('Running in grease or dirt');
  const before = await tomas.page.text();
  await maud.page.go('/house-rules');
  await maud.page.fill('Base, negative for interference', '0.07 mm');
  await maud.page.click('See what it moves');
  await maud.page.sees('open jobs');
  await maud.page.sees('1001 Ramp hinge pin');
  await maud.page.sees('40.239 mm');
  await maud.page.click('Put it in force');
  await maud.page.sees('Why it is changed is needed.');
  await maud.page.fill('Why it is changed', 'The lake is full of grit this year.');
  await maud.page.click('Put it in force');
  await maud.page.sees('Running in grease or dirt is in force.');
  await maud.page.sees('The lake is full of grit this year.');
  await tomas.page.until('the new clearance to arrive', async () => (await tomas.page.text()) !== before);
  // A released part keeps its frozen numbers and marks what moved.
  await tomas.open('Ramp hinge pin', 'cut');
  await tomas.page.sees('The paper at the machine is no longer right.');
});

it('an old version is brought back', async () => {
  await maud.page.click('Bring back version 1');
  await maud.page.click('See what it moves');
  await maud.page.click('Put it in force');
  await maud.page.sees('Back to version 1.');
  const rows = await shop.query<{ version: number; base: number }>(
    `select version, (card ->> 'baseMm')::float8 as base from house_rule_changes where rule_id = 'grease' order by version`,
  );
  expect(rows.map((r) => [r.version, Number(r.base.toFixed(4))])).toEqual([
    [1, 0.0508],
    [2, 0.07],
    [3, 0.0508],
  ]);
});
