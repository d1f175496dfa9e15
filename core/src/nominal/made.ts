import { zoneDeviations } from '../fits';
import { MM_PER_INCH, type LengthUnit } from '../quantity';
import type { Side } from '../readings';
import type { Use } from './candidates';

/** A band in which a part of some nominal is usually made. */
export interface MadeBand {
  /** Share of parts made so. */
  readonly share: number;
  readonly lowMm: number;
  readonly highMm: number;
  readonly words: string;
}

interface ZoneShare {
  readonly zone: string;
  readonly share: number;
}
const zones = (text: string): ZoneShare[] =>
  text.split(' ').map((pair) => {
    const [zone, share] = pair.split(':');
    return { zone: zone!, share: Number(share) };
  });

/** ISO 286 zones by side and use, with the share of parts made to each. */
const METRIC: Readonly<Record<Side, Readonly<Record<Use, readonly ZoneShare[]>>>> = {
  outside: {
    running: zones('f7:0.36 h7:0.2 g6:0.16 e8:0.1 h9:0.1 h11:0.08'),
    seat: zones('k6:0.45 j6:0.2 h6:0.25 m6:0.1'),
    thread: zones('h9:1'),
    any: zones('f7:0.29 h7:0.2 g6:0.13 k6:0.13 e8:0.08 h9:0.1 h11:0.07'),
  },
  inside: {
    running: zones('H7:0.63 H8:0.2 H11:0.07 F8:0.1'),
    seat: zones('H7:0.7 J7:0.1 M7:0.1 N7:0.1'),
    thread: zones('H9:1'),
    any: zones('H7:0.63 H8:0.17 M7:0.05 H11:0.07 F8:0.08'),
  },
};

/** Bands of the inch shops, in inch from the nominal. */
const INCH: Readonly<Record<Side, Readonly<Record<Use, readonly (readonly [from: number, to: number, share: number, words: string])[]>>>> =
  {
    outside: {
      running: [
        [-0.002, -0.0005, 0.6, 'running size'],
        [-0.001, 0, 0.25, 'nominal, minus'],
        [-0.004, -0.002, 0.15, 'loose running size'],
        [-0.006, -0.004, 0.03, 'bright bar'],
      ],
      seat: [
        [0, 0.0006, 0.6, 'bearing seat'],
        [-0.0005, 0, 0.4, 'nominal, minus'],
      ],
      thread: [[-0.008, -0.001, 1, 'thread body']],
      any: [
        [-0.002, -0.0005, 0.5, 'running size'],
        [-0.001, 0, 0.3, 'nominal, minus'],
        [0, 0.0006, 0.1, 'bearing seat'],
        [-0.004, -0.002, 0.1, 'loose running size'],
      ],
    },
    inside: {
      running: [
        [0, 0.0015, 0.8, 'hole'],
        [0.0015, 0.003, 0.2, 'loose hole'],
      ],
      seat: [
        [-0.0006, 0.0006, 0.7, 'housing'],
        [0, 0.0015, 0.3, 'hole'],
      ],
      thread: [[0, 0.006, 1, 'hole']],
      any: [
        [0, 0.0015, 0.85, 'hole'],
        [0.0015, 0.003, 0.15, 'loose hole'],
      ],
    },
  };

const kept = new Map<string, Map<number, readonly MadeBand[]>>();

/** The bands in which an unworn part of that nominal was usually made; the usual one first. Sizes in mm. */
export function madeBands(sizeMm: number, unit: LengthUnit, side: Side, use: Use): readonly MadeBand[] {
  const family = `${unit}${side}${use}`;
  const sizes = kept.get(family) ?? new Map<number, readonly MadeBand[]>();
  kept.set(family, sizes);
  const known = sizes.get(sizeMm);
  if (known) return known;
  const bands: MadeBand[] =
    unit === 'in'
      ? INCH[side][use].map(([from, to, share, words]) => ({
          share,
          lowMm: sizeMm + from * MM_PER_INCH,
          highMm: sizeMm + to * MM_PER_INCH,
          words,
        }))
      : METRIC[side][use].flatMap(({ zone, share }) => {
          const limits = zoneDeviations(zone, sizeMm);
          return limits.ok ? [{ share, lowMm: sizeMm + limits.value.lowerMm, highMm: sizeMm + limits.value.upperMm, words: zone }] : [];
        });
  const whole = bands.reduce((s, b) => s + b.share, 0);
  const said = bands.map((b) => ({ ...b, share: b.share / whole }));
  sizes.set(sizeMm, said);
  return said;
}

/** The band that the land lies in or next to, for telling it in words; the usual one without a land. */
export function bandFor(bands: readonly MadeBand[], landMm: number | null): MadeBand {
  const off = (b: MadeBand): number => (landMm === null ? 0 : Math.max(b.lowMm - landMm, landMm - b.highMm, 0));
  return bands.reduce((p, q) => (off(q) < off(p) - 1e-9 ? q : p));
}
