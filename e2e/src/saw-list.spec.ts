import { seriousProblems } from './support/axe';
import { atTheBench } from './support/at-the-bench';
import { visit } from './support/visit';

/** What open jobs have to have sawn lies over the bars of the rack; a bar that was sawn is counted down, its rest is back, and it can be undone. */
const bench = atTheBench('tomas');

const left = async (): Promise<{ pieces: number; offcuts: number }> => {
  const [row] = await bench.shop.query<{ pieces: number; offcuts: number }>(
    `select (select pieces from bars where diameter_mm = 45 and length_mm = 910) as pieces,
            (select count(*)::int from bars where place = 'offcuts' and diameter_mm = 45 and not removed) as offcuts`,
  );
  return row!;
};

it('lays the shaft out over the bar that its plan takes, and says where the stop is set', async () => {
  const { page } = bench;
  await page.go('/rack');
  await page.click('Saw list');
  await page.sees('1 blank from 1 bar');
  // 155 long, 1 mm to face at each end; the blade's 2.5 come on top.
  await page.sees('157.0');
  await page.sees('751 mm is left, back to the rack');
  expect(await seriousProblems(page)).toEqual([]);
});

it('sawn, the bar is one less, its rest lies with the offcuts, and the list is empty; undone, all is as it was', async () => {
  const { page } = bench;
  const before = await left();
  await page.click('Sawn: 45 round');
  await page.sees('Nothing to saw.');
  expect(await left()).toEqual({ pieces: before.pieces - 1, offcuts: before.offcuts + 1 });
  await page.click('Undo');
  await page.sees('1 blank from 1 bar');
  expect(await left()).toEqual(before);
});

it('whoever else looks at it sees it go', async () => {
  const other = await visit(bench.shop, 'maud');
  await other.page.go('/rack/saw');
  await other.page.sees('1 blank from 1 bar');
  await bench.page.click('Sawn: 45 round');
  await other.page.sees('Nothing to saw.');
  await other.close();
});
