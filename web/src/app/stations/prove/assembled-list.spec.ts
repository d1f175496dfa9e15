import { choiceKey } from '@iron-patch/core';
import { testChoice, testJob, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { AssembledList } from './assembled-list';

const stack = testChoice(choiceKey.stack('job'), { shoulder: '', grooveId: '', pieces: [], leastMm: 0.05, mostMm: 0.15 });
const made = testChoice(choiceKey.item('job'), {
  ...{ kind: 'make', name: 'Pin', quantity: 1, componentIds: [], route: '', position: 0, steps: [], cuts: [], size: '', source: '' },
  ...{ leadDays: null, here: false, after: [], tried: '', givesWay: false, off: false },
});

let server: FakeServer;
const list = async () => {
  server = new FakeServer(testSheet({ choices: [stack, made], job: { ...testJob, hazards: ['pressure'] } }));
  await openSheet(server);
  return show(AssembledList);
};
const sent = () => server.changes().map((c) => [c.path.split('/choices/')[1], (c.body as { value: unknown }).value]);

it('asks for what the job asks for, with what to mind', async () => {
  const said = words(await list());
  expect(said).toContain('End play by the indicator, pushed and pulled 0.050 to 0.150 mm');
  expect(said).toContain('Never with air.');
});

it('wants the size where one is measured, and the reason where it is not good', async () => {
  const fixture = await list();
  await press(fixture, 'Say how it came out: End play');
  await press(fixture, 'Good');
  expect(words(fixture)).toContain('Say what it shows.');
  await type(fixture, 'ip-length input', '0.2');
  await press(fixture, 'Not good');
  expect(words(fixture)).toContain('Say what was wrong.');
  expect(sent()).toEqual([]);
  await press(fixture, 'Good');
  await fixture.whenStable();
  expect(sent()).toEqual([
    ['assembled:end-play', { what: 'End play by the indicator, pushed and pulled', state: 'good', measuredMm: 0.2, remark: '' }],
  ]);
  // It is put on record as it was, and told to be outside.
  expect(words(fixture)).toContain('outside what was wanted 0.200 mm');
});

it('takes what else was tried, in the words of whoever tried it', async () => {
  const fixture = await list();
  await press(fixture, 'Something else that was tried');
  await type(fixture, 'ip-text input', 'Blade runs clear of the deck');
  await press(fixture, 'It is good');
  await fixture.whenStable();
  expect(sent()[0]![1]).toMatchObject({ what: 'Blade runs clear of the deck', state: 'good' });
});
