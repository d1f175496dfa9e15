import { typed } from '../../terms/working';
import { onCross, onDial, toldCuts } from './on-dial';

const figure = (mm: number) => typed('k', 'setting', mm, 'test');
const inch = {
  cross: { unit: 'in', perTurn: 0.2, perLine: 0.001, reads: 'radius' },
  carriage: { unit: 'in', perTurn: 0.5, perLine: 0.005 },
} as const;
const metric = {
  cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
  carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
} as const;

it('a depth of 0.2755 in a side is a turn and 0.0755 on a radius dial of 0.2 a turn', () => {
  expect(onCross(0.2755 * 25.4, inch)).toBe('1 turn + 0.0755');
});

it('a depth of 3 mm a side is 6 mm on a diameter dial of 5 a turn', () => {
  expect(onCross(3, metric)).toBe('1 turn + 1.000');
});

it('along the part the carriage’s dial counts the travel itself', () => {
  expect(onDial({ figure: figure(47.3), on: 'carriage' }, metric)).toBe('2 turns + 7.30 mm');
  expect(onDial({ figure: figure(1.27), on: 'carriage' }, inch)).toBe('0.0500 in');
});

it('what no dial shows is told without one', () => {
  expect(onDial({ figure: figure(10), on: null }, inch)).toBe('');
});

it('cuts one after another: each as the dial that counts it shows it, and none where there is but one', () => {
  const cuts = (on: 'cross' | 'compound' | null, ...toMm: number[]) => toldCuts({ cuts: { on, toMm } }, metric, 'mm');
  expect(cuts('cross', 1, 3)).toEqual({ on: 'cross slide at', each: ['2.000', '1 turn + 1.000'] });
  expect(cuts('compound', 0.41, 0.58)).toEqual({ on: 'compound at', each: ['0.41', '0.58'] });
  expect(toldCuts({ cuts: { on: null, toMm: [25.4, 50.8] } }, inch, 'in')).toEqual({ on: 'down to', each: ['1.000', '2.000'] });
  expect(cuts(null, 12)).toBeNull();
  expect(toldCuts({ cuts: null }, metric, 'mm')).toBeNull();
});
