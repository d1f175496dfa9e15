/** A thread form: the shape of the groove, not its size. */
export interface ThreadForm {
  readonly id: 'iso60' | 'whitworth' | 'ba' | 'trapezoidal' | 'acme' | 'cycle';
  readonly name: string;
  readonly angleDeg: number;
  /** Pitch diameter = major - this x pitch. */
  readonly toPitchDiameter: number;
  /** Basic minor of the inside thread = major - this x pitch. */
  readonly toMinor: number;
  /** Root of the outside thread = major - this x pitch, without the clearance of trapezoidal forms. */
  readonly toRoot: number;
  /** Over wires: M = E + wire x `wireFactor` - pitch x `pitchFactor`; best wire = pitch x `bestWire`. */
  readonly wireFactor: number;
  readonly pitchFactor: number;
  readonly bestWire: number;
  /** From the pitch line, in pitches: out to the crest, out to the end of the straight flank, in to its other end. */
  readonly crest: number;
  readonly flankOut: number;
  readonly flankIn: number;
  readonly source: string;
}

const trapezoid = (halfDeg: number): Pick<ThreadForm, 'wireFactor' | 'pitchFactor' | 'bestWire'> => {
  const half = (halfDeg * Math.PI) / 180;
  return { wireFactor: 1 + 1 / Math.sin(half), pitchFactor: 0.5 / Math.tan(half), bestWire: 0.5 / Math.cos(half) };
};

/** A form whose crests and roots are rounded alike by a radius: where its flank ends, in pitches from the pitch line. */
function rounded(halfDeg: number, depth: number, radius: number): Pick<ThreadForm, 'crest' | 'flankOut' | 'flankIn'> {
  const flank = depth / 2 - radius * (1 - Math.sin((halfDeg * Math.PI) / 180));
  return { crest: depth / 2, flankOut: flank, flankIn: flank };
}

export const FORMS = {
  iso60: {
    id: 'iso60',
    name: '60°, metric and unified',
    angleDeg: 60,
    toPitchDiameter: 0.6495190528,
    toMinor: 1.0825317547,
    toRoot: 1.2268693,
    ...trapezoid(30),
    // Crest flat P/8, root of the basic form P/4.
    crest: 0.3247595264,
    flankOut: 0.3247595264,
    flankIn: 0.2165063509,
    source: 'ISO 68-1, ASME B1.1',
  },
  whitworth: {
    id: 'whitworth',
    name: '55°, Whitworth',
    angleDeg: 55,
    toPitchDiameter: 0.6403269,
    toMinor: 1.2806538,
    toRoot: 1.2806538,
    ...trapezoid(27.5),
    ...rounded(27.5, 0.6403269, 0.1373291),
    source: 'BS 84',
  },
  ba: {
    id: 'ba',
    name: '47.5°, BA',
    angleDeg: 47.5,
    toPitchDiameter: 0.6,
    toMinor: 1.2,
    toRoot: 1.2,
    ...trapezoid(23.75),
    ...rounded(23.75, 0.6, 2 / 11),
    source: 'BS 93',
  },
  trapezoidal: {
    id: 'trapezoidal',
    name: '30°, trapezoidal',
    angleDeg: 30,
    toPitchDiameter: 0.5,
    toMinor: 1,
    toRoot: 1,
    ...trapezoid(15),
    crest: 0.25,
    flankOut: 0.25,
    flankIn: 0.25,
    source: 'ISO 2901',
  },
  acme: {
    id: 'acme',
    name: '29°, ACME',
    angleDeg: 29,
    toPitchDiameter: 0.5,
    toMinor: 1,
    toRoot: 1,
    ...trapezoid(14.5),
    crest: 0.25,
    flankOut: 0.25,
    flankIn: 0.25,
    source: 'ASME B1.5',
  },
  cycle: {
    id: 'cycle',
    name: '60°, cycle',
    angleDeg: 60,
    toPitchDiameter: 0.5327,
    toMinor: 1.0654,
    toRoot: 1.0654,
    ...trapezoid(30),
    ...rounded(30, 0.5327, 1 / 6),
    source: 'BS 811',
  },
} as const satisfies Record<string, ThreadForm>;
