/** How a shaft is loaded: bent while it turns, twisted, pulled. */
export const LOADS = ['bending', 'torsion', 'tension'] as const;
export type Load = (typeof LOADS)[number];

/**
 * A stress concentration factor, and whether it lies in the range that it was published for. Beyond that it grows from the range's end as the stress
 * at a sharp corner does.
 */
export interface Factor {
  readonly kt: number;
  readonly inRange: boolean;
}

/** Four coefficients, each of 1, the root of h/r, and h/r. */
type Row = readonly (readonly [number, number, number])[];
/** For h/r from the first number to the second. */
type Curve = readonly [from: number, to: number, row: Row];

/**
 * Kt = C1 + C2 (2h/D) + C3 (2h/D)² + C4 (2h/D)³, h the depth on the radius, D the larger diameter; nominal stress in the smaller diameter.
 *
 * Source: Pilkey's fits to Peterson's charts (Peterson's Stress Concentration Factors), as Roark's table 17.1 has them too.
 */
const SHOULDER: Readonly<Record<Load, readonly Curve[]>> = {
  tension: [
    [
      0.1,
      2,
      [
        [0.926, 1.157, -0.099],
        [0.012, -3.036, 0.961],
        [-0.302, 3.977, -1.744],
        [0.365, -2.098, 0.878],
      ],
    ],
    [
      2,
      20,
      [
        [1.2, 0.86, -0.022],
        [-1.805, -0.346, -0.038],
        [2.198, -0.486, 0.165],
        [-0.593, -0.028, -0.106],
      ],
    ],
  ],
  bending: [
    [
      0.1,
      2,
      [
        [0.947, 1.206, -0.131],
        [0.022, -3.405, 0.915],
        [0.869, 1.777, -0.555],
        [-0.81, 0.422, -0.26],
      ],
    ],
    [
      2,
      20,
      [
        [1.232, 0.832, -0.008],
        [-3.813, 0.968, -0.26],
        [7.423, -4.868, 0.869],
        [-3.839, 3.07, -0.6],
      ],
    ],
  ],
  torsion: [
    [
      0.25,
      4,
      [
        [0.905, 0.783, -0.075],
        [-0.437, -1.969, 0.553],
        [1.557, 1.073, -0.578],
        [-1.061, 0.171, 0.086],
      ],
    ],
  ],
};

const GROOVE: Readonly<Record<'bending' | 'torsion', readonly Curve[]>> = {
  bending: [
    [
      0.25,
      2,
      [
        [0.594, 2.958, -0.52],
        [0.422, -10.545, 2.692],
        [0.501, 14.375, -4.486],
        [-0.613, -6.573, 2.177],
      ],
    ],
    [
      2,
      50,
      [
        [0.965, 1.926, 0],
        [-2.773, -4.414, -0.017],
        [4.785, 4.681, 0.096],
        [-1.995, -2.241, -0.074],
      ],
    ],
  ],
  torsion: [
    [
      0.25,
      2,
      [
        [0.966, 1.056, -0.022],
        [-0.192, -4.037, 0.674],
        [0.808, 5.321, -1.231],
        [-0.567, -2.364, 0.566],
      ],
    ],
    [
      2,
      50,
      [
        [1.089, 0.924, 0.018],
        [-1.504, -2.141, -0.047],
        [2.486, 2.289, 0.091],
        [-1.056, -1.104, -0.059],
      ],
    ],
  ],
};

/**
 * How the largest stress grows as a corner gets sharper, by powers of 1 / radius: a square corner bent or pulled, one twisted, and a groove, which
 * at last is a crack. Source: the singular stress at a re-entrant corner (Williams 1952; 1 / 3 for a square one twisted).
 */
const SHARPER = { corner: 0.4555, twisted: 1 / 3, groove: 0.5 } as const;

function onCurve(curves: readonly Curve[], sharper: number, hMm: number, rMm: number, largeMm: number): Factor {
  const ratio = hMm / rMm;
  const [least, most] = [curves[0]![0], curves.at(-1)![1]];
  const held = Math.min(Math.max(ratio, least), most);
  const row = curves.find(([from, to]) => held >= from && held <= to)![2];
  const share = (2 * hMm) / largeMm;
  const kt = row.reduce((sum, [a, b, c], i) => sum + (a + b * Math.sqrt(held) + c * held) * share ** i, 0);
  const beyond = ratio > most ? (ratio / most) ** sharper : 1;
  return { kt: Math.max(kt * beyond, 1), inRange: ratio <= most };
}

