import { fieldProblem } from './field-problem';

const length = { kind: 'length', label: 'Width', from: 0.1, to: 300 } as const;
const count = { kind: 'count', label: 'Teeth', from: 2, to: 100 } as const;
const words = { kind: 'text', label: 'Thread', most: 5 } as const;

it.each([
  [length, 0.1, null],
  [length, 300, null],
  [length, 0.09, 'Width: from 0.1 to 300 mm.'],
  [length, NaN, 'Width: from 0.1 to 300 mm.'],
  [length, '5', 'Width: from 0.1 to 300 mm.'],
  [length, undefined, 'Width: from 0.1 to 300 mm.'],
  [count, 6, null],
  [count, 6.5, 'Teeth: a whole number from 2 to 100.'],
  [{ kind: 'angle', label: 'Angle', from: 0, to: 90 } as const, 91, 'Angle: from 0 to 90°.'],
  [{ kind: 'number', label: 'From', unit: 'HRC', from: 20, to: 70 } as const, 80, 'From: from 20 to 70 HRC.'],
  [{ kind: 'choice', label: 'Made by', options: [['drilled', 'drilling']] } as const, 'drilled', null],
  [{ kind: 'choice', label: 'Made by', options: [['drilled', 'drilling']] } as const, 'toString', 'Made by: choose one.'],
  [words, 'M6', null],
  [words, '   ', 'Thread: it is needed.'],
  [{ ...words, optional: true }, '', null],
  [words, 'M6 x 1', 'Thread: at most 5 letters.'],
  [words, null, 'Thread: at most 5 letters.'],
  [{ kind: 'timed', label: 'Timed to' } as const, '', null],
  [{ kind: 'timed', label: 'Timed to' } as const, 5, 'Timed to: choose one.'],
] as const)('%j with %j: %j', (spec, value, problem) => expect(fieldProblem(spec, value)).toBe(problem));
