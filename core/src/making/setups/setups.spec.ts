import { FEATURE_KINDS, hostOf, newPart } from '../part';
import { depthLadder } from './depth-ladder';
import { crossDialFor, crossTurns, dialDecimals, diameterForCrossDial, linesWords, toTurns, turnsOf, turnsWords } from './dial';

const INCH_CROSS = { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' } as const;
const METRIC_CROSS = { unit: 'mm', perTurn: 5, perLine: 0.02, reads: 'diameter' } as const;
const CARRIAGE = { unit: 'in', perTurn: 0.5, perLine: 0.005 } as const;

describe('dials', () => {
  it('count full turns and the remainder', () => {
    expect(toTurns(1.7 * 25.4, CARRIAGE)).toEqual({ turns: 3, remainder: expect.closeTo(0.2, 9) });
    expect(toTurns(25.4, CARRIAGE)).toEqual({ turns: 2, remainder: 0 });
    expect(toTurns(120, { unit: 'mm', perTurn: 5, perLine: 0.05 })).toEqual({ turns: 24, remainder: 0 });
  });

  it('never shows a remainder of a whole turn', () => {
    for (let mm = 0; mm < 60; mm += 0.013) expect(toTurns(mm, CARRIAGE).remainder).toBeLessThan(0.5);
  });

  it('halve the diameter on a radius dial and not on a diameter dial', () => {
    expect(crossDialFor(0.508, { cross: INCH_CROSS })).toBeCloseTo(0.01, 9);
    expect(crossDialFor(0.508, { cross: METRIC_CROSS })).toBeCloseTo(0.508, 9);
    expect(diameterForCrossDial(0.01, { cross: INCH_CROSS })).toBeCloseTo(0.508, 9);
    expect(diameterForCrossDial(0.5, { cross: METRIC_CROSS })).toBeCloseTo(0.5, 9);
  });

  it('count the same cut in other turns on a radius and on a diameter dial', () => {
    // 14 mm off the diameter: 7 mm of travel is 0.2756 in on a radius dial of 0.2 in a turn, 14 mm on a diameter dial of 5.
    expect(crossTurns(14, { cross: INCH_CROSS })).toEqual({ turns: 1, remainder: expect.closeTo(0.0755, 9) });
    expect(crossTurns(14, { cross: METRIC_CROSS })).toEqual({ turns: 2, remainder: expect.closeTo(4, 9) });
  });

  it('say their turns in words', () => {
    expect(turnsWords(turnsOf(0.3748, INCH_CROSS), INCH_CROSS)).toBe('1 turn + 0.1750');
    expect(turnsWords(turnsOf(0.1023, INCH_CROSS), INCH_CROSS)).toBe('0.1025');
    expect(turnsWords({ turns: 2, remainder: 0 }, METRIC_CROSS)).toBe('2 turns + 0.000');
  });

  it('show half a line', () => {
    expect(dialDecimals(INCH_CROSS)).toBe(4);
    expect(dialDecimals(METRIC_CROSS)).toBe(3);
  });
});

describe('the depth ladder of a headed pin', () => {
  const bare = newPart('headed-pin', 'Pin', 40, 120);
  const hole = { ...FEATURE_KINDS['cross-hole'].start(hostOf(bare, 'body')!), diameterMm: 6, atMm: 101.6, clockDeg: 90 };
  const pin = { ...bare, features: [...bare.features, { ...hole, id: 'h', kind: 'cross-hole' as const, on: 'body', name: 'Cross hole' }] };
  const all = [...pin.outside, ...pin.features].map((x) => x.id);
  const ladder = (touched: 'left' | 'right', cuts: readonly string[] = all) =>
    depthLadder(pin, { fromFarEnd: true, partingMm: 3, touched, dial: CARRIAGE, partOff: true, toLength: false, cuts });

  it('counts from the far end, nearest first', () => {
    expect(ladder('left').map((r) => [r.what, Number(r.depthMm.toFixed(3))])).toEqual([
      ['Chamfer: begins', 1],
      ['Cross hole 6 mm, centre', 10],
      ['Shoulder head to body', 111.6],
      ['Chamfer: ends', 119],
      ['Part off', 120],
    ]);
  });

  it('has only what is cut in the holding, a shoulder with the thinner of its two sides', () => {
    expect(ladder('left', ['body']).map((r) => r.key)).toEqual(['body.shoulder', 'part-off']);
    expect(ladder('left', ['head']).map((r) => r.key)).toEqual(['part-off']);
    expect(ladder('left', ['h']).map((r) => r.depthMm)).toEqual([10, 120]);
  });

  it('ends with the length over all where an end is faced to it', () => {
    const faced = depthLadder(pin, {
      ...{ fromFarEnd: false, partingMm: 3, touched: 'left', dial: CARRIAGE, partOff: false, toLength: true, cuts: [] },
    });
    expect(faced).toMatchObject([{ key: 'length', toolMm: 120 }]);
  });

  it('adds the tool width when the left edge was touched, and not for the right', () => {
    expect(ladder('left').at(-1)!.toolMm).toBeCloseTo(123, 9);
    expect(ladder('right').at(-1)!.toolMm).toBeCloseTo(120, 9);
    expect(ladder('left').at(-1)!.dial).toEqual({ turns: 9, remainder: expect.closeTo(0.3425, 6) });
  });

  it('puts a tool wider than a line on both walls of a groove: its other edge stands its width away', () => {
    // 4 mm wide, walls 20 and 24 mm from the free end, a tool of 3 mm.
    const body = pin.outside.find((s) => s.id === 'body')!;
    const atMm = body.lengthMm - 24;
    const groove = {
      id: 'g',
      kind: 'seal-groove',
      on: 'body',
      name: 'Groove',
      use: 'rod-seal',
      atMm,
      widthMm: 4,
      diameterMm: 34,
      cornerMm: 0,
    } as const;
    const grooved = { ...pin, features: [groove] };
    const at = (touched: 'left' | 'right', partingMm = 3): number[] =>
      depthLadder(grooved, { fromFarEnd: true, partingMm, touched, dial: CARRIAGE, partOff: false, toLength: false, cuts: ['g'] }).map(
        (r) => Number(r.toolMm.toFixed(6)),
      );
    expect(at('left')).toEqual([23, 24]);
    expect(at('right')).toEqual([20, 21]);
    // One as wide as the groove, or wider and to be ground to it, plunges once.
    expect(at('left', 4)).toEqual([24, 24]);
    expect(at('right', 6)).toEqual([20, 20]);
  });
});

it('counts a move as lines of the dial, and says where it lies between them', () => {
  const dial = { perLine: 0.001 };
  expect(linesWords(0.006, dial)).toBe('6 lines');
  expect(linesWords(0.0035, dial)).toBe('3 lines and a half');
  expect(linesWords(0.0057, dial)).toBe('about 5 lines and a half');
  expect(linesWords(0.0058, dial)).toBe('about 6 lines');
  expect(linesWords(0.0011, dial)).toBe('about 1 line');
  expect(linesWords(0.0005, dial)).toBe('half a line');
  expect(linesWords(0.0002, dial)).toBe('less than half a line');
  expect(linesWords(0.04, { perLine: 0.02 })).toBe('2 lines');
});
