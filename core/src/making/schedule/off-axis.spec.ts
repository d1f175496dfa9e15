import { hostOf, kindOf, surface, type FeatureKindId, type Part, type PartFeature } from '../part';
import { packingMm, unbalancedRpm } from './off-axis';
import { schedulesOf } from './schedules';
import { TEST_BENCH } from './testing-bench';

const disc: Part = {
  ...{ name: 'Eccentric', materialId: 'cast-iron-250', bores: [], features: [], limits: {}, block: null },
  outside: [surface('s', 'cylinder', 'Disc', 50.8, 88.9)],
};
function settings(part: Part, kind: FeatureKindId, on: string, own: object): Record<string, number> {
  const f = { ...kindOf(kind).start(hostOf(part, on)!), id: 'f', kind, on, name: 'It', ...own } as unknown as PartFeature;
  const [one] = schedulesOf({ ...part, features: [f] }, TEST_BENCH).filter((s) => s.id === 'f');
  return Object.fromEntries(one!.settings.map((x) => [x.figure.key.split('.').at(-1)!, x.figure.value]));
}

it('a packed three-jaw: the work touches three jaw points on one circle about the spindle, its middle off by the throw', () => {
  for (const [e, r] of [
    [3, 20],
    [8.5, 31],
    [19.05, 44.45],
  ] as const) {
    // Turned about the spindle: the jaws that nothing is under stand where the round cuts their lines.
    const jaw = (deg: number): number => {
      let [low, high] = [0, r + e];
      for (let i = 0; i < 80; i++) {
        const d = (low + high) / 2;
        const [x, y] = [d * Math.cos((deg * Math.PI) / 180), d * Math.sin((deg * Math.PI) / 180)];
        if (Math.hypot(x - e, y) < r) low = d;
        else high = d;
      }
      return low;
    };
    // Set over away from the packed jaw at 180°: two jaws touch at 60° and 300°, and the packed one stands as far out as they do.
    expect(packingMm(e, r)).toBeCloseTo(jaw(60) - jaw(180), 9);
    expect(jaw(60)).toBeCloseTo(jaw(300), 9);
  }
});

it('3/4 in off in a disc of 3 1/2: packed by 1.000 in, swinging 1.500, drilled before it is bored', () => {
  const bored = settings(disc, 'eccentric-bore', 's', { diameterMm: 25.4, throwMm: 19.05 });
  expect(bored['packing']! / 25.4).toBeCloseTo(1, 4);
  expect(bored['swing']! / 25.4).toBeCloseTo(1.5, 9);
  expect(bored['drill']).toBeLessThan(25.4 - 0.5);
  // Right through: no depth to stop at. Short of that there is one.
  expect(bored['deep']).toBeUndefined();
  expect(settings(disc, 'eccentric-bore', 's', { diameterMm: 25.4, throwMm: 10, reach: 'to depth', depthMm: 30 })['deep']).toBe(30);
});

it('a stretch that takes the whole of its round is held on the one beside it; where nothing is beside it no packing is told', () => {
  const stretch = { atMm: 0, lengthMm: 50.8, diameterMm: 50, throwMm: 6 };
  expect(settings(disc, 'eccentric', 's', stretch)['packing']).toBeUndefined();
  const shaft: Part = { ...disc, outside: [...disc.outside, surface('t', 'cylinder', 'Tail', 80, 40)] };
  expect(settings(shaft, 'eccentric', 's', stretch)['packing']).toBeCloseTo(packingMm(6, 20), 9);
});

it('without a counterweight it turns no faster than it would be thrown out at 1 g', () => {
  for (const e of [2, 19.05, 60]) {
    const gear = unbalancedRpm(e, [30, 70, 120, 200, 350, 500, 800]);
    const pull = (n: number): number => (e / 1000) * ((2 * Math.PI * n) / 60) ** 2;
    expect(pull(gear)).toBeLessThanOrEqual(9.80665 + 1e-9);
  }
  expect(unbalancedRpm(19.05, [70, 200, 500])).toBe(200);
  // No gear is slow enough: the slowest that there is, and no faster than that.
  expect(unbalancedRpm(200, [120, 500])).toBeLessThan(120);
});

it('a bore beside the axis: the slide comes out pass by pass, and the last leaves the hole at its drawn size', () => {
  const f = {
    ...kindOf('eccentric-bore').start(hostOf(disc, 's')!),
    id: 'f',
    kind: 'eccentric-bore',
    on: 's',
    name: 'It',
    diameterMm: 31,
    throwMm: 9,
  };
  const [one] = schedulesOf({ ...disc, features: [f as unknown as PartFeature] }, TEST_BENCH).filter((s) => s.id === 'f');
  const drill = one!.settings.find((x) => x.figure.key.endsWith('.drill'))!.figure.value;
  // Moved out from the drilled wall, a tip cuts a circle so much larger.
  const bored = one!.cuts!.toMm.map((out) => 2 * (drill / 2 + out));
  expect(one!.cuts!.on).toBe('cross');
  expect(bored.at(-1)).toBeCloseTo(31, 9);
  for (const [i, mm] of bored.entries()) {
    const off = mm - (bored[i - 1] ?? drill);
    expect(off).toBeGreaterThan(0);
    expect(off).toBeLessThanOrEqual(4 + 1e-9);
  }
  expect(bored.at(-1)! - bored.at(-2)!).toBeCloseTo(bored.at(-2)! - bored.at(-3)!, 9);
});

it('what is set over turns no faster than what holds it bears, where that is less than its pull allows', () => {
  const f = {
    ...kindOf('eccentric').start(hostOf(disc, 's')!),
    id: 'f',
    kind: 'eccentric',
    on: 's',
    name: 'It',
    throwMm: 9,
  } as unknown as PartFeature;
  const rpm = (mostRpm: number | null): number =>
    schedulesOf({ ...disc, features: [f] }, { ...TEST_BENCH, mostRpm: (id) => (id === 'f' ? mostRpm : null) })
      .find((s) => s.id === 'f')!
      .settings.find((x) => x.figure.key.endsWith('.rpm'))!.figure.value;
  // sqrt(9810 / 9) is 33 a second, 315 a minute: 200 of 70, 200, 500 and 1200.
  expect([rpm(null), rpm(1000), rpm(150), rpm(40)]).toEqual([200, 200, 70, 70]);
});
