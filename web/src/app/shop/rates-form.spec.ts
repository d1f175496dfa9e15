import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { RatesRecord, Shop } from '@iron-patch/core';
import { testShop } from '@iron-patch/core/testing';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { breathe, press, show, type, words } from '../../testing/open-sheet';
import { ShopStore } from '../data';
import { RatesForm } from './rates-form';

const mill = {
  id: 'mill',
  name: 'Mill',
  kind: 'mill',
  powerKw: null,
  note: '',
  lathe: null,
  mill: null,
  capacityMm: null,
  tonnes: null,
  version: 1,
};
const RATES: RatesRecord = {
  ...{ currency: 'crowns', hourMinor: 3850, machineHourMinor: { mill: 400, gone: 900 }, kgMinor: { steel: 320 }, wastePercent: 10 },
  ...{ markUpPercent: 15, consumablesPercent: 4, minimumMinor: 3000, taxPercent: 20, version: 3 },
};

let server: FakeServer;
const open = async (rates: RatesRecord | null) => {
  localStorage.clear();
  server = new FakeServer();
  server.shop = { ...testShop, machines: [mill] as unknown as Shop['machines'], rates };
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, provideRouter([])] });
  await TestBed.inject(ShopStore).load();
  return show(RatesForm);
};
const save = async (fixture: Awaited<ReturnType<typeof open>>): Promise<void> => {
  await press(fixture, 'Save rates');
  await breathe();
  await fixture.whenStable();
};

it('holds money whole and stores it to the smallest coin; what has no field here stays as it is', async () => {
  const fixture = await open(RATES);
  const field = (name: string): string => fixture.nativeElement.querySelector(`input[name="${name}"]`).value;
  expect([field('hour'), field('kg-steel'), field('kg-iron'), field('machine-mill')]).toEqual(['38.5', '3.2', '', '4']);
  await type(fixture, 'input[name="hour"]', '40.25');
  await type(fixture, 'input[name="kg-iron"]', '4.1');
  await type(fixture, 'input[name="machine-mill"]', '');
  await save(fixture);
  const { path, headers, body } = server.changes()[0]!;
  expect([path, headers['If-Match']]).toEqual(['/api/shop/rates', '"v3"']);
  const { version: _, ...before } = RATES;
  expect(body).toEqual({ ...before, hourMinor: 4025, kgMinor: { steel: 320, iron: 410 }, machineHourMinor: { gone: 900 } });
});

it('begins without rates, and asks for what an hour costs and what the money is called', async () => {
  const fixture = await open(null);
  expect(words(fixture)).not.toContain('How they were before');
  await save(fixture);
  expect(words(fixture)).toContain('2 things to put right');
  expect(words(fixture)).toContain('Say what the money is called');
  expect(server.changes()).toEqual([]);
  await type(fixture, 'input[name="hour"]', '38');
  await type(fixture, 'input[name="currency"]', 'crowns');
  await save(fixture);
  expect(server.changes()[0]!.body).toMatchObject({ currency: 'crowns', hourMinor: 3800, minimumMinor: 0, machineHourMinor: {} });
});

it('says that somebody else changed them, and saves over theirs only when it is pressed again', async () => {
  const fixture = await open(RATES);
  await type(fixture, 'input[name="hour"]', '41');
  server.replies.push({
    status: 412,
    body: { status: 412, title: 'Somebody else changed this.', detail: '', current: { ...RATES, version: 4 } },
  });
  await save(fixture);
  expect(words(fixture)).toContain('Somebody else changed the rates');
  await save(fixture);
  expect(server.changes()[1]!.headers['If-Match']).toBe('"v4"');
});
