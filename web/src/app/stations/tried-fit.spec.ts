import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { choiceKey, surface, type JobSheet, type Part, type TrialChoice } from '@iron-patch/core';
import { testChoice, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../testing/open-sheet';
import { SheetStore } from '../sheet-data';
import { TriedFit } from './tried-fit';

const PIN: Part = {
  ...{ name: 'Pin', materialId: 'steel-c45', limits: {}, features: [], block: null, bores: [] },
  outside: [{ ...surface('body', 'cylinder', 'Body', 60, 40.049), fitsPlaceIds: ['barrel'] }],
};

@Component({
  imports: [TriedFit],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (cut(); as c) {
    <ip-tried-fit [tried]="c.tried" segmentId="body" />
  }`,
})
class Shown {
  private readonly store = inject(SheetStore);
  protected readonly cut = computed(() => this.store.repair()?.cuts[0]);
}

const JOB = '0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
const BARREL = '1b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';

let server: FakeServer;
const tried = async () => {
  const choices = [
    testChoice(choiceKey.part, PIN),
    testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null }),
  ];
  // Ids as the server gives them: the contract looks at them.
  const ids = JSON.stringify(testSheet({ choices }))
    .replaceAll(/"job"(?!:)/g, `"${JOB}"`)
    .replaceAll('"barrel"', `"${BARREL}"`);
  const text = ids.replaceAll('fit:barrel', `fit:${BARREL}`);
  server = new FakeServer(JSON.parse(text) as JobSheet);
  await openSheet(server);
  return show(Shown);
};
const sent = () => server.changes().map((c) => (c.body as { value: TrialChoice }).value);

it('keeps how it went, and says what the size can be by it', async () => {
  const fixture = await tried();
  await press(fixture, 'Tried with its mate');
  await press(fixture, 'Goes in and binds');
  await press(fixture, 'Keep it');
  expect(words(fixture)).toContain('Say how far it went in.');
  expect(sent()).toEqual([]);
  await type(fixture, 'ip-length input', '12');
  await press(fixture, 'Keep it');
  await fixture.whenStable();
  expect(sent()).toMatchObject([
    { itemId: JOB, piece: 1, segmentId: 'body', placeId: BARREL, feel: 'binds', wentInMm: 12, from: 'start', removed: false },
  ]);
  expect(words(fixture)).toMatch(/Can be 40\.1\d\d to 40\.\d\d\d mm/);
  expect(words(fixture)).toContain('Goes in 12 mm and binds (Barrel bore)');
});

it('refuses a temperature that is none, and keeps a trial that is withdrawn on record', async () => {
  const fixture = await tried();
  await press(fixture, 'Tried with its mate');
  await press(fixture, 'Slides, no shake');
  await type(fixture, 'input[name=part-c]', 'warm');
  await press(fixture, 'Keep it');
  expect(words(fixture)).toContain('Temperature of the part is a number');
  await type(fixture, 'input[name=part-c]', '31');
  await press(fixture, 'Keep it');
  await fixture.whenStable();
  expect(sent()[0]).toMatchObject({ feel: 'slides', wentInMm: null, partTempC: 31 });
  await press(fixture, 'Withdraw: Slides through, no shake');
  await fixture.whenStable();
  expect(sent()[1]).toMatchObject({ feel: 'slides', removed: true });
  expect(words(fixture)).not.toContain('Slides through, no shake (');
});
