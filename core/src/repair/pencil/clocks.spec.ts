import { clockedReadings, withoutAngleColons } from './clocks';
import { parsePencil } from './index';

const groups = (line: string, unit: 'mm' | 'in' = 'mm') => {
  const parsed = parsePencil(line, unit);
  return parsed.ok ? parsed.value.groups.map((g) => [g.stationMm, g.texts, g.clocksDeg]) : parsed.problems[0]!.message;
};

it.each([
  ['bore: 0° 80.00 90° 80.06', [[null, ['80.00', '80.06'], [0, 90]]]],
  ['bore: 80.00 at 0°, 80.06 at 90°', [[null, ['80.00', '80.06'], [0, 90]]]],
  ['bore: 80.00 0°; 80.06 90°', [[null, ['80.00', '80.06'], [0, 90]]]],
  ['bore: 0°: 80.00 90°: 80.06', [[null, ['80.00', '80.06'], [0, 90]]]],
  ['bore: 22.5 deg 80.02 112.5 degrees 80.05', [[null, ['80.02', '80.05'], [22.5, 112.5]]]],
  ['flats at 45°: 17', [[null, ['17'], []]]],
  ['shaft / keyseat at 90°: 6 3.5', [[null, ['6', '3.5'], []]]],
  [
    'jaw / hole: @3 0° 20.32 45° 20.41 @12 90° 20.49',
    [
      [3, ['20.32', '20.41'], [0, 45]],
      [12, ['20.49'], [90]],
    ],
  ],
  ['run-out: 0° 0 270° 0.05', [[null, ['0', '0.05'], [0, 270]]]],
])('%s', (line, is) => expect(groups(line)).toEqual(is));

it('a reading with a blank in it stays one beside its angle', () => {
  expect(groups('bore: 0° 1 3/16 90° 1.19 in', 'in')).toEqual([[null, ['1 3/16', '1.19 in'], [0, 90]]]);
});

it.each([
  ['bore: 0° 80.00 90°', 'Write one reading beside each angle: 0° 20.32 90° 20.41.'],
  ['bore: 80.00 0° 80.06 90° 80.1', 'Write one reading beside each angle: 0° 20.32 90° 20.41.'],
  ['bore: 0° 80.00 80.1 90° 80.06', 'Write one reading beside each angle: 0° 20.32 90° 20.41.'],
  ['bore: 0° 80.00 0° 80.06', '0° stands twice at one station: keep one of them.'],
  ['bore: 0° 80.00 400° 80.06', '400° is beyond the round: write 0° to 359°.'],
  ['keyseat: 90° 6 3.5', 'Keyseat: write its sizes alone. Its clock position is said with its surface and hardness.'],
])('asks about %s', (line, says) => expect(groups(line)).toBe(says));

it('what has no angle is left as it is', () => {
  expect(clockedReadings('80.00 80.06', (s) => [s])).toEqual({ ok: true, value: null });
  expect(withoutAngleColons('jaw / hole: 20.32')).toBe('jaw / hole: 20.32');
});
