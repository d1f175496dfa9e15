import { mkdirSync } from 'node:fs';
import { openBrowser } from './support/browser';
import { Page } from './support/page';

/** The main views from the demo shop, one picture each. */
const VIEWS: readonly {
  file: string;
  job: string | null;
  station?: string;
  /** Scrolled to; the top otherwise. */
  to?: string;
  path?: string;
  type?: readonly [label: string, text: string];
  click?: readonly string[];
  wait: string;
  /** At the bench; Tomas otherwise. */
  person?: string;
}[] = [
  { file: 'floor', job: null, wait: 'Ramp hinge pin' },
  { file: 'receive', job: 'Ramp hinge pin', station: 'receive', wait: 'Customer' },
  { file: 'strip', job: 'Ramp hinge pin', station: 'strip', wait: 'Ramp barrel' },
  { file: 'measure', job: 'Ramp hinge pin', station: 'measure', click: ['Barrel bore'], wait: 'oval' },
  { file: 'bend', job: 'Grapple cylinder rod', station: 'measure', click: ['Rod, straightness'], to: 'ip-spot-grid', wait: 'bend of rod' },
  {
    file: 'no-return',
    job: 'Grapple cylinder rod',
    station: 'strip',
    click: ['Point of no return'],
    to: 'ip-no-return',
    wait: 'Press out',
  },
  { file: 'crib', job: null, path: '/crib', wait: 'Crib: instruments' },
  { file: 'rack', job: null, path: '/rack', type: ['A bar, a tube', '1 1/2 in x 14 in C45 black, bin 3'], wait: 'Understood' },
  { file: 'run-order', job: null, path: '/run-order', click: ['Put it in order', 'Close'], wait: 'Promises' },
  { file: 'shop', job: null, path: '/shop', wait: 'Knee mill', person: 'maud' },
  { file: 'decide', job: 'Rocker pivot', station: 'decide', to: 'ip-fit-desk', wait: 'True the hole' },
  { file: 'routes', job: 'Grapple cylinder rod', station: 'decide', to: 'ip-routes', wait: 'Ways to put it right' },
  { file: 'draw', job: 'Mixer drive shaft', station: 'draw', wait: 'Its row' },
  { file: 'plan', job: 'Mixer drive shaft', station: 'plan', click: ['2 All that must run true'], wait: 'Set-up 2' },
  { file: 'cut', job: 'Roller spindle', station: 'cut', wait: 'Next cut' },
  { file: 'prove', job: 'Ramp hinge pin', station: 'prove', click: ['Draw 400,000 plays'], wait: 'in 95 of 100' },
  {
    file: 'house-rules',
    job: null,
    path: '/house-rules',
    type: ['Base, negative for interference', '0.07'],
    click: ['See what it moves'],
    wait: 'open job',
    person: 'maud',
  },
  { file: 'sums', job: null, path: '/sums/sum/press', wait: 'force, greatest' },
  { file: 'return', job: 'Ramp hinge pin', station: 'return', wait: 'The report' },
];

const [address, directory, only, size] = process.argv.slice(2);
const [width, height] = (size || '1280x800').split('x').map(Number) as [number, number];
mkdirSync(directory!, { recursive: true });
const browser = await openBrowser({ width, height });
try {
  const page = new Page(browser.driver, address!);
  await page.go('/');
  const { jobs } = (await (await fetch(`${address}/api/floor?returned=1`)).json()) as { jobs: { id: string; title: string }[] };
  for (const view of VIEWS) {
    if (only && !only.split(',').includes(view.file)) continue;
    const id = jobs.find((j) => j.title === view.job)?.id;
    await page.run('localStorage.setItem("iron-patch.person", JSON.stringify(arguments[0]))', view.person ?? 'tomas');
    await page.go(view.path ?? (view.job === null ? '/' : `/jobs/${id}/${view.station}`));
    if (view.type) await page.fill(...view.type);
    for (const name of view.click ?? []) await page.click(name);
    await page.sees(view.wait);
    await page.run(view.to ? `document.querySelector('${view.to}').scrollIntoView()` : 'document.querySelector(".middle")?.scrollTo(0, 0)');
    await page.settled();
    await browser.screenshot(`${directory}/${view.file}.png`);
    process.stdout.write(`${view.file}.png\n`);
  }
} finally {
  await browser.close();
}
