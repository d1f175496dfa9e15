import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { FloorJob } from '@iron-patch/contract';
import { STATIONS, type StationStanding } from '@iron-patch/core';
import { patchState } from '@ngrx/signals';
import { unprotected } from '@ngrx/signals/testing';
import { FakeServer } from '../../testing/fake-server';
import { press, show, type, words } from '../../testing/open-sheet';
import { FloorStore } from '../data';
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

const floor = async (jobs: readonly FloorJob[] | null, failed = false) => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideRouter([])] });
  const server = new FakeServer();
  server.down = true;
  const fixture = await show(Floor);
  patchState(unprotected(TestBed.inject(FloorStore)), { jobs, failed });
  await fixture.whenStable();
  return fixture;
};
const numbers = (fixture: Awaited<ReturnType<typeof floor>>): string[] =>
  [...fixture.nativeElement.querySelectorAll('.number')].map((e: Element) => e.textContent);

it('puts what is wrong first, then by promise, what is returned last', async () => {
  const fixture = await floor([
    job(1, { promisedOn: '2030-03-01' }),
    job(2, { next: null, promisedOn: '2029-01-01' }),
    job(3, { promisedOn: '2030-02-01' }),
    job(4, { promisedOn: null }),
    job(5, { next: { id: 'cut', state: 'out', waitsFor: '3 released numbers moved' }, promisedOn: '2031-01-01' }),
  ]);
  expect(numbers(fixture)).toEqual(['5', '3', '1', '4', '2']);
  expect(words(fixture)).toContain('Returned');
  expect(words(fixture)).toContain('no date');
});

it('says what is late', async () => {
  expect(words(await floor([job(1, { promisedOn: '2020-01-01' })]))).toContain('late');
  expect(words(await floor([job(1, { promisedOn: '2020-01-01', next: null })]))).not.toContain('late');
});

it('finds by any words and shows the way back', async () => {
  const fixture = await floor([job(1, { machine: 'Reel mower' }), job(2, { title: 'Crank pin' })]);
  await type(fixture, 'input[type=search]', 'mower lake');
  expect(numbers(fixture)).toEqual(['1']);
  await type(fixture, 'input[type=search]', 'submarine');
  expect(words(fixture)).toContain('No job has “submarine” in it.');
  await press(fixture, 'Show all 2');
  expect(numbers(fixture)).toHaveLength(2);
});

it('has words for nothing yet and for a server that does not answer', async () => {
  expect(words(await floor([]))).toContain('No jobs yet.');
  expect(words(await floor(null, true))).toContain('The server does not answer.');
});

it('puts a job that cannot be worked out on top, and says what to do', async () => {
  const fixture = await floor([job(1), job(2, { trouble: true, stations: [], next: null })]);
  expect(numbers(fixture)).toEqual(['2', '1']);
  expect(words(fixture)).toContain('Cannot be worked out Open it and take back what was done last; tell us.');
  expect(words(fixture)).not.toContain('Returned');
});
