import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testReading, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, show, words } from '../../../testing/open-sheet';
import { Prove } from './prove';

const fit = testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null });

it('says of what is larger than its hole how tight it is, and what a number below 0 means', async () => {
  const large = [25, 103].flatMap((stationMm) =>
    [0, 90].map((clockDeg) =>
      testReading({ purpose: 'proof', segmentId: 'shank', stationMm, clockDeg, valueMm: 40.18, instrumentId: 'mic' }),
    ),
  );
  const pin = drawnPin();
  const drawn = testChoice(choiceKey.part, { ...pin, outside: pin.outside.map((s) => (s.id === 'body' ? { ...s, id: 'shank' } : s)) });
  await openSheet(new FakeServer(testSheet({ choices: [fit, drawn], readings: [...testSheet().readings, ...large] })));
  const said = words(await show(Prove));
  // The hole reads 40.16 at its tightest and 40.31 at its widest.
  expect(said).toContain('Fit in barrel bore: from 0.020 tight to 0.130 loose');
  expect(said).toContain('below 0 the part is the larger');
});
