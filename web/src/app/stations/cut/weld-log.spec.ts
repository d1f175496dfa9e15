import { choiceKey, newItem, newStep, type BeadChoice, type WeldChoice } from '@iron-patch/core';
import { testChoice, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { WeldLog } from './weld-log';

const ITEM = '1b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
const item = testChoice(choiceKey.item(ITEM), {
  ...newItem('join', 'Ring on the tube', ['pin', 'barrel-part'], -1),
  steps: [newStep('Weld it round', 'join')],
});
const SEAM: WeldChoice = {
  ...{ materialId: 'steel-s355', otherId: 'steel-mild', seam: 'fillet', sizeMm: 6, bevelDeg: 0, diameterMm: 90 },
  ...{ thickMm: 12, way: 'wire', heatKjMm: 0.8, spare: true },
};

let server: FakeServer;
const log = async (...more: ReturnType<typeof testChoice>[]) => {
  server = new FakeServer(testSheet({ choices: [item, ...more] }));
  await openSheet(server);
  return show(WeldLog);
};
const sent = () => server.changes().map((c) => [c.path.split('/choices/')[1]!.split(':')[0], (c.body as { value: unknown }).value]);

it('asks what seam it is, with the metals known, and names what is missing', async () => {
  const fixture = await log();
  await press(fixture, 'So it is welded');
  expect(words(fixture)).toContain('Leg, or depth');
  expect(sent()).toEqual([]);
  for (const [n, mm] of ['6', '90', '12'].entries()) await type(fixture, `ip-length:nth-of-type(${n + 1}) input`, mm);
  await press(fixture, 'So it is welded');
  await fixture.whenStable();
  expect(sent()).toMatchObject([['weld', { materialId: 'steel-c45', otherId: 'steel-mild', sizeMm: 6, diameterMm: 90, thickMm: 12 }]]);
  expect(words(fixture)).toContain('Tack at 0°');
});

it('counts what is laid, holds while it is too warm, and takes one back', async () => {
  const fixture = await log(testChoice(choiceKey.weld(ITEM), SEAM));
  await type(fixture, 'input[name=bead-c]', '180');
  expect(words(fixture)).toContain('Warmer than 150 °C: wait');
  await type(fixture, 'input[name=bead-c]', '60');
  expect(words(fixture)).not.toContain('Warmer than');
  await press(fixture, 'Laid');
  await fixture.whenStable();
  const first = sent()[0]![1] as BeadChoice;
  expect(first).toMatchObject({ itemId: ITEM, kind: 'tack', index: 0, tempC: 60, removed: false });
  expect(words(fixture)).toContain('Tack at 180°');
  await press(fixture, 'Withdraw Tack at 0°');
  await fixture.whenStable();
  expect(sent()[1]).toEqual(['bead', { ...first, removed: true }]);
  expect(words(fixture)).toContain('The seam Tack at 0°');
});
