/**
 * ANSI B4.1-1967 (reaffirmed 1999), preferred limits and fits for cylindrical parts: thousandths of an inch, hole basis, for
 * nominal sizes over 0 to 19.69 in. A step holds sizes over its lower and up to and including its upper bound.
 */
export const ANSI_B41_SOURCE = 'ANSI B4.1-1967 (R1999)';

/** Upper bound of each step, inch. */
export const B41_STEP_UPPER_IN = [0.12, 0.24, 0.4, 0.71, 1.19, 1.97, 3.15, 4.73, 7.09, 9.85, 12.41, 15.75, 19.69] as const;

/** Force and shrink fits have finer steps, inch. */
export const B41_FORCE_STEP_UPPER_IN = [
  0.12, 0.24, 0.4, 0.56, 0.71, 0.95, 1.19, 1.58, 1.97, 2.56, 3.15, 3.94, 4.73, 5.52, 6.3, 7.09, 7.88, 8.86, 9.85, 11.03, 12.41, 13.98,
  15.75, 17.72, 19.69,
] as const;

/**
 * Tolerance grades as the tables of fits use them, a value a step. In the first step the fits take 0.15 and 0.20 for grades 4
 * and 5, where the table of grades has 0.12 and 0.15.
 */
export const B41_GRADE = {
  4: [0.15, 0.15, 0.15, 0.2, 0.25, 0.3, 0.3, 0.4, 0.5, 0.6, 0.6, 0.7, 0.8],
  5: [0.2, 0.2, 0.25, 0.3, 0.4, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.0],
  6: [0.25, 0.3, 0.4, 0.4, 0.5, 0.6, 0.7, 0.9, 1.0, 1.2, 1.2, 1.4, 1.6],
  7: [0.4, 0.5, 0.6, 0.7, 0.8, 1.0, 1.2, 1.4, 1.6, 1.8, 2.0, 2.2, 2.5],
  8: [0.6, 0.7, 0.9, 1.0, 1.2, 1.6, 1.8, 2.2, 2.5, 2.8, 3.0, 3.5, 4.0],
  9: [1.0, 1.2, 1.4, 1.6, 2.0, 2.5, 3.0, 3.5, 4.0, 4.5, 5.0, 6.0, 6.0],
  10: [1.6, 1.8, 2.2, 2.8, 3.5, 4.0, 4.5, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0],
  11: [2.5, 3.0, 3.5, 4.0, 5.0, 6.0, 7.0, 9.0, 10.0, 12.0, 12.0, 14.0, 16.0],
  12: [4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20, 22, 25],
  13: [6, 7, 9, 10, 12, 16, 18, 22, 25, 28, 30, 35, 40],
} as const;

export type B41Grade = keyof typeof B41_GRADE;

/** How a class is made: the grades of hole and shaft, and the shaft's deviation a step by `from`. */
export interface B41Class {
  readonly holeGrade: B41Grade;
  readonly shaftGrade: B41Grade;
  /** `upper`: the shaft lies that much under nominal. `lower`: its lower deviation above nominal. `middle`: half the given width. */
  readonly from: 'upper' | 'lower' | 'middle';
  /** `null` where the class is not given for the step. */
  readonly shaft: readonly (number | null)[];
  /** Published shaft widths that differ from the grade's, by step. */
  readonly shaftWidth?: Readonly<Record<number, number>>;
  readonly steps?: 'force';
}

const RC12 = [0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.4, 0.5, 0.6, 0.6, 0.8, 1.0, 1.2];
const RC34 = [0.3, 0.4, 0.5, 0.6, 0.8, 1.0, 1.2, 1.4, 1.6, 2.0, 2.5, 3.0, 4.0];
const RC56 = [0.6, 0.8, 1.0, 1.2, 1.6, 2.0, 2.5, 3.0, 3.5, 4.0, 5.0, 6.0, 8.0];
const ZERO = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0];
const LT34 = [null, null, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1, 0.2, 0.2, 0.2, 0.2];
const LT56 = [0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 1.0, 1.2, 1.4, 1.4, 1.6, 1.8];

const FN1 = [0.3, 0.4, 0.5, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.3, 1.4, 1.8, 2.0, 2.2, 2.5, 2.8, 3.0, 3.5, 3.5, 4.0, 4.0, 4.5, 5.0, 6.0, 6.0];
const FN2 = [0.6, 0.7, 1.0, 1.2, 1.2, 1.4, 1.4, 1.8, 1.8, 2.0, 2.2, 2.8, 3.0, 3.5, 4.0, 4.5, 5.0, 5.0, 6.0, 6.0, 7.0, 8.0, 8.0, 9.0, 10.0];
const FN3 = [
  null,
  null,
  null,
  null,
  null,
  null,
  1.6,
  2.0,
  2.2,
  2.5,
  3.0,
  3.5,
  4.0,
  5.0,
  5.0,
  6.0,
  7.0,
  7.0,
  8.0,
  9.0,
  9.0,
  10.0,
  12.0,
  12.0,
  14.0,
];
const FN4 = [
  0.7, 0.9, 1.2, 1.4, 1.4, 1.6, 1.8, 2.5, 2.8, 3.5, 4.0, 5.0, 6.0, 7.0, 7.0, 8.0, 9.0, 10.0, 12.0, 12.0, 14.0, 16.0, 18.0, 20.0, 22.0,
];
const FN5 = [
  0.9, 1.2, 1.4, 1.6, 1.8, 2.2, 2.5, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 10.0, 12.0, 12.0, 14.0, 16.0, 16.0, 18.0, 20.0, 22.0, 25.0, 28.0, 30.0,
];

