/** The nine stations of a job in the order of work. Words only, so that the first screen need not load the computation. */
export const STATIONS = ['receive', 'strip', 'measure', 'decide', 'draw', 'plan', 'cut', 'prove', 'return'] as const;
export type StationId = (typeof STATIONS)[number];

export const STATION_NAMES: Readonly<Record<StationId, string>> = {
  receive: 'Receive',
  strip: 'Strip',
  measure: 'Measure',
  decide: 'Decide',
  draw: 'Draw',
  plan: 'Plan',
  cut: 'Cut',
  prove: 'Prove',
  return: 'Return',
};

/** Where a station stands; `out` when something there is wrong, `not-needed` where this job has nothing to do there. */
export type StationState = 'done' | 'under-way' | 'not-yet' | 'out' | 'not-needed';

export interface StationStanding {
  readonly id: StationId;
  readonly state: StationState;
  /** What it waits for, one sentence; empty when done or not needed. */
  readonly waitsFor: string;
}
