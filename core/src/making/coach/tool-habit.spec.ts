import { deepest, foretell, learnHabit, standingAt, type CutRecord, type ToolHabit } from './tool-habit';

const expectAt = (t: ToolHabit, dialMm: number) => foretell(t, dialMm, 0);
const chanceUnder = (t: ToolHabit, dialMm: number, limitMm: number): number => foretell(t, dialMm, limitMm).under;

const lathe = { cross: { unit: 'mm', perTurn: 4, perLine: 0.02, reads: 'diameter' } } as const;
const U = 0.002;
const learn = (cuts: readonly CutRecord[]) => learnHabit(cuts, lathe, U, 0.01);

/** Cuts of a tool that is pushed off by a share and comes back, on a screw that loses a share: both told, without any noise. */
function cutsOf(spring: number, lost: number, dials: readonly number[], skimMm = 0.3): CutRecord[] {
  const zero = 42 - spring * skimMm;
  let mm = 42;
  return [
    { dial: 0, measuredMm: 42 },
    ...dials.map((dial) => {
      mm -= (1 - spring) * Math.max(0, mm - (zero - (1 - lost) * dial));
      return { dial, measuredMm: mm };
    }),
  ];
}
const nextOf = (spring: number, lost: number, dials: readonly number[], dial: number): number =>
  cutsOf(spring, lost, [...dials, dial]).at(-1)!.measuredMm;

describe('after three cuts the next one is foretold', () => {
  it.each([
    [0, 0],
    [0.05, 0],
    [0.2, 0],
    [0.3, 0],
    [0, 0.15],
    [0, 0.3],
    [0.1, 0.1],
  ])('of a tool that springs %d on a screw that loses %d', (spring, lost) => {
    const dials = [0.8, 1.4, 1.7];
    const known = learn(cutsOf(spring, lost, dials));
    const { mm, sdMm } = expectAt(known, 2);
    const truth = nextOf(spring, lost, dials, 2);
    expect(Math.abs(mm - truth)).toBeLessThan(0.02);
    expect(Math.abs(mm - truth)).toBeLessThan(3 * sdMm);
  });
});

it('what stands before a springy tool comes off once more, of a worn screw nothing does', () => {
  // Cuts of several depths: of three alike it cannot be told whether the push grows with them.
  const dials = [0.1, 0.8, 1.4, 1.6, 1.7];
  const springy = learn(cutsOf(0.2, 0, dials));
  // In truth a fifth of the last cut's chip stands there.
  const [before, last] = cutsOf(0.2, 0, dials).slice(-2);
  const stood = before!.measuredMm - (42 - 0.06 - 1.7);
  expect(standingAt(springy, 1.7)).toBeCloseTo(0.2 * stood, 2);
  expect(last!.measuredMm - expectAt(springy, 1.7).mm).toBeCloseTo(0.8 * 0.2 * stood, 2);
  const worn = learn(cutsOf(0, 0.2, dials));
  expect(standingAt(worn, 1.7)).toBeLessThan(0.01);
});

it('knows little before the first cut, and more after each', () => {
  const spread = (n: number): number => {
    const known = learn(cutsOf(0.12, 0, [0.6, 1.1, 1.5].slice(0, n)));
    return expectAt(known, (n === 0 ? 0 : [0.6, 1.1, 1.5][n - 1]!) + 0.3).sdMm;
  };
  expect(spread(0)).toBeGreaterThan(0.02);
  expect(spread(3)).toBeLessThan(spread(0) / 3);
});

describe('nothing is learned', () => {
  const before = cutsOf(0.1, 0, [0.5, 0.9]);
  const same = (more: CutRecord): void => {
    expect(learn([...before, more]).habits).toEqual(learn(before).habits);
  };
  it('of a size taken twice at one setting', () => same({ dial: 0.9, measuredMm: before.at(-1)!.measuredMm - 0.001 }));
  it('of one that went the wrong way', () => same({ dial: 1.2, measuredMm: before.at(-1)!.measuredMm + 0.01 }));
});

it('a chip that may have been rubbed tells little', () => {
  const before = cutsOf(0.1, 0, [0.5, 0.9]);
  const last = before.at(-1)!.measuredMm;
  // Of some hundredths that should come off, a blunt tool may take all or nothing: what is foretold of a real cut stays.
  const next = (mm: number): number => expectAt(learnHabit([...before, { dial: 0.96, measuredMm: mm }], lathe, U, 0.1), 1.3).mm;
  expect(Math.abs(next(last) - next(last - 0.03))).toBeLessThan(0.005);
});

it('a size that is far off is doubted more than believed', () => {
  const dials = [0.5, 0.9, 1.2, 1.4];
  const good = cutsOf(0.05, 0, dials);
  const wrong = good.map((c, i) => (i === 2 ? { ...c, measuredMm: c.measuredMm + 0.25 } : c));
  const truth = nextOf(0.05, 0, dials, 1.7);
  expect(Math.abs(expectAt(learn(wrong), 1.7).mm - truth)).toBeLessThan(0.08);
});

it('the chance of going under is none far below, all far above, and about even at what is expected', () => {
  const known = learn(cutsOf(0.1, 0, [0.6, 1]));
  expect(chanceUnder(known, 1.3, 30)).toBeLessThan(1e-6);
  expect(chanceUnder(known, 1.3, 45)).toBeGreaterThan(1 - 1e-6);
  const { mm } = expectAt(known, 1.3);
  const half = chanceUnder(known, 1.3, mm);
  expect(half).toBeGreaterThan(0.3);
  expect(half).toBeLessThan(0.7);
});

it('the deepest setting is found by halving, and is the shallower end where none holds', () => {
  expect(deepest(0, 10, (d) => d <= Math.PI)).toBeCloseTo(Math.PI, 5);
  expect(deepest(0, 10, () => true)).toBe(10);
  expect(deepest(2, 10, () => false)).toBeCloseTo(2, 9);
});
