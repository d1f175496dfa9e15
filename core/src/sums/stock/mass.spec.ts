import { figure, outcome, work, wrongAt } from '../testing';

// A metre of steel of 7.85 kg/dm³ as tables of bars print it (EN 10060, 10059, 10061, 10058, 10305-1), kg.
it.each([
  ['round', { a: '50' }, 15.4],
  ['square', { a: '50' }, 19.6],
  ['hexagon', { a: '50' }, 17],
  ['flat', { a: '50', b: '20' }, 7.85],
  ['tube', { a: '50', b: '40' }, 5.55],
] as const)('a metre of %s %j weighs %d kg', (shape, sizes, kg) => {
  const sum = work('mass', { shape, ...sizes, length: '1000', material: 'steel-c45', price: '2' });
  expect(Math.abs(figure(sum, 'mass.one') / kg - 1)).toBeLessThan(0.005);
  expect(figure(sum, 'mass.price')).toBeCloseTo(2 * figure(sum, 'mass.all'), 9);
});

it('a dozen pieces weigh twelve times as much, and from 25 kg on it is said who lifts', () => {
  const one = work('mass', { shape: 'round', a: '50', length: '1000', material: 'steel-c45' });
  const dozen = work('mass', { shape: 'round', a: '50', length: '1000', material: 'steel-c45', pieces: '12' });
  expect(figure(dozen, 'mass.all')).toBeCloseTo(12 * figure(one, 'mass.one'), 9);
  expect([one.caution, dozen.caution]).toEqual([undefined, 'Over 25 kg: a second person or the hoist.']);
});

it('a tube without a wall is told at its bore', () => {
  expect(wrongAt('mass', { shape: 'tube', a: '50', b: '50' })).toEqual(['b']);
  expect(outcome('mass', { shape: 'flat', a: '50', b: '60' }).ok).toBe(true);
});

it('every shape has a picture as wide as it is', () => {
  for (const shape of ['round', 'square', 'hexagon', 'flat', 'tube']) {
    const points = JSON.stringify(work('mass', { shape, a: '50', b: '20' }).picture)
      .match(/-?\d+(\.\d+)?/g)!
      .map(Number);
    expect([shape, points.some((x) => Math.abs(Math.abs(x) - 25) < 4)]).toEqual([shape, true]);
  }
});
