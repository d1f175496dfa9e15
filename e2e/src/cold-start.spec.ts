import { atTheBench } from './support/at-the-bench';

/** The program and what it last knew open without the server; what is typed then waits and goes by itself. */
const bench = atTheBench('tomas');

/** Leaves the shop's pages altogether, so that what comes next starts cold. */
const away = (): Promise<void> => bench.visit.browser.driver.get('about:blank');

it('keeps the whole program in the browser once it is loaded', async () => {
  const { page } = bench;
  await page.go('/');
  await page.workerReady();
  const cached = await page.until('the program to be kept', () =>
    page.run<readonly string[] | null>(
      `return (async () => {
         const kept = (await caches.keys()).filter((n) => n.endsWith(':assets:program:cache'));
         const files = kept.length ? (await (await caches.open(kept[0])).keys()).map((r) => new URL(r.url).pathname) : [];
         return files.includes('/index.html') && files.some((f) => f.startsWith('/worker-')) ? files : null;
       })()`,
    ),
  );
  expect(cached.filter((p) => p.endsWith('.woff2')).length).toBeGreaterThanOrEqual(6);
});

it('opens the floor, the crib, and a job that was open before, while the server is away, and says how old it all is', async () => {
  const { page, line } = bench;
  await bench.visit.open('Sprayer pump shaft', 'measure');
  await page.until('the line', async () => (await line.where()).startsWith('Seal track'));
  const job = await page.run<string>('return location.pathname');
  await away();
  await bench.shop.kill();
  await page.go('/');
  await page.sees('Sprayer pump shaft');
  await page.sees('No line to the server, all is as of');
  // A page that was never opened in this browser.
  await page.go('/crib');
  await page.sees('Outside mic');
  await page.go(job);
  await page.until('the line again', async () => (await line.where()).startsWith('Seal track'));
});

it('a reading that is typed then waits over another cold start, and is stored when the server is back', async () => {
  const { page, line } = bench;
  const job = await page.run<string>('return location.pathname');
  await line.take('19.903');
  await page.sees('1 reading kept here, not yet on the server');
  await away();
  await page.go(job);
  await page.sees('1 reading kept here, not yet on the server');
  await bench.shop.start();
  await page.seesNot('not yet on the server');
  await page.seesNot('No line to the server');
  expect(await bench.shop.query(`select 1 from readings where text = '19.903'`)).toHaveLength(1);
});

it('says of a job that this browser has never seen that it comes when the server is back, and papers are none of the program', async () => {
  const { page } = bench;
  const { browser } = bench.visit;
  const [other] = await bench.shop.query<{ id: string }>(
    `select id from jobs where title <> 'Sprayer pump shaft' order by number desc limit 1`,
  );
  // The server's own paper, not the program under its address.
  await page.go(`/jobs/${other!.id}/strip`);
  await page.css('ip-rail a.on');
  const type = await browser.driver.executeAsyncScript<string>(
    `const done = arguments[arguments.length - 1];
     fetch('/api/jobs/' + arguments[0] + '/label.pdf').then((r) => done(r.headers.get('Content-Type')));`,
    other!.id,
  );
  expect(type).toContain('application/pdf');
  const [third] = await bench.shop.query<{ id: string }>(
    `select id from jobs where title <> 'Sprayer pump shaft' and id <> '${other!.id}' order by number desc limit 1`,
  );
  await away();
  await bench.shop.kill();
  await page.go(`/jobs/${third!.id}/strip`);
  await page.sees('The sheet comes when it is back.');
  await bench.shop.start();
  await page.css('ip-rail a.on');
});

it('a browser takes it for a program that can be put on the screen', async () => {
  const { page } = bench;
  await page.go('/');
  const found = await page.run<{ icons: { sizes: string }[]; start_url: string; display: string }>(
    `return fetch(document.querySelector('link[rel=manifest]').href).then((r) => r.json())`,
  );
  expect(found).toMatchObject({ start_url: '/', display: 'standalone' });
  expect(found.icons.map((i) => i.sizes)).toEqual(expect.arrayContaining(['192x192', '512x512']));
});
