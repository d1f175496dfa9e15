import { seededRandom } from '../../../evidence/proof';
import { surface } from '../surface';
import { hostOf } from '../host';
import type { Part } from '../part';
import { keyOf, keyseat, type Keyseat } from './keyseat';

const shaft = (d: number, l = 100): Part => ({
  ...{ name: 'Part', materialId: 'steel-c45', features: [], limits: {}, block: null, bores: [] },
  outside: [surface('s', 'cylinder', 'Seat', l, d)],
});
const host = (d: number, l = 100) => hostOf(shaft(d, l), 's')!;
const seat = (own: Partial<Keyseat>, d = 25): Keyseat => ({
  ...keyseat.start(host(d)),
  id: 'k',
  kind: 'keyseat',
  on: 's',
  name: 'Keyseat',
  ...own,
});

// DIN 6885-1: shaft over, key b x h, depth t1 from the crown, its limits.
it.each([
  [12, 4, 2.5, 0.1],
  [25, 8, 4, 0.2],
  [40, 12, 5, 0.2],
  [60, 18, 7, 0.2],
])('a shaft of %f starts with the key of %f wide and %f deep, + %f, as the standard has it', (d, b, t1, plus) => {
  const f = seat({}, d);
  expect([f.widthMm, f.depthMm]).toEqual([b, t1]);
  expect(keyOf(f, host(d))).toMatchObject({ standard: 'DIN 6885', widthMm: b });
  const depth = keyseat.dimensions(f, host(d)).find((x) => x.name === 'depth')!;
  expect(depth).toMatchObject({ seat: true, book: { lower: t1, upper: expect.closeTo(t1 + plus, 9) } });
});

it('a depth that no key has is none’s, and gets no limits of a book', () => {
  const f = seat({ depthMm: 4.3 });
  expect(keyOf(f, host(25))).toBeUndefined();
  expect(keyseat.dimensions(f, host(25)).some((d) => d.book)).toBe(false);
});

/** What is gone, counted at random points of the box round it, mm³. */
function counted(
  gone: (x: number, y: number, z: number) => boolean,
  [x0, x1]: readonly [number, number],
  half: number,
  [z0, z1]: readonly [number, number],
): number {
  const random = seededRandom(11);
  const n = 400_000;
  let hit = 0;
  for (let i = 0; i < n; i++) {
    const at = (a: number, b: number): number => a + (b - a) * random();
    if (gone(at(x0, x1), at(-half, half), at(z0, z1))) hit++;
  }
  return (hit / n) * (x1 - x0) * 2 * half * (z1 - z0);
}

describe('what it takes away, against points counted in the solid', () => {
  const [R, floor] = [12.5, 8.5];
  const inShaft = (y: number, z: number): boolean => y * y + z * z <= R * R;
  const removed = (f: Keyseat): number => {
    const cut = keyseat.cut(f, host(25));
    if (cut.shape !== 'other') throw new Error('turned');
    return cut.removedMm3();
  };

  it('end-milled, both ends round', () => {
    const gone = (x: number, y: number, z: number): boolean => {
      const along = Math.max(Math.abs(x - 20) - (14 - 4), 0);
      return z >= floor && inShaft(y, z) && Math.hypot(along, y) <= 4;
    };
    const mm3 = removed(seat({ cutter: 'end-mill', atMm: 6, lengthMm: 28, widthMm: 8, depthMm: 4 }));
    expect(mm3 / counted(gone, [0, 40], 4, [floor, R])).toBeCloseTo(1, 2);
  });

  it('with a sled-runner cutter of 63, a run-out on both sides', () => {
    const Rc = 31.5;
    const gone = (x: number, y: number, z: number): boolean => {
      if (!inShaft(y, z)) return false;
      const beyond = Math.max(-x, x - 28, 0);
      // The lowest point of the cutter at full depth stands over 0 to 28.
      return beyond <= Rc && z >= floor + Rc - Math.sqrt(Rc * Rc - beyond * beyond);
    };
    const mm3 = removed(seat({ cutter: 'sled-runner', cutterMm: 63, atMm: 30, lengthMm: 28, widthMm: 8, depthMm: 4 }));
    expect(mm3 / counted(gone, [-20, 48], 4, [floor, R])).toBeCloseTo(1, 2);
  });

  it('one that runs out at an end takes its corners too', () => {
    const closed = removed(seat({ cutter: 'end-mill', atMm: 72, lengthMm: 28, widthMm: 8, depthMm: 4 }));
    const open = removed(seat({ cutter: 'end-mill', atMm: 72, lengthMm: 28, widthMm: 8, depthMm: 4, open: 'right' }));
    // Two corners of 4 x 4 less a quarter circle each; the seat is 3.34 deep at its walls and 4 in the middle.
    const corners = 2 * 16 * (1 - Math.PI / 4);
    expect(open - closed).toBeGreaterThan(3.34 * corners);
    expect(open - closed).toBeLessThan(4 * corners);
  });
});

it('the run-out of a sled-runner cutter has to lie on the seat too: 63 wide and 4 deep runs out by 15.4', () => {
  const run = Math.sqrt(31.5 ** 2 - 27.5 ** 2);
  expect(run).toBeCloseTo(15.36, 2);
  const at = (atMm: number) => keyseat.check(seat({ cutter: 'sled-runner', cutterMm: 63, atMm, lengthMm: 28 }), host(25));
  expect(at(run + 0.01)).toEqual([]);
  expect(at(run - 0.01)).toEqual([{ field: 'lengthMm', message: expect.stringContaining('does not lie wholly on it') }]);
});

it('mirrored it begins as far from the other end, and runs out at the other side', () => {
  const f = seat({ atMm: 0, lengthMm: 28, open: 'left' });
  const there = keyseat.mirrored(f, 100);
  expect([there.atMm, there.open]).toEqual([72, 'right']);
  expect(keyseat.mirrored(there, 100)).toEqual(f);
});
