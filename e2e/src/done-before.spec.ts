import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seriousProblems } from './support/axe';
import { anEmptyBench } from './support/empty-bench';

/** The same machine again: what was done to it before is told where the job is taken in, and that it came back is said with a touch. */
const bench = anEmptyBench();

it('a job like none before it is told nothing of others', async () => {
  const { page, hand } = bench();
  await hand.takeIn('Reel spindle', 'mm');
  await page.seesNot('Done before');
});

it('the next of its kind is told what was done, and the lesson', async () => {
  const { page, hand, shop } = bench();
  // Handed back: what a hand-over asks for has its own tests.
  await shop.query(
    `insert into choices (job_id, key, version, value, reason, person_id)
     select id, 'returned', 1, '{"lesson": "Grease both ends before it goes in"}', '', 'tomas' from jobs`,
  );
  await page.click('Floor');
  await hand.takeIn('Reel spindle, right', 'mm');
  await page.click('Receive');
  await page.sees('Done before');
  await page.sees('Lesson: Grease both ends before it goes in');
  await page.click('It is this one, come back');
  await page.fill('What did not hold', 'Seized again');
  await page.click('Say so');
  await page.sees('This is that one, come back: Seized again');
  await page.sees('Came back as 1002');
  expect(await seriousProblems(page)).toEqual([]);
});

it('an old list comes in by its columns, is found by a size, and goes out with everything else', async () => {
  const { page, shop } = bench();
  const file = join(mkdtempSync(join(tmpdir(), 'old-list-')), 'cards.csv');
  writeFileSync(file, 'Job no;Date;Customer;Machine;What;Work done\n17;4.12.2019;Orchard;Winch 2;Winch shaft;new shaft, 25 k6 seat\n');
  await page.click('Ledger');
  await page.sees('1 job handed back');
  await page.click('Bring in an old list');
  await (await page.css('input[type=file]')).sendKeys(file);
  await page.sees('Winch shaft');
  expect(await seriousProblems(page)).toEqual([]);
  await page.click('Bring in 1 job');
  await page.sees('1 job of cards.csv in the ledger.');
  await page.click('Ledger');
  await page.fill('What to look for in the ledger', '25 k6 seat');
  await page.sees('1 job found.');
  await page.sees('from an old list');
  await page.run(`window.taken = 0; HTMLAnchorElement.prototype.click = function () { window.taken = this.download; };`);
  await page.click('Take everything out');
  await page.until('the file', () => page.run<boolean>('return /^iron-patch-.*\\.zip$/.test(window.taken)'));
  expect(await shop.query('select title from old_jobs')).toEqual([{ title: 'Winch shaft' }]);
  expect(await seriousProblems(page)).toEqual([]);
});
