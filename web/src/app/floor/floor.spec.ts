import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { FLOOR_PAGE, routes, type FloorJob } from '@iron-patch/contract';
import { STATIONS, type StationStanding } from '@iron-patch/core';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { press, show, type, words } from '../../testing/open-sheet';
import { Live } from '../data';
import { Floor } from './floor';

const stations: StationStanding[] = STATIONS.map((id) => ({ id, state: 'not-yet', waitsFor: '' }));
const job = (number: number, more: Partial<FloorJob> = {}): FloorJob => ({
  id: String(number),
  number,
  title: `Pin ${number}`,
  machine: '',
  customerName: 'Lake fishers',
  promisedOn: '2030-01-01',
  stations,
  next: { id: 'measure', state: 'not-yet', waitsFor: '12 more readings' },
  hazards: [],
  ...more,
});

let server: FakeServer;
const floor = async (jobs: readonly FloorJob[] | null) => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, provideRouter([])] });
  server = new FakeServer();
  server.jobs = jobs ?? [];
  server.down = jobs === null;
  const fixture = await show(Floor);
  await fixture.whenStable();
  await new Promise((r) => setTimeout(r, 50));
  await fixture.whenStable();
  return fixture;
};
const numbers = (fixture: Awaited<ReturnType<typeof floor>>): string[] =>
  [...fixture.nativeElement.querySelectorAll('.number')].map((e: Element) => e.textContent);

it('shows what is open in the order of the server, and what is returned where that is asked for', async () => {
  const fixture = await floor([
    job(5, { next: { id: 'cut', state: 'out', waitsFor: '3 released numbers moved' }, promisedOn: '2031-01-01' }),
    job(3, { promisedOn: '2030-02-01' }),
    job(4, { promisedOn: null }),
    job(2, { next: null, promisedOn: '2029-01-01' }),
  ]);
  expect(numbers(fixture)).toEqual(['5', '3', '4']);
  expect(words(fixture)).toContain('no date');
  await press(fixture, 'Show what is put away, 1');
  await fixture.whenStable();
  expect(numbers(fixture)).toEqual(['5', '3', '4', '2']);
  expect(words(fixture)).toContain('Returned');
});

it('fetches the jobs that changed and no others, each to its place', async () => {
  const fixture = await floor([
    job(1, { promisedOn: '2030-03-01' }),
    job(2, { promisedOn: '2030-04-01' }),
    job(3, { promisedOn: '2030-05-01' }),
  ]);
  const live = TestBed.inject(Live);
  const [one, , three] = server.jobs;
  server.asked.length = 0;
  server.jobs = [{ ...three!, promisedOn: '2030-01-01' }, { ...one!, next: null }, job(7, { promisedOn: '2030-03-09' })];
  for (const jobId of ['3', '1', '7']) live.news.next({ jobId, table: 'jobs', row: 'r', screen: 'x' });
  await new Promise((r) => setTimeout(r, 400));
  await fixture.whenStable();
  const ofFloor = server.asked.map((a) => a.path).filter((p) => p.startsWith(routes.floor));
  expect(ofFloor).toEqual([`${routes.floorRows}?ids=3,1,7`]);
  expect(numbers(fixture)).toEqual(['3', '7', '2']);
  live.news.next({ jobId: null, table: 'house_rule_changes', row: 'r', screen: 'x' });
  await new Promise((r) => setTimeout(r, 400));
  expect(server.asked.at(-1)!.path).toContain(`${routes.floor}?upTo=`);
});

it('shows the most urgent, and more of them by the page', async () => {
  const fixture = await floor(Array.from({ length: 130 }, (_, i) => job(i + 1)));
  expect(numbers(fixture)).toHaveLength(FLOOR_PAGE.first);
  expect(words(fixture)).toContain('60 of 130, the most urgent first.');
  await press(fixture, 'Show more');
  await fixture.whenStable();
  expect(numbers(fixture)).toHaveLength(2 * FLOOR_PAGE.first);
});

it('says what is late', async () => {
  expect(words(await floor([job(1, { promisedOn: '2020-01-01' })]))).toContain('late');
  const returned = await floor([job(1, { promisedOn: '2020-01-01', next: null })]);
  await press(returned, 'Show what is put away, 1');
  await returned.whenStable();
  expect(words(returned)).toContain('Returned');
  expect(words(returned)).not.toContain('late');
});

it('finds by any words and shows the way back', async () => {
  const fixture = await floor([job(1, { machine: 'Reel mower' }), job(2, { title: 'Crank pin' })]);
  const typed = async (text: string): Promise<void> => {
    await type(fixture, 'input[type=search]', text);
    await new Promise((r) => setTimeout(r, 200));
    await fixture.whenStable();
  };
  await typed('mower lake');
  expect(numbers(fixture)).toEqual(['1']);
  await typed('submarine');
  expect(words(fixture)).toContain('No job has “submarine” in it.');
  await press(fixture, 'Show all 2');
  await new Promise((r) => setTimeout(r, 50));
  await fixture.whenStable();
  expect(numbers(fixture)).toHaveLength(2);
});

it('has words for nothing yet and for a server that does not answer', async () => {
  expect(words(await floor([]))).toContain('No jobs yet.');
  expect(words(await floor(null))).toContain('The server does not answer.');
});

it('puts a job that cannot be worked out on top, and says what to do', async () => {
  const fixture = await floor([job(1), job(2)]);
  server.jobs = [job(1), job(2, { trouble: true, stations: [], next: null })];
  TestBed.inject(Live).news.next({ jobId: '2', table: 'choices', row: 'r', screen: 'x' });
  await new Promise((r) => setTimeout(r, 400));
  await fixture.whenStable();
  expect(numbers(fixture)).toEqual(['2', '1']);
  expect(words(fixture)).toContain('Cannot be worked out Open it and take back what was done last; tell us.');
  expect(words(fixture)).not.toContain('Returned');
});
