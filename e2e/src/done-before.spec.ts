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
