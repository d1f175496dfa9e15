import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testSheet } from '@iron-patch/core/testing';
import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, words } from '../../../testing/open-sheet';
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
