/** Where round the part something lies, and what it is timed to: degrees clockwise seen from the right end, 0 up. */
export interface Clocked {
  readonly clockDeg: number;
  /** Id of the feature that its angle is held to; empty for none. */
  readonly timedTo: string;
}

export const CLOCK_FIELDS = {
  clockDeg: { kind: 'angle', label: 'Clock angle', from: 0, to: 359.99 },
  timedTo: { kind: 'timed', label: 'Timed to' },
} as const;

export const CLOCK_START: Clocked = { clockDeg: 0, timedTo: '' };

/** The clock angle is a dimension where it is held to something else. */
export const clockDimension = (f: Clocked) =>
  f.timedTo === '' ? [] : [{ name: 'clock', what: 'angle' as const, label: 'clock angle', value: f.clockDeg }];
/** The dimension that an operation makes by turning to a clock angle: none where it is timed to nothing. */
export const clockMade = (f: Clocked): readonly string[] => (f.timedTo === '' ? [] : ['clock']);
