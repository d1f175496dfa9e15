import { testInstrument, testPlace, testReading, testShop } from './testing';
import { weighables } from './weighables';

const shop = {
  ...testShop,
  instruments: [...testShop.instruments, testInstrument('vernier', { kind: 'caliper', rangeLowMm: 0, rangeHighMm: 150 })],
};
const place = testPlace('body', {});
const reading = testReading({ placeId: 'body', stationMm: 60, clockDeg: 90, valueMm: 39.67, text: '39.670', instrumentId: 'mic' });
const of = (...readings: (typeof reading)[]) => weighables({ place, readings, lost: new Set() }, 'size', shop);

it('says how finely it was written: 39.670 to thousandths, 39,7 to tenths', () => {
  const decimals = (text: string): number => of({ ...reading, text })[0]!.decimals;
  expect(['39.670', '39,7', '1.5641 in'].map(decimals)).toEqual([3, 1, 4]);
});

it('a mic is trusted more than a caliper, and a mic that cannot show it no more than a caliper', () => {
  const [mic, caliper, beyond] = of(reading, { ...reading, id: 'c', instrumentId: 'vernier' }, { ...reading, id: 'b', valueMm: 80 });
  expect(mic!.uMm).toBeLessThan(caliper!.uMm);
  expect(beyond!.uMm).toBe(caliper!.uMm);
});

it('leaves out other quantities and instruments that are not believed', () => {
  const length = { ...reading, quantity: 'length' as const };
  expect(of(reading, length)).toHaveLength(1);
  expect(weighables({ place, readings: [reading, length], lost: new Set() }, 'length', shop)).toHaveLength(1);
  expect(weighables({ place, readings: [reading], lost: new Set(['mic']) }, 'size', shop)).toEqual([]);
});
