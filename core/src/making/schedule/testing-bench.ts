import type { Bench } from './schedule';

/** A metric lathe without change wheels, and an empty crib, for tests. */
export const TEST_BENCH: Bench = {
  lathe: {
    name: 'Lathe',
    cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
    carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
    gearsRpm: [70, 200, 500, 1200],
  },
  mill: null,
  drillSets: [],
  hssMMin: 25,
  mostRpm: () => null,
  holeMm: null,
  cutMm: (s) => s.diameterMm,
  partingMm: 3,
  finderMm: 10,
  unit: 'mm',
};
