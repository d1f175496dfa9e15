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

it('moves the shoulder instead, and asks of a second place as soon as the first is said', async () => {
  const { store, fixture } = await panel(SHAFT);
  expect(fixture.nativeElement.querySelectorAll('summary')).toHaveLength(1);
  await type(fixture, 'textarea', '6205\nSpacer: 11 ±0.02');
  await press(fixture, 'Reckon the play');
  await breathe();
  await fixture.whenStable();
  // Play of 1.2 for one of 0 to 0.2: the shoulder comes forward by what the groove would go back.
  expect(words(fixture)).toMatch(/Or its shoulder 4[01]\.\d+ mm from the zero face/);
  await press(fixture, 'Move the shoulder there');
  const [body, seat] = store.draftPart()!.outside;
  expect(body!.lengthMm).toBeGreaterThan(40.9);
  expect(body!.lengthMm + seat!.lengthMm).toBeCloseTo(74, 6);
  expect(fixture.nativeElement.querySelectorAll('summary')).toHaveLength(2);
  expect(words(fixture)).toContain('Does something else sit there');
  // The second form begins empty, and is stored under its own key.
  const areas = [...fixture.nativeElement.querySelectorAll('textarea')] as HTMLTextAreaElement[];
  expect(areas.map((a) => a.value)).toEqual([expect.stringContaining('6205'), '']);
  areas[1]!.value = 'Wheel: 20';
  areas[1]!.dispatchEvent(new Event('input'));
  (fixture.nativeElement.querySelectorAll('button[type=submit]')[1] as HTMLButtonElement).click();
  await breathe();
  await fixture.whenStable();
  expect(
    store
      .sheet()!
      .choices.map((c) => c.key)
      .filter((k) => k.startsWith('stack')),
  ).toEqual(['stack:job', 'stack:job:2']);
});

it('is not there where no ring holds anything', async () => {
  const { fixture } = await panel({ ...SHAFT, features: [] });
  expect(words(fixture)).toBe('');
});
