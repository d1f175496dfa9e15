import { choiceKey, newItem, newStep, NO_DETAIL, type JobSheet, type PressChoice, type PushChoice } from '@iron-patch/core';
import { testChoice, testInstrument, testPlace, testReading, testSheet, testShop } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { PressLog } from './press-log';

const PLACE = '0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
const ITEM = '1b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
const rod = { ...testSheet().components[0]!, id: 'rod', name: 'Rod', verdict: 'repair' as const };
const place = testPlace(PLACE, {
  ...{ componentId: 'rod', name: 'Rod', kind: 'straightness', lengthMm: 700, instrumentId: 'clock' },
  detail: { ...NO_DETAIL, holding: 'v-blocks', supportsMm: [50, 650] },
});
const map = [200, 350, 500].flatMap((stationMm) =>
  [0, 90, 180, 270].map((clockDeg) =>
    testReading({
      ...{ placeId: PLACE, quantity: 'indicator', stationMm, clockDeg, instrumentId: 'clock' },
      valueMm: 0.6 * (1 - ((stationMm - 350) / 300) ** 2) * Math.cos((clockDeg * Math.PI) / 180),
    }),
  ),
);
const item = { ...newItem('rework', 'Rod', ['rod'], 0), steps: [newStep('Straighten it', 'rework')] };

let server: FakeServer;
const log = async (more: Partial<JobSheet> = {}) => {
  const choices = [testChoice(choiceKey.item(ITEM), item)];
  server = new FakeServer(testSheet({ components: [rod], places: [place], readings: map, choices, ...more }));
  server.shop = { ...testShop, instruments: [testInstrument('clock', { kind: 'indicator', rangeLowMm: 0 })] };
  await openSheet(server);
  return show(PressLog);
};
const sent = () => server.changes().map((c) => [c.path.split('/choices/')[1]!.split(':')[0], (c.body as { value: unknown }).value]);

it('asks how it lies before a push, and refuses a block on the wrong side', async () => {
  const fixture = await log();
  expect(words(fixture)).toContain('It shows now 1.200 mm, bow 0.600');
  expect(words(fixture)).toContain('Say how thick it is where the press stands.');
  await type(fixture, 'ip-length:nth-of-type(3) input', '30');
  await type(fixture, 'ip-length:nth-of-type(2) input', '20');
  await press(fixture, 'So it lies');
  expect(words(fixture)).toContain('The second block stands beyond the first.');
  await type(fixture, 'ip-length:nth-of-type(2) input', '650');
  await press(fixture, 'So it lies');
  await fixture.whenStable();
  const lies: PressChoice = { placeId: PLACE, supportsMm: [50, 650], diameterMm: 30, mostMm: 0.1 };
  expect(sent()).toEqual([['press', lies]]);
  expect(words(fixture)).toContain('Blocks at 50 mm and 650 mm, 0° up.');
});

it('keeps a push with what came back, and a withdrawn one on record', async () => {
  const lies = testChoice(choiceKey.press(ITEM), { placeId: PLACE, supportsMm: [50, 650], diameterMm: 30, mostMm: 0.1 });
  const fixture = await log({ choices: [testChoice(choiceKey.item(ITEM), item), lies] });
  await type(fixture, 'ip-length:nth-of-type(1) input', '4');
  await type(fixture, 'ip-length:nth-of-type(2) input', '1.0');
  await press(fixture, 'Keep this push');
  await fixture.whenStable();
  const push = sent()[0]![1] as PushChoice;
  expect(push).toMatchObject({ itemId: ITEM, pushedMm: 4, totalMm: 1, over: false, removed: false });
  expect(words(fixture)).toContain('4.000 3.900 0.100 1.000');
  expect(words(fixture)).toContain('Push down by 4.400');
  await press(fixture, 'Withdraw the push of 4.000');
  await fixture.whenStable();
  expect(sent()[1]).toEqual(['push', { ...push, removed: true }]);
  expect(words(fixture)).not.toContain('4.000 3.900');
});
