import { testSheet } from '@iron-patch/core/testing';
import { FakeServer, problem } from '../../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { Receive } from './receive';

let server: FakeServer;
const open = async () => {
  server = new FakeServer();
  const store = await openSheet(server);
  return { store, fixture: await show(Receive) };
};

it('shows what was received and saves it at the version that was read', async () => {
  const { fixture } = await open();
  expect(fixture.nativeElement.querySelector('input[name=title]').value).toBe('Ramp hinge pin');
  await type(fixture, 'input[name=title]', 'Ramp hinge pin, port');
  await press(fixture, 'Save');
  await breathe();
  expect(server.changes()[0]).toMatchObject({
    method: 'PUT',
    headers: { 'If-Match': '"v1"' },
    body: { title: 'Ramp hinge pin, port', pieces: 2, hazards: ['vessel'] },
  });
});

it('tells each field what is wrong after the first try, and sends nothing', async () => {
  const { fixture } = await open();
  await type(fixture, 'input[name=customer]', '');
  await type(fixture, 'input[name=pieces]', 'some');
  await type(fixture, 'input[name=temp]', '19,5');
  await press(fixture, 'Save');
  const text = words(fixture);
  expect(text).toContain('Customer is needed.');
  expect(text).toContain('"some" is not a number.');
  expect(text).toContain('2 things to put right:');
  expect(fixture.nativeElement.querySelector('input[name=temp]').getAttribute('aria-invalid')).toBeNull();
  expect(server.changes()).toEqual([]);
});

it('shows the caution as soon as its box is ticked', async () => {
  const { fixture } = await open();
  const boxes = [...fixture.nativeElement.querySelectorAll('input[type=checkbox]')] as HTMLInputElement[];
  boxes.find((b) => b.closest('label')!.textContent.includes('Held fuel'))!.click();
  await fixture.whenStable();
  expect(words(fixture)).toContain('No hot work without proper cleaning');
});

it('does not wipe what is typed when another saves, and asks before saving over it', async () => {
  const { store, fixture } = await open();
  await type(fixture, 'input[name=title]', 'Mine');
  const { job } = testSheet();
  server.sheet = testSheet({ job: { ...job, title: 'Theirs', version: 2 } });
  await store.refresh();
  await fixture.whenStable();
  expect(fixture.nativeElement.querySelector('input[name=title]').value).toBe('Mine');
  server.replies.push(problem(412, { current: { version: 2 } }));
  await press(fixture, 'Save');
  await breathe();
  expect(server.changes()[0]!.headers['If-Match']).toBe('"v1"');
  expect(store.conflict()!.what).toBe('what was received');
});

it('takes another’s change over while nothing is typed here', async () => {
  const { store, fixture } = await open();
  const { job } = testSheet();
  server.sheet = testSheet({ job: { ...job, title: 'Theirs', version: 2 } });
  await store.refresh();
  await fixture.whenStable();
  expect(fixture.nativeElement.querySelector('input[name=title]').value).toBe('Theirs');
});
