import { choiceKey } from '@iron-patch/core';
import { testChoice, testReading, testSheet } from '@iron-patch/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { breathe, openSheet, press, show, words } from '../../testing/open-sheet';
import { WorkingColumn } from './working-column';

const AT_DECIDE = { station: 'decide' };

it('shows the pin that matters before anything is touched, down to the readings as typed', async () => {
  await openSheet(new FakeServer());
  const text = words(await show(WorkingColumn, AT_DECIDE));
  expect(text).toContain('Working: largest the new part may be 40.049 mm 1.5767 in');
  expect(text).toContain('40.160 smallest place in barrel bore');
  expect(text).toContain('0.111 running clearance house rule running in grease or dirt: 0.0020 in + 0.0015 per in');
  expect(text).toContain('“40.16”, Telescoping gauge and mic, Tomas Quill');
});

it('warns that the oval eats the play, until the hole is trued', async () => {
  await openSheet(new FakeServer());
  expect(words(await show(WorkingColumn, AT_DECIDE))).toContain('Bore the hole true to 40.350.');
  await openSheet(
    new FakeServer(testSheet({ choices: [testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'true', truedMm: null })] })),
  );
  const trued = words(await show(WorkingColumn, AT_DECIDE));
  expect(trued).not.toContain('Bore the hole true');
  expect(trued).toContain('rounded up to 0.05 mm');
});

it('follows a number to what stands behind it', async () => {
  const store = await openSheet(new FakeServer());
  const fixture = await show(WorkingColumn, AT_DECIDE);
  await press(fixture, '40.160 smallest place');
  expect(words(fixture)).toContain('Working: smallest place in barrel bore 40.160 mm');
  expect(store.figure()!.key).toBe('barrel.smallest');
});

it('shows the chosen figure as it is now, not as it was when it was touched', async () => {
  const store = await openSheet(new FakeServer());
  store.show(store.repair()!.fits[0]!.figures!.upper);
  const fixture = await show(WorkingColumn, AT_DECIDE);
  store.takeReading({ ...testReading({ placeId: 'barrel', stationMm: 20, clockDeg: 90, valueMm: 40.1 }), confirmed: true }, 40.1);
  await breathe();
  await fixture.whenStable();
  expect(words(fixture)).not.toContain('40.049 mm');
});

it('says what it was with probability and reason', async () => {
  await openSheet(new FakeServer());
  expect(words(await show(WorkingColumn, AT_DECIDE))).toMatch(
    /What was it\? Body 40 mm f7 over 99 %, the unworn land that belongs to it 39.975 is inside f7/,
  );
});

it('has words when there is no number yet', async () => {
  await openSheet(new FakeServer(testSheet({ places: [], readings: [] })));
  expect(words(await show(WorkingColumn, AT_DECIDE))).toContain('Touch any number that has a dotted line');
});

it('tells what a number rests on that is in doubt', async () => {
  const server = new FakeServer();
  server.shop = { ...server.shop, instruments: server.shop.instruments.map((i) => ({ ...i, dueOn: '2026-10-01' })) };
  await openSheet(server);
  const overdue = 'Telescoping gauge and mic was overdue for calibration since 2026-10-01';
  const text = words(await show(WorkingColumn, AT_DECIDE));
  expect(text).toContain(`1.5767 in ${overdue}`);
  expect(text).toContain(`Tomas Quill, ${overdue}`);
});

it('starts with what the station is about at the place in hand', async () => {
  const store = await openSheet(new FakeServer());
  store.select({ spanId: 'barrel' });
  expect(words(await show(WorkingColumn, { station: 'measure' }))).toContain('Working: largest place in barrel bore 40.310 mm');
  store.select({ spanId: 'body' });
  expect(words(await show(WorkingColumn, { station: 'measure' }))).toContain('Working: smallest place in body');
  const receive = words(await show(WorkingColumn, { station: 'receive' }));
  expect(receive).toContain('Touch any number');
  expect(receive).not.toContain('What was it?');
});

it('a touched number stays while its place is looked at, and goes with it', async () => {
  const store = await openSheet(new FakeServer());
  store.select({ spanId: 'barrel' });
  const barrel = store.repair()!.places.find((f) => f.place.id === 'barrel')!;
  store.show(barrel.ovality);
  store.select({ spanId: 'barrel', stationMm: 5 });
  expect(store.figure()!.key).toBe(barrel.ovality!.key);
  store.select({ spanId: 'body' });
  expect(store.figure()).toBeNull();
});
