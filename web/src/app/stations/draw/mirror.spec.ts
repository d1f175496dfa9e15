import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, words } from '../../../testing/open-sheet';
import { Draw } from './draw';

it('mirrors the drawing in one press, says what has a hand, and forgets it as any change', async () => {
  const thread = {
    id: 't',
    kind: 'thread',
    on: 'body',
    name: 'Thread',
    end: 'right',
    thread: 'M40 x 1.5',
    threadClass: '',
    lengthMm: 20,
    hand: 'right',
    starts: 1,
  };
  const part = { ...drawnPin(), features: [thread] };
  const sheet = testSheet({ job: { ...testSheet().job, changes: ['other-hand'] }, choices: [testChoice(choiceKey.part, part)] });
  const store = await openSheet(new FakeServer(sheet));
  const fixture = await show(Draw);
  expect(words(fixture)).toContain('Asked for at Receive: the other hand.');
  await press(fixture, 'Mirror end for end');
  expect(store.draftPart()).toMatchObject({ outside: [{ id: 'body' }, { id: 'head' }], features: [{ end: 'left', hand: 'right' }] });
  expect(words(fixture)).toContain('The hand of thread stays');
  await press(fixture, 'Forget the changes');
  expect(store.draftPart()).toBeNull();
});
