import type { Lathe } from '../setups';

/** A small metric lathe for tests. */
export const TEST_LATHE: Lathe = {
  ...{ id: 'l', name: 'Lathe', readout: null, gearsRpm: [100], swingMm: 330, centresMm: 760 },
  cross: { unit: 'mm', perTurn: 5, perLine: 0.05, reads: 'diameter' },
  carriage: { unit: 'mm', perTurn: 20, perLine: 0.1 },
};
