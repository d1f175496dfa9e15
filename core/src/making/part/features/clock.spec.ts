import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade } from './clock';

it('an angle that is held to nothing is no dimension: a lone keyseat may stand anywhere', () => {
  expect(clockDimension({ clockDeg: 37, timedTo: '' })).toEqual([]);
  expect(clockMade({ clockDeg: 37, timedTo: '' })).toEqual([]);
  expect(CLOCK_START.timedTo).toBe('');
});

it('one that is held to something is a dimension, and made by what turns it there', () => {
  const [d] = clockDimension({ clockDeg: 90, timedTo: 'k' });
  expect(d).toEqual({ name: 'clock', what: 'angle', label: 'clock angle', value: 90 });
  expect(clockMade({ clockDeg: 90, timedTo: 'k' })).toEqual([d!.name]);
});

it('goes once round and not on: 360 is 0', () => {
  const { from, to } = CLOCK_FIELDS.clockDeg;
  expect([from, to < 360, to > 359]).toEqual([0, true, true]);
});
