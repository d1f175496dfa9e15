import { fromTable, given, result } from './given';

it('what was typed says who typed it, what stands in a table says in which, what was worked out says how and from what', () => {
  const [d, v] = [given('d', 'diameter', 25), fromTable('v', 'surface speed', 30, 'speeds of the book', 'speed')];
  const n = result('n', 'speed', (1000 * 30) / (Math.PI * 25), '1000 V/(pi D)', [v, d], 'rpm');
  expect(d.origin).toMatchObject({ kind: 'typed', by: 'hand at the bench' });
  expect(v.origin).toMatchObject({ kind: 'table', source: 'speeds of the book' });
  // 25 mm at 30 m/min turns at 382.
  expect(n).toMatchObject({
    measure: 'rpm',
    value: expect.closeTo(382, 0),
    origin: { kind: 'worked', how: '1000 V/(pi D)', from: [v, d] },
  });
});
