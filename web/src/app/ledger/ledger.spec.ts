import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { LedgerPage, LedgerSums } from '@iron-patch/contract';
import { testShop } from '@iron-patch/core/testing';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { press, show, type, words } from '../../testing/open-sheet';
import { ShopStore } from '../data';
import { Ledger } from './ledger';

const row = (number: number, more: Partial<LedgerPage['rows'][number]> = {}): LedgerPage['rows'][number] => ({
  ...{ jobId: `j${number}`, number: String(number), title: 'Ramp pin', customerName: 'Ferry', machine: 'Ramp', returnedOn: '2026-10-14' },
  ...{ notPassed: false, cause: 'ran dry', route: 'new pin', lesson: 'Grease it', sizes: [], cameBack: [] },
  ...more,
});
const page = (more: Partial<LedgerPage & LedgerSums> = {}): LedgerPage & LedgerSums => ({
  rows: [row(1003, { cameBack: [{ jobId: 'j9', number: 1009 }] }), row(1001, { notPassed: true })],
  found: 60,
  causes: [
    { id: 'dry', jobs: 4, cameBack: 1 },
    { id: '', jobs: 2, cameBack: 0 },
  ],
  routes: [{ id: 'new pin', jobs: 3, cameBack: 1 }],
  promised: { kept: 5, late: 1 },
  ...more,
});

let server: FakeServer;
const rest = (): Promise<void> => new Promise((r) => setTimeout(r, 200));
const open = async (ledger: LedgerPage & LedgerSums) => {
  server = new FakeServer();
  server.ledger = ledger;
  server.shop = { ...testShop, took: Array.from({ length: 8 }, () => ({ act: 'turn', estimatedMin: 60, tookMin: 120 })) };
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, provideRouter([])] });
  await TestBed.inject(ShopStore).load();
  const fixture = await show(Ledger);
  await rest();
  await fixture.whenStable();
  return fixture;
};
const asked = (): string[] => server.asked.map((a) => decodeURIComponent(a.path)).filter((p) => p.startsWith('/api/ledger?'));

it('tells what was handed back, what came back, and what it all comes to', async () => {
  const text = words(await open(page()));
  expect(text).toContain('60 jobs handed back.');
  expect(text).toContain('1003 Ramp pin');
  expect(text).toContain('Came back as 1009');
  expect(text).toContain('handed over, not passed');
  expect(text).toContain('Ran dry 4 , 1 came back');
  expect(text).toContain('no cause of the list 2');
  expect(text).toContain('5 of 6 handed back by the day that was promised');
  expect(text).toMatch(/turn 1\.\d\d 8/);
});

it('looks for words once the hand rests, shows more, and says when nothing is there', async () => {
  const fixture = await open(page());
  await press(fixture, 'Show more');
  await rest();
  expect(asked().at(-1)).toBe('/api/ledger?find=&upTo=90');
  server.ledger = page({ rows: [], found: 0 });
  await type(fixture, 'input[type=search]', 'gland');
  await rest();
  await fixture.whenStable();
  expect(asked().at(-1)).toBe('/api/ledger?find=gland&upTo=30');
  expect(words(fixture)).toContain('No job that was handed back is like that.');
  expect(words(await open(page({ rows: [], found: 0, causes: [], routes: [], promised: { kept: 0, late: 0 } })))).toContain(
    'Nothing was handed back yet.',
  );
});

it('keeps what it has where no answer comes, and says so', async () => {
  const fixture = await open(page());
  server.down = true;
  await type(fixture, 'input[type=search]', 'x');
  await rest();
  await fixture.whenStable();
  expect(words(fixture)).toContain('The server does not answer');
  expect(words(fixture)).toContain('1003 Ramp pin');
});

it('shows which sizes are the one that was looked for, and what is of an old list, which has no sheet', async () => {
  const size = { name: 'Bush, bore', mm: 25.0112, kind: 'made' as const, words: 'H7' };
  const fixture = await open(
    page({ rows: [row(1003, { sizes: [size, size, size, size, size] }), row(17, { jobId: null, returnedOn: null })] }),
  );
  const text = words(fixture);
  expect(text.match(/25\.011 mm, Bush, bore, made: H7/g)).toHaveLength(4);
  expect(text).toContain('Ferry, Ramp; no day said; from an old list');
  const links = [...(fixture.nativeElement as HTMLElement).querySelectorAll('article a')].map((a) => a.getAttribute('href'));
  expect(links).toContain('/jobs/j1003');
  expect(links).not.toContain('/jobs/j17');
});

it('asks for days and for one machine alone', async () => {
  const fixture = await open(page());
  fixture.componentRef.setInput('machineOf', 'j1003');
  await type(fixture, 'input[name=from]', '1 Oct 2026');
  await rest();
  await fixture.whenStable();
  expect(asked().at(-1)).toBe('/api/ledger?find=&from=2026-10-01&machineOf=j1003&upTo=30');
  expect(words(fixture)).toContain('One machine alone');
  expect(words(fixture)).toContain('60 jobs found.');
});
