import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { breathe, openSheet, show, type, words } from '../../../testing/open-sheet';
import { ReadQueue } from '../../sheet-data';
import { PencilLine } from './pencil-line';

// The test's page has none.
globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value)) as never;

/** The line with a reading of the line before still in the line at the foot. */
async function held() {
  const server = new FakeServer();
  await openSheet(server);
  const queue = TestBed.inject(ReadQueue);
  queue.take({ placeId: 'barrel', spot: { stationMm: 20, clockDeg: 0, quantity: 'size' }, text: '40.22' });
  const fixture = await show(PencilLine, { first: true });
  const field = (): HTMLInputElement => fixture.nativeElement.querySelector('#pencil');
  const enter = async (): Promise<void> => {
    fixture.nativeElement.querySelector('form').dispatchEvent(new Event('submit'));
    await fixture.whenStable();
  };
  const places = () => server.changes().filter((c) => c.path.includes('/places'));
  const settle = async (): Promise<void> => {
    queue.settled();
    for (let i = 0; i < 4; i++) {
      await breathe();
      await fixture.whenStable();
    }
  };
  return { fixture, field, enter, places, settle };
}

it('Enter behind a line that is still on its way is kept: the line goes by itself once that is settled', async () => {
  const { fixture, field, enter, places, settle } = await held();
  await type(fixture, '#pencil', 'Hinge pin / nose: 20');
  await enter();
  expect(words(fixture)).toContain('40.22 of the line before stands in the line at the foot: settle that first.');
  expect(places()).toEqual([]);
  await settle();
  expect(places()).toHaveLength(1);
  expect(field().value).toBe('');
});

it('not so where it was typed on meanwhile, nor where nobody pressed Enter', async () => {
  const { fixture, field, enter, places, settle } = await held();
  await type(fixture, '#pencil', 'Hinge pin / nose: 20');
  await enter();
  await type(fixture, '#pencil', 'Hinge pin / nose: 20 21');
  await settle();
  expect(places()).toEqual([]);
  expect(field().value).toBe('Hinge pin / nose: 20 21');
  await enter();
  await settle();
  expect(places()).toHaveLength(1);
});
