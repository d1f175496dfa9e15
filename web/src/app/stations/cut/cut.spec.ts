import { TestBed } from '@angular/core/testing';
import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, show } from '../../../testing/open-sheet';
import { HoldingShown } from '../../sheet-data';
import { Cut } from './cut';

it('opens at what is cut next, whichever set-up was looked at elsewhere', async () => {
  await openSheet(new FakeServer(testSheet({ choices: [testChoice(choiceKey.part, drawnPin())] })));
  const held = TestBed.inject(HoldingShown);
  held.show(2);
  expect(held.touched()?.setUp.number).toBe(2);
  await show(Cut);
  expect(held.touched()).toBeNull();
});
