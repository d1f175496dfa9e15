import { addedFeature, choiceKey, newPart, surface, type Part } from '@iron-patch/core';
import { testChoice, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { StackPanel } from './stack-panel';

const SHAFT: Part = addedFeature(
  {
    ...newPart('plain-pin', 'Shaft', 25, 60),
    outside: [surface('body', 'cylinder', 'Body', 40, 32), surface('seat', 'cylinder', 'Seat', 34, 25)],
    features: [],
  },
  'seat',
  'ring-groove',
  'g',
  { atMm: 27.1, widthMm: 1.3, diameterMm: 23.9 },
)!.part;

async function panel(part: Part) {
  const server = new FakeServer(testSheet({ choices: [testChoice(choiceKey.part, part)] }));
  const store = await openSheet(server);
  const fixture = await show(StackPanel);
  return { store, fixture, server };
}

it('reckons the end play of what sits there, and moves the groove for the play that is wanted', async () => {
  const { store, fixture } = await panel(SHAFT);
  await type(fixture, 'textarea', '6205\nSpacer: 11 ±0.02');
  await press(fixture, 'Reckon the play');
  await breathe();
  await fixture.whenStable();
  // 28.4 to the wall, less 15, 11 and the ring of 1.2.
  expect(words(fixture)).toMatch(/End play as drawn .*1\.200/);
  expect(words(fixture)).toContain('The tolerances alone are');
  await press(fixture, 'Move the groove there');
  expect((store.draftPart()!.features[0] as { atMm: number }).atMm).toBeLessThan(26.5);
});

it('a line that says no length is told at its field, and nothing is stored', async () => {
  const { fixture, server } = await panel(SHAFT);
  const before = server.sheet.choices.length;
  await type(fixture, 'textarea', 'Spacer');
  await press(fixture, 'Reckon the play');
  expect(words(fixture)).toContain('Spacer: Write each as name: length');
  expect(server.sheet.choices).toHaveLength(before);
});

it('is not there where no ring holds anything', async () => {
  const { fixture } = await panel({ ...SHAFT, features: [] });
  expect(words(fixture)).toBe('');
});