/**
 * A shoulder with a fillet on a round shaft; nominal stress in the smaller diameter.
 *
 * @param largeMm diameter of the shoulder
 * @param smallMm diameter beside it, smaller
 * @param radiusMm of the fillet, over 0
 * @example Shigley's example 7-1: 1.65 in beside 1.1 in with 0.11 in: 1.74 bent and 1.41 twisted, where it reads 1.68 and 1.42 off older charts
 */
export const shoulderFactor = (load: Load, largeMm: number, smallMm: number, radiusMm: number): Factor =>
  onCurve(SHOULDER[load], load === 'torsion' ? SHARPER.twisted : SHARPER.corner, (largeMm - smallMm) / 2, radiusMm, largeMm);

/**
 * A round-bottomed groove in a round shaft; nominal stress in the core. Pulled, it is taken as bent, which is somewhat too mild for shallow grooves:
 * then it does not count as in range.
 *
 * @param largeMm diameter of the shaft
 * @param coreMm of the groove's floor
 * @param radiusMm of its bottom or its corners, over 0
 */
export function grooveFactor(load: Load, largeMm: number, coreMm: number, radiusMm: number): Factor {
  const found = onCurve(GROOVE[load === 'torsion' ? 'torsion' : 'bending'], SHARPER.groove, (largeMm - coreMm) / 2, radiusMm, largeMm);
  return load === 'tension' ? { ...found, inRange: false } : found;
}

/** Coefficients of 1, b/D and (b/D)², b the bore, for powers of hole / D. */
const CROSS_HOLE: Readonly<Record<Load, Row>> = {
  tension: [
    [3, 0, 0],
    [2.773, 1.529, -4.379],
    [-0.421, -12.782, 22.781],
    [16.841, 16.678, -40.007],
  ],
  bending: [
    [3, 0, 0],
    [-6.69, -1.62, 4.432],
    [44.739, 10.724, -19.927],
    [-53.307, -25.998, 43.258],
  ],
  torsion: [
    [4, 0, 0],
    [-6.793, 1.133, -0.126],
    [38.382, -7.242, 6.495],
    [-44.576, -7.428, 58.656],
  ],
};
/** Published for holes up to this share of the diameter, and bores up to that. */
const CROSS_HOLE_MOST = 0.4;
const CROSS_BORE_MOST = 0.8;

/**
 * A hole across a round shaft or tube; nominal stress in the shaft without the hole. Of torsion the factor is of shear against shear: half of the
 * largest pull at the hole's edge.
 *
 * Source: Roark's Formulas for Stress and Strain, table 17.1, radial hole in a hollow or solid circular shaft.
 *
 * @param diameterMm of the shaft
 * @param boreMm of its bore, 0 for none
 */
export function crossHoleFactor(load: Load, diameterMm: number, boreMm: number, holeMm: number): Factor {
  const [hole, bore] = [holeMm / diameterMm, boreMm / diameterMm];
  const [h, b] = [Math.min(hole, CROSS_HOLE_MOST), Math.min(bore, CROSS_BORE_MOST)];
  const kt = CROSS_HOLE[load].reduce((sum, [p, q, r], i) => sum + (p + q * b + r * b * b) * h ** i, 0);
  return { kt: load === 'torsion' ? kt / 2 : kt, inRange: hole <= CROSS_HOLE_MOST && bore <= CROSS_BORE_MOST };
}

/**
 * Keyseats with the corner radius that is usual for them, about a fiftieth of the shaft; nominal stress in the shaft without the seat. Pulled, as bent.
 *
 * Source: Shigley, table 7-1 (end mill 2.14 bent and 3.0 twisted, sled-runner 1.7 bent); for what it leaves out the end mill's stands, not in range.
 */
export function keyseatFactor(load: Load, cutter: 'end-mill' | 'sled-runner'): Factor {
  if (load === 'torsion') return { kt: 3, inRange: cutter === 'end-mill' };
  return { kt: cutter === 'end-mill' ? 2.14 : 1.7, inRange: load === 'bending' };
}

/** Stronger steels feel a thread's root more; MPa. */
const STRONG_MPA = 600;

/**
 * Fatigue factor of a cut thread, its notch's sensitivity counted already: 2.8 for bolts of soft steel, 3.8 for strong ones.
 *
 * Source: Shigley, table 8-16 (SAE grades 0 to 2 and metric 3.6 to 5.8; SAE grades 4 to 8 and metric 6.6 to 10.9), for pull; taken for all loads.
 */
export const cutThreadFatigueFactor = (tensileMpa: number): number => (tensileMpa < STRONG_MPA ? 2.8 : 3.8);
