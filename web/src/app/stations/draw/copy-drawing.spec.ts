import { choiceKey, type Part } from '@iron-patch/core';
import { drawnPin, testChoice, testSheet } from '@iron-patch/core/testing';
import type { FloorJob } from '@iron-patch/contract';
import { FakeServer } from '../../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { CopyDrawing } from './copy-drawing';
import { DrawingHistory } from './drawing-history';

const other = testSheet({
  job: { ...testSheet().job, id: 'other', number: 1007, title: 'Old hinge' },
  choices: [testChoice(choiceKey.part, drawnPin())],
});
const onFloor = {
  id: 'other',
  number: 1007,
  title: 'Old hinge',
  machine: 'Gate',
  customerName: 'Osmere',
  next: null,
} as unknown as FloorJob;

async function looking(jobs: readonly FloorJob[]) {
  const server = new FakeServer();
  server.jobs = jobs;
  server.others.push(other);
  await openSheet(server);
  const fixture = await show(CopyDrawing);
  const taken: Part[] = [];
  fixture.componentInstance.taken.subscribe((p) => taken.push(p));
  await type(fixture, 'input', 'hinge');
  return { server, fixture, taken };
}

it('finds the drawings of other jobs and begins with one, without what it fitted there', async () => {
  const { fixture, taken } = await looking([onFloor]);
  await press(fixture, 'Find its drawings');
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).toContain('Hinge pin of job 1007 Old hinge 2 diameters, 120.000 mm over all');
  await press(fixture, 'Begin with it');
  expect(taken[0]!.outside.map((s) => [s.id, s.fitsPlaceIds])).toEqual([
    ['head', []],
    ['body', []],
  ]);
});

it('says where nothing is drawn, and where no answer came', async () => {
  const { server, fixture } = await looking([]);
  await press(fixture, 'Find its drawings');
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).toContain('No job that these words find has a drawing.');
  server.down = true;
  await press(fixture, 'Find its drawings');
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).not.toContain('Looking for drawings');
});

it('every drawing that was saved is told with who, why and what changed, and comes back', async () => {
  const pin = drawnPin();
  const longer = { ...pin, outside: pin.outside.map((s) => (s.id === 'body' ? { ...s, lengthMm: 130 } : s)) };
  const now = { ...testChoice(choiceKey.part, longer), version: 2, reason: 'The lugs are wider' };
  const server = new FakeServer(testSheet({ choices: [now] }));
  server.history = [now, testChoice(choiceKey.part, pin)];
  const store = await openSheet(server);
  const fixture = await show(DrawingHistory);
  const details = (fixture.nativeElement as HTMLElement).querySelector('details')!;
  details.open = true;
  details.dispatchEvent(new Event('toggle'));
  await fixture.whenStable();
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).toContain('The lugs are wider');
  expect(words(fixture)).toContain('Length of body 130.000, was 111.600.');
  await press(fixture, 'Bring it back: the drawing of version 1');
  expect(store.draftPart()!.outside[1]!.lengthMm).toBeCloseTo(111.6, 6);
});
