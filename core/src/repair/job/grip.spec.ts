import { gripIn } from './grip';
import { workOut } from './repair';
import { testPlace, testReading, testSheet, testShop } from './testing';

const IN = 25.4;
const hole = (sections: readonly (readonly [at: number, ...sizes: number[]])[], lengthMm: number) =>
  workOut(
    testSheet({
      places: [testPlace('hole', { componentId: 'barrel-part', side: 'inside', lengthMm, stationsMm: sections.map(([at]) => at) })],
      readings: sections.flatMap(([stationMm, ...sizes]) =>
        sizes.map((valueMm, i) => testReading({ placeId: 'hole', stationMm, clockDeg: i * 45, valueMm })),
      ),
    }),
    testShop,
  ).places[0]!;

it('in a hole that is belled at one end a bush of 1.2518 in holds to about 1.13 of 1.50 and is 0.0012 loose at the mouth', () => {
  const round = (at: number, size: number) => [at * IN, ...[0, 1, 2, 3].map(() => size * IN)] as [number, ...number[]];
  const grip = gripIn(hole([round(0.1, 1.2505), round(0.75, 1.25), round(1.4, 1.253)], 1.5 * IN), 1.2518 * IN)!;
  expect(grip.holdsMm / IN).toBeGreaterThan(1.12);
  expect(grip.holdsMm / IN).toBeLessThan(1.15);
  expect(grip.looseMm / IN).toBeCloseTo(0.0012, 4);
  expect(grip.why).toBe('bell-mouthed or tapered');
});

it('an oval hole holds all along at its short way, and is loose at its long one', () => {
  const grip = gripIn(
    hole(
      [
        [5, 30.1, 30.02, 29.94, 30.02],
        [20, 30.1, 30.02, 29.94, 30.02],
      ],
      25,
    ),
    30.04,
  )!;
  expect(grip).toMatchObject({ why: 'oval', holdsMm: 25 });
  expect(grip.looseMm).toBeCloseTo(0.06, 2);
});

it('a hole read at one place is not belled: what its two ways differ is oval, even where the pin is under their mean', () =>
  expect(gripIn(hole([[2.5, 6.35, 6.65]], 5), 6.36)).toMatchObject({
    why: 'oval',
    holdsMm: 5,
    looseMm: expect.closeTo(0.29, 3) as number,
  }));

it('an oval hole that is belled too holds only as far as its short way is tight', () => {
  const grip = gripIn(
    hole(
      [
        [0, 30.0, 30.04, 30.08, 30.04],
        [20, 30.06, 30.1, 30.14, 30.1],
      ],
      20,
    ),
    30.03,
  )!;
  // Its short way goes from 30.00 to 30.06: 30.03 is reached half way; its widest is 30.14.
  expect(grip.why).toBe('oval');
  expect(grip.holdsMm).toBeCloseTo(10, 0);
  expect(grip.looseMm).toBeCloseTo(0.11, 2);
});

it('says nothing of a pin that goes in freely, of one that holds everywhere, or of a hole that was not read', () => {
  const plain = [
    [5, 30, 30, 30, 30],
    [20, 30, 30, 30, 30],
  ] as const;
  expect(gripIn(hole(plain, 25), 29.98)).toBeNull();
  expect(gripIn(hole(plain, 25), 30.03)).toBeNull();
  expect(gripIn(hole([], 25), 30.03)).toBeNull();
});