export const B41_CLASSES = {
  RC1: { holeGrade: 5, shaftGrade: 4, from: 'upper', shaft: RC12 },
  RC2: { holeGrade: 6, shaftGrade: 5, from: 'upper', shaft: RC12 },
  RC3: { holeGrade: 7, shaftGrade: 6, from: 'upper', shaft: RC34 },
  RC4: { holeGrade: 8, shaftGrade: 7, from: 'upper', shaft: RC34 },
  RC5: { holeGrade: 8, shaftGrade: 7, from: 'upper', shaft: RC56 },
  RC6: { holeGrade: 9, shaftGrade: 8, from: 'upper', shaft: RC56 },
  RC7: { holeGrade: 9, shaftGrade: 8, from: 'upper', shaft: [1.0, 1.2, 1.6, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 10.0, 12.0] },
  RC8: { holeGrade: 10, shaftGrade: 9, from: 'upper', shaft: [2.5, 2.8, 3.0, 3.5, 4.5, 5.0, 6.0, 7.0, 8.0, 10.0, 12.0, 14.0, 16.0] },
  RC9: { holeGrade: 11, shaftGrade: 10, from: 'upper', shaft: [4.0, 4.5, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0, 12.0, 15.0, 18.0, 22.0, 25.0] },
  LC1: { holeGrade: 6, shaftGrade: 5, from: 'upper', shaft: ZERO },
  LC2: { holeGrade: 7, shaftGrade: 6, from: 'upper', shaft: ZERO },
  LC3: { holeGrade: 8, shaftGrade: 7, from: 'upper', shaft: ZERO },
  LC4: { holeGrade: 10, shaftGrade: 9, from: 'upper', shaft: ZERO },
  LC5: { holeGrade: 7, shaftGrade: 6, from: 'upper', shaft: [0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.4, 0.5, 0.6, 0.6, 0.7, 0.7, 0.8] },
  LC6: { holeGrade: 9, shaftGrade: 8, from: 'upper', shaft: [0.3, 0.4, 0.5, 0.6, 0.8, 1.0, 1.2, 1.4, 1.6, 2.0, 2.2, 2.5, 2.8] },
  LC7: { holeGrade: 10, shaftGrade: 9, from: 'upper', shaft: [0.6, 0.8, 1.0, 1.2, 1.6, 2.0, 2.5, 3.0, 3.5, 4.0, 4.5, 5.0, 5.0] },
  LC8: { holeGrade: 10, shaftGrade: 9, from: 'upper', shaft: [1.0, 1.2, 1.6, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 7.0, 7.0, 8.0, 9.0] },
  LC9: { holeGrade: 11, shaftGrade: 10, from: 'upper', shaft: [2.5, 2.8, 3.0, 3.5, 4.5, 5.0, 6.0, 7.0, 8.0, 10.0, 12.0, 14.0, 16.0] },
  LC10: { holeGrade: 12, shaftGrade: 12, from: 'upper', shaft: [4.0, 4.5, 5.0, 6.0, 7.0, 8.0, 10.0, 11.0, 12.0, 16.0, 20.0, 22.0, 25.0] },
  LC11: { holeGrade: 13, shaftGrade: 13, from: 'upper', shaft: [5, 6, 7, 8, 10, 12, 14, 16, 18, 22, 28, 30, 35] },
  LT1: {
    holeGrade: 7,
    shaftGrade: 6,
    from: 'middle',
    shaft: [0.12, 0.15, 0.2, 0.2, 0.25, 0.3, 0.3, 0.4, 0.5, 0.6, 0.6, 0.7, 0.8],
  },
  LT2: {
    holeGrade: 8,
    shaftGrade: 7,
    from: 'middle',
    shaft: [0.2, 0.25, 0.3, 0.35, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1.0, 1.0, 1.2],
  },
  LT3: { holeGrade: 7, shaftGrade: 6, from: 'lower', shaft: LT34 },
  LT4: { holeGrade: 8, shaftGrade: 7, from: 'lower', shaft: LT34 },
  LT5: { holeGrade: 7, shaftGrade: 6, from: 'lower', shaft: LT56 },
  LT6: { holeGrade: 7, shaftGrade: 7, from: 'lower', shaft: LT56 },
  LN1: {
    holeGrade: 6,
    shaftGrade: 5,
    from: 'lower',
    shaft: [0.25, 0.3, 0.4, 0.4, 0.5, 0.6, 0.8, 1.0, 1.2, 1.4, 1.4, 1.6, 1.8],
    shaftWidth: { 3: 0.4, 4: 0.5, 5: 0.5 },
  },
  LN2: { holeGrade: 7, shaftGrade: 6, from: 'lower', shaft: [0.4, 0.5, 0.6, 0.7, 0.8, 1.0, 1.4, 1.6, 1.8, 2.0, 2.2, 2.5, 2.8] },
  LN3: { holeGrade: 7, shaftGrade: 6, from: 'lower', shaft: [0.5, 0.6, 0.8, 1.0, 1.2, 1.4, 1.6, 2.0, 2.5, 3.0, 3.5, 4.5, 5.0] },
  FN1: { holeGrade: 6, shaftGrade: 5, from: 'lower', shaft: FN1, shaftWidth: { 22: 1.1 }, steps: 'force' },
  FN2: { holeGrade: 7, shaftGrade: 6, from: 'lower', shaft: FN2, steps: 'force' },
  FN3: { holeGrade: 7, shaftGrade: 6, from: 'lower', shaft: FN3, steps: 'force' },
  FN4: { holeGrade: 7, shaftGrade: 6, from: 'lower', shaft: FN4, steps: 'force' },
  FN5: { holeGrade: 8, shaftGrade: 7, from: 'lower', shaft: FN5, steps: 'force' },
} as const satisfies Record<string, B41Class>;
