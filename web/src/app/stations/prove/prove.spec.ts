import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testReading, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../../testing/fake-server';
import { openSheet, press, show, words } from '../../../testing/open-sheet';
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

it('opens what the line reads with how it is read, and works out a thread from what it measures over wires', async () => {
  const pin = drawnPin();
  const on = pin.outside.at(-1)!.id;
  const thread = { ...{ kind: 'thread', id: 't', on, name: 'Nut thread', end: 'right', thread: 'M40 x 1.5' }, threadClass: '6g' } as const;
  const drawn = testChoice(choiceKey.part, { ...pin, features: [{ ...thread, lengthMm: 20, hand: 'right', starts: 1 }] });
  const store = await openSheet(new FakeServer(testSheet({ choices: [fit, drawn] })));
  const view = await show(Prove);
  expect(words(view)).toContain('0 of 2 read.');
  store.select({ spanId: 't.pitch-diameter', stationMm: null, clockDeg: null });
  await view.whenStable();
  const typed = (label: string): HTMLInputElement =>
    [...(view.nativeElement as HTMLElement).querySelectorAll('input')].find((f) => f.labels?.[0]?.textContent?.trim() === label)!;
  const type = async (label: string, text: string): Promise<void> => {
    typed(label).value = text;
    typed(label).dispatchEvent(new Event('input'));
    await view.whenStable();
  };
  // M40 x 1.5, basic pitch diameter 39.026: a 1 mm wire stands 3 - 0.866 x 1.5 over it, the lead angle adds nothing to speak of.
  await type('Wires', '1');
  await type('Over three wires, cold', '40.727');
  await press(view, 'Take it');
  expect(typed('Showed, mm').value).toMatch(/^39\.02[56]$/);
  expect(typed('Tried with').value).toBe('wires of 1.000 mm, 40.727 mm over them');
  await type('Wires', '4');
  expect(words(view)).toContain('rides on the crests');
});
