import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testSheet } from '@iron-patch/core/testing';
import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { breathe, openSheet, press, show, type, words } from '../../../testing/open-sheet';
import { DrawnEvidence } from '../../sheet-data';
import { Lanes } from '../../picture';
import { StrengthPanel } from './strength-panel';

const places = testSheet().places.map((f) => (f.id === 'body' ? { ...f, startMm: 0, lengthMm: 120 } : { ...f, startMm: 10, lengthMm: 12 }));
const fit = testChoice(choiceKey.fit('barrel'), { schoolId: 'house:grease', hole: 'keep', truedMm: null });

it('tells the weakest place under each load, old against new, and the lane goes by the load that is looked at', async () => {
  await openSheet(new FakeServer(testSheet({ places, choices: [fit, testChoice(choiceKey.part, drawnPin())] })));
  const panel = await show(StrengthPanel);
  const text = words(panel);
  expect(text).toContain('What would break first');
  // The old part as it was read is a plain 40 mm bar: the new one has a sharp shoulder under its head.
  expect(text).toMatch(/Bent while it turns body, 60 mm .* Nm .* the shoulder of Body, no radius given, 8.4 mm .* Nm .*−\d+ %/);
  expect(text).toContain('Beyond what was published, taken further: the shoulder of Body, no radius given.');
  const lanes = await show(Lanes, { names: ['stress'] });
  expect(words(lanes)).toContain('the shoulder of Body, no radius given, 100 % of the most');
  await press(panel, 'Twisted to and fro');
  expect(TestBed.inject(DrawnEvidence).load()).toBe('torsion');
  await lanes.whenStable();
  expect(words(lanes)).toContain('Stress twisted to and fro');
});

it('says nothing before there is a drawing', async () => {
  await openSheet(new FakeServer(testSheet({ places })));
  expect(words(await show(StrengthPanel))).toBe('');
  expect(words(await show(Lanes, { names: ['stress'] }))).toContain('no drawing yet');
});

it('takes a load that is known, in the reader’s unit, and says how safe that leaves the weakest place', async () => {
  const inches = { ...testSheet().job, unit: 'in' as const };
  const server = new FakeServer(testSheet({ job: inches, places, choices: [fit, testChoice(choiceKey.part, drawnPin())] }));
  const store = await openSheet(server);
  const panel = await show(StrengthPanel);
  expect(words(panel)).toContain('Is the load known?');
  await type(panel, 'input[name=loadBending]', '100');
  await press(panel, 'Reckon with it');
  await breathe();
  await panel.whenStable();
  expect(server.changes()[0]).toMatchObject({
    path: `/api/jobs/job/choices/load:${store.item()!.id}`,
    body: { value: { bendingNm: expect.closeTo(135.58, 2), torqueNm: 0, pullN: 0 } },
  });
  // About 430 Nm for ever at that shoulder over 135.6, and yield without its notch.
  expect(words(panel)).toMatch(
    /Least safe at the shoulder of Body, no radius given ?, 0.331 in: 3.\d against fatigue, \d+ against staying bent/,
  );
});

it('refuses a load below nought at its field', async () => {
  await openSheet(new FakeServer(testSheet({ places, choices: [fit, testChoice(choiceKey.part, drawnPin())] })));
  const panel = await show(StrengthPanel);
  await type(panel, 'input[name=loadTorque]', '-5');
  await press(panel, 'Reckon with it');
  expect(words(panel)).toContain('Torque is a number from 0 to 1000000 Nm.');
});
