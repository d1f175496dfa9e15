import { formatLength } from '../../terms/quantity';
import { choiceKey } from './choices';
import type { ReadingRecord } from './records';
import { workOut } from './repair';
import { testChoice, testPlace, testReading, testSheet, testShop } from './testing';

const INCH = 25.4;
type Land = 'worn' | 'unworn';

/** A shaft with places on which a bearing sat, each with its size as read; no bearing is there to be measured. */
function seats(
  unit: 'mm' | 'in',
  of: readonly (readonly [id: string, sizeMm: number, land: Land, seat: boolean])[],
  runs: string | null = null,
) {
  const base = testSheet();
  const places = of.map(([id, , land, seat], i) =>
    testPlace(id, {
      side: 'outside',
      land,
      startMm: 40 * i,
      lengthMm: 20,
      stationsMm: [40 * i + 10],
      clocksDeg: [0],
      instrumentId: 'mic',
      suspicions: seat ? ['bearing'] : [],
      detail: { ...testPlace('x', {}).detail, oneSizeWithId: id === 'seat' && of.some(([o]) => o === 'land') ? 'land' : null },
    }),
  );
  const readings: ReadingRecord[] = of.map(([id, valueMm], i) =>
    testReading({ placeId: id, stationMm: 40 * i + 10, valueMm, instrumentId: 'mic' }),
  );
  const choices = runs ? [testChoice(choiceKey.runs('seat'), { kind: runs })] : [];
  return workOut(testSheet({ job: { ...base.job, unit }, places, readings, choices }), testShop).seats;
}

it('1.1814 in at two seats: 30 mm bearings, k5 30.002 to 30.011 (ISO 286-2), and the zones that hold what is there', () => {
  const found = seats('in', [
    ['seat', 1.1814 * INCH, 'unworn', true],
    ['other', 1.1814 * INCH, 'unworn', true],
  ]);
  expect(found).toHaveLength(2);
  for (const s of found) {
    expect(s).toMatchObject({ boreMm: 30, zone: 'k5' });
    expect([formatLength(s.lower!.value, 'mm', 3), formatLength(s.upper!.value, 'mm', 3)]).toEqual(['30.002', '30.011']);
    expect(s.codes).toContain('6206');
    expect(s.words).toMatch(/1\.1814 in: .*k5.*hold it/);
  }
});

it('0.7831 in worn beside a land of 0.7876: 20 mm, not 0.7831; its land is held by j6, k5 and k6', () => {
  const [seat, land] = seats('in', [
    ['seat', 0.7831 * INCH, 'worn', true],
    ['land', 0.7876 * INCH, 'unworn', true],
  ]);
  expect(seat).toMatchObject({ boreMm: 20, zone: 'k5' });
  expect(formatLength(seat!.upper!.value, 'mm', 3)).toBe('20.011');
  expect(seat!.words).toContain('under the loosest of them: worn');
  expect(land!.words).toContain('j6, k5, k6 hold it');
});

it('an inner ring that stands still gets g6 (25: 24.980 to 24.993)', () => {
  const [seat] = seats('mm', [['seat', 24.99, 'unworn', true]], 'bearing-inner-standing');
  expect([seat!.zone, formatLength(seat!.lower!.value, 'mm', 3), formatLength(seat!.upper!.value, 'mm', 3)]).toEqual([
    'g6',
    '24.980',
    '24.993',
  ]);
});

it('proposes nothing where no bearing was told of, or where its size tells none', () => {
  expect(seats('mm', [['plain', 30.008, 'unworn', false]])).toHaveLength(0);
  const [worn] = seats('mm', [['seat', 23.4, 'worn', true]]);
  expect(worn).toMatchObject({ zone: null, upper: null });
  expect(worn!.words).toContain('not told');
});

it('a seat that still holds its bearing tells it sooner than one that would have to be worn: that is not guessed', () => {
  // 0.98465 in is 25.010: inside k5 and k6 of 25 (ISO 286-2).
  const [held] = seats('in', [['seat', 0.98465 * INCH, 'worn', true]]);
  expect(held).toMatchObject({ boreMm: 25, zone: 'k5' });
  expect(held!.words).toContain('hold');
  let [told, open] = [0, 0];
  for (let inch = 0.97; inch < 1.01; inch += 0.0013) {
    const [seat] = seats('in', [
      ['seat', inch * INCH, 'worn', true],
      ['end', (inch - 0.0005) * INCH, 'worn', false],
      ['body', INCH, 'worn', false],
    ]);
    const sure = seat!.place.nominal.ranked[0]!.probability >= 0.75;
    if (seat!.boreMm === null) open++;
    else {
      told++;
      expect([inch, sure || /: .*holds? it/.test(seat!.words)]).toEqual([inch, true]);
    }
  }
  expect([told > 0, open > 0]).toEqual([true, true]);
});
