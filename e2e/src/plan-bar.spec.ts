import { atTheBench } from './support/at-the-bench';

/** A bar that is not in the list is put on the rack where one stands, and sawn from at once. */
const bench = atTheBench('tomas');

it('is written in one line at Plan, is on the rack, and the plan takes it', async () => {
  const { page } = bench;
  await bench.visit.open('Ramp hinge pin', 'plan');
  await page.click('Another bar');
  await page.fill('A bar, a tube or an offcut', '60 x 400 C45 black, under the bench');
  await page.sees('Understood, in mm: 60 x 400 round, black, under the bench');
  await page.click('Put it on the rack');
  const [bar] = await page.until('the bar', async () => {
    const rows = await bench.shop.query<{ id: string }>(`select id from bars where place = 'under the bench'`);
    return rows.length ? rows : null;
  });
  await page.until('the plan to take it', async () => {
    const [plan] = await bench.shop.query<{ bar: string }>(
      `select value ->> 'barId' as bar from choices c join jobs j on j.id = c.job_id
       where j.title = 'Ramp hinge pin' and key = 'plan' order by c.version desc limit 1`,
    );
    return plan!.bar === bar!.id;
  });
  await page.seesNot('No other bar');
});
