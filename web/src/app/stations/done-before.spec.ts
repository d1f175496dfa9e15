import { choiceKey, type DoneBefore } from '@iron-patch/core';
import { testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../testing/open-sheet';
import { DoneBeforePanel } from './done-before';

const OTHER = '1b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
const before = (more: Partial<DoneBefore> = {}): DoneBefore => ({
  ...{ jobId: OTHER, number: 1003, title: 'Ramp pin', customerName: 'Ferry', machine: 'Ramp', returnedAt: '2026-10-14T09:00:00Z' },
  ...{ cause: 'ran dry', route: 'new pin', lesson: 'Grease it', estimatedMin: 120, tookMin: 210, cameBack: [], score: 5 },
  ...{ because: ['the same machine'] },
  ...more,
});

let server: FakeServer;
const panel = async (alike: readonly DoneBefore[], links = true) => {
  server = new FakeServer(testSheet());
  server.alike = alike;
  await openSheet(server);
  const fixture = await show(DoneBeforePanel, { links });
  await breathe();
  await fixture.whenStable();
  return fixture;
};

it('tells what was done, what it took, the lesson and why it is like this one; nothing where nothing is', async () => {
  const text = words(await panel([before()]));
  expect(text).toContain('handed back 14 Oct 2026');
  expect(text).toContain('the same machine');
  expect(text).toContain('It was: ran dry. Done: new pin.');
  expect(text).toContain('Took 3.5 h, estimated at 2.0 h.');
  expect(text).toContain('Lesson: Grease it');
  expect(words(await panel([]))).toBe('');
});

it('takes that this is one of them come back, with what did not hold, and takes it back', async () => {
  const fixture = await panel([before(), before({ jobId: '2b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d', number: 1004, returnedAt: null })]);
  // What is still here did not come back.
  expect((fixture.nativeElement as HTMLElement).querySelectorAll('button')).toHaveLength(1);
  await press(fixture, 'It is this one, come back');
  const form = (fixture.nativeElement as HTMLElement).querySelector('form')!;
  form.dispatchEvent(new Event('submit'));
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).toContain('Say what did not hold.');
  expect(server.changes()).toEqual([]);
  await type(fixture, 'input[name=comebackWhy]', 'Bangs again');
  form.dispatchEvent(new Event('submit'));
  await breathe();
  await fixture.whenStable();
  expect(server.changes()[0]!.path).toContain(choiceKey.comeback);
  expect(server.changes()[0]!.body).toMatchObject({ value: { ofJobId: OTHER, why: 'Bangs again' } });
  expect(words(fixture)).toContain('This is that one, come back: Bangs again');
  await press(fixture, 'It is not');
  await breathe();
  expect(server.changes()[1]!.body).toMatchObject({ value: null });
});
