import { bad, good } from './outcome';

it('a value is told with nothing else, also one that is nothing', () => {
  expect(good(0)).toEqual({ ok: true, value: 0 });
  expect(good(null)).toEqual({ ok: true, value: null });
});

it('a problem lies at its field, or at none, and at a character only where one is to blame', () => {
  expect(bad('negative', 'Say how long.', 'segments.1.lengthMm')).toEqual({
    ok: false,
    problems: [{ code: 'negative', path: 'segments.1.lengthMm', message: 'Say how long.' }],
  });
  expect(bad('text', 'Not a number.', '', 0)).toMatchObject({ problems: [{ path: '', at: 0 }] });
  expect(bad('text', 'Not a number.')).not.toHaveProperty('problems.0.at');
});
