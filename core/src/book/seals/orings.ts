import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import {
  GAP_70,
  GAP_90,
  ORING_METRIC_INSIDE,
  ORING_METRIC_SECTIONS,
  ORING_METRIC_SOURCE,
  ORING_PORT_INCH,
  ORING_PORT_METRIC,
  ORING_PORT_METRIC_SOURCE,
  ORING_PORT_SOURCE,
  ORING_RUNS,
  ORING_SECTION_IN,
  ORING_SOURCE,
} from './seals.data';

/** An O-ring of a list. */
export interface ORing {
  /** `-214` by its dash number, `20 x 2.65` by its inside and section in mm. */
  readonly name: string;
  readonly insideMm: number;
  readonly sectionMm: number;
  readonly unit: 'mm' | 'in';
  /** The thread of the port that it seals; null for a ring of no port. */
  readonly port: string | null;
  readonly source: string;
}

const dash = ORING_RUNS.flatMap(({ first, insideIn }) =>
  insideIn.map((inside, i): ORing => {
    const number = String(first + i).padStart(3, '0');
    const sectionMm = ORING_SECTION_IN[number[0]!]! * MM_PER_INCH;
    return { name: `-${number}`, insideMm: inside * MM_PER_INCH, sectionMm, unit: 'in', port: null, source: ORING_SOURCE };
  }),
);

const metric = ORING_METRIC_SECTIONS.flatMap(({ sectionMm, fromMm, toMm }) =>
  ORING_METRIC_INSIDE.filter((d) => d >= fromMm && d <= toMm).map((insideMm): ORing => ({
    name: `${insideMm} x ${sectionMm}`,
    insideMm,
    sectionMm,
    unit: 'mm',
    port: null,
    source: ORING_METRIC_SOURCE,
  })),
);

const ports: ORing[] = [
  ...ORING_PORT_INCH.map(([name, inside, section, port]): ORing => ({
    name,
    insideMm: inside * MM_PER_INCH,
    sectionMm: section * MM_PER_INCH,
    unit: 'in',
    port,
    source: ORING_PORT_SOURCE,
  })),
  ...ORING_PORT_METRIC.map(([port, insideMm, sectionMm]): ORing => ({
    name: `${insideMm} x ${sectionMm}`,
    insideMm,
    sectionMm,
    unit: 'mm',
    port,
    source: ORING_PORT_METRIC_SOURCE,
  })),
];

/** Every ring of the book: by dash number, metric, and those of ports. */
export const ORINGS: readonly ORing[] = [...dash, ...metric, ...ports];

/** `-214`, `214`, `2-214` or `20 x 2.65` to the ring; undefined when there is none. */
export function oringOf(text: string): ORing | undefined {
  const sizes = /^(\d+(?:[.,]\d+)?)\s*[x×*]\s*(\d+(?:[.,]\d+)?)$/i.exec(text.trim());
  if (sizes) {
    const [inside, section] = sizes.slice(1).map((t) => Number(t.replace(',', '.'))) as [number, number];
    return ORINGS.find((r) => r.unit === 'mm' && r.insideMm === inside && r.sectionMm === section);
  }
  const number = /(?:^|-)\s*(\d{1,3})\s*$/.exec(text.trim())?.[1]?.padStart(3, '0');
  return ORINGS.find((r) => r.name === `-${number}`);
}

/** Hardness of a nitrile ring, Shore A. */
export type RingHardness = 70 | 90;

/**
 * The largest gap on the radius that a ring bridges at a pressure; between the listed pressures along the line. Over the last one it is
 * null: back-up rings.
 *
 * @example 3.53 mm section at 7 MPa: 0.08 mm at 70 Shore, 0.15 at 90
 */
export function mostGapMm(sectionMm: number, pressureMpa: number, hardness: RingHardness): number | null {
  const { mpa, rows } = hardness === 70 ? GAP_70 : GAP_90;
  const gaps: readonly number[] = rows.find((r) => sectionMm <= r.upToMm)!.gapsMm;
  const at = mpa.findIndex((p) => pressureMpa <= p);
  if (at < 0) return null;
  if (at === 0) return gaps[0]!;
  const [from, to] = [mpa[at - 1]!, mpa[at]!];
  const share = (pressureMpa - from) / (to - from);
  return gaps[at - 1]! + share * (gaps[at]! - gaps[at - 1]!);
}

/** Where the gland is cut and how it works. */
export type GlandKind = 'static rod' | 'static piston' | 'moving rod' | 'moving piston' | 'rotating rod';

/** Squeeze and stretch that practice keeps to, as shares: from, to. Stretch is of the inside diameter when it sits in the groove. */
const GLAND_RULES: Readonly<
  Record<GlandKind, { readonly squeeze: readonly [number, number]; readonly stretch: readonly [number, number] }>
> = {
  'static rod': { squeeze: [0.15, 0.3], stretch: [-0.03, 0.05] },
  'static piston': { squeeze: [0.15, 0.3], stretch: [0, 0.05] },
  'moving rod': { squeeze: [0.1, 0.2], stretch: [-0.03, 0.02] },
  'moving piston': { squeeze: [0.1, 0.2], stretch: [0, 0.05] },
  'rotating rod': { squeeze: [0.03, 0.08], stretch: [-0.05, 0] },
};
/** A gland fuller than this has no room to swell. */
const MOST_FILL = 0.85;
/** Above this pressure a ring is pushed into the gap: back-up rings. */
const BACK_UP_MPA = 10;

export interface GlandQuestion {
  readonly ring: Pick<ORing, 'insideMm' | 'sectionMm'>;
  readonly kind: GlandKind;
  /** Rod that runs in the ring, or bore that the piston runs in, mm. */
  readonly runsOnMm: number;
  /** Diameter of the groove: in the housing for a rod, in the piston for a piston. */
  readonly grooveMm: number;
  readonly grooveWidthMm: number;
  readonly pressureMpa: number;
}

export interface Gland {
  /** Room across the section, gap and groove together, mm. */
  readonly depthMm: number;
  readonly sectionMm: number;
  readonly squeeze: number;
  readonly stretch: number;
  readonly fill: number;
  readonly backUp: boolean;
  readonly findings: readonly {
    readonly what: 'squeeze' | 'stretch' | 'fill' | 'pressure';
    readonly fits: boolean;
    readonly words: string;
  }[];
}

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;

function within(what: 'squeeze' | 'stretch', value: number, [low, high]: readonly [number, number]): Gland['findings'][number] {
  const range = `${percent(low)} to ${percent(high)}`;
  const fits = value >= low - 1e-9 && value <= high + 1e-9;
  return {
    what,
    fits,
    words: fits ? `${percent(value)}, usual ${range}` : `${percent(value)} is ${value < low ? 'too little' : 'too much'}: usual ${range}`,
  };
}

/** A ring that is stretched gets thinner: its volume stays, so the section goes with the root of the length. */
const stretchedSection = (ring: Pick<ORing, 'sectionMm'>, stretch: number): number =>
  stretch > 0 ? ring.sectionMm / Math.sqrt(1 + stretch) : ring.sectionMm;

/**
 * Squeeze, stretch and fill of an O-ring in its gland.
 *
 * @example -214 on a 1 in rod, groove 1.244 in, 0.187 wide
 */
export function glandOf(q: GlandQuestion): Outcome<Gland> {
  const rod = q.kind.endsWith('rod');
  const depthMm = rod ? (q.grooveMm - q.runsOnMm) / 2 : (q.runsOnMm - q.grooveMm) / 2;
  if (!(q.runsOnMm > 0)) return bad('size', rod ? 'Give the rod diameter.' : 'Give the bore.', 'runsOnMm');
  if (!(depthMm > 0))
    return bad('groove', rod ? 'The groove must be larger than the rod.' : 'The groove must be smaller than the bore.', 'grooveMm');
  if (!(q.grooveWidthMm > 0)) return bad('width', 'Give the width of the groove.', 'grooveWidthMm');
  const sitsOn = rod ? q.runsOnMm : q.grooveMm;
  const stretch = sitsOn / q.ring.insideMm - 1;
  const sectionMm = stretchedSection(q.ring, stretch);
  const squeeze = 1 - depthMm / sectionMm;
  const fill = (Math.PI * sectionMm ** 2) / 4 / (depthMm * q.grooveWidthMm);
  const rule = GLAND_RULES[q.kind];
  const backUp = q.pressureMpa > BACK_UP_MPA;
  return good({
    depthMm,
    sectionMm,
    squeeze,
    stretch,
    fill,
    backUp,
    findings: [
      within('squeeze', squeeze, rule.squeeze),
      within('stretch', stretch, rule.stretch),
      { what: 'fill', fits: fill <= MOST_FILL, words: `${percent(fill)} of the groove, at most ${percent(MOST_FILL)}` },
      {
        what: 'pressure',
        fits: !backUp,
        words: backUp ? `over ${BACK_UP_MPA} MPa: back-up rings` : `no back-up ring needed to ${BACK_UP_MPA} MPa`,
      },
    ],
  });
}

const OUT_OF_PRACTICE = 1000;

/** Rings whose section suits a gland depth and whose inside suits what it sits on, best first; those of ports are for ports alone. */
export function oringsFor(kind: GlandKind, sitsOnMm: number, depthMm: number, how = 4): ORing[] {
  const { squeeze, stretch } = GLAND_RULES[kind];
  const middle = (r: readonly [number, number]): number => (r[0] + r[1]) / 2;
  const miss = (ring: ORing): number => {
    const s = sitsOnMm / ring.insideMm - 1;
    const q = 1 - depthMm / stretchedSection(ring, s);
    const out = Number(q < squeeze[0] || q > squeeze[1]) + Number(s < stretch[0] || s > stretch[1]);
    // Whatever lies outside the practice stands behind everything within it.
    return OUT_OF_PRACTICE * out + Math.abs(q - middle(squeeze)) + Math.abs(s - middle(stretch));
  };
  return ORINGS.filter((r) => r.port === null)
    .sort((a, b) => miss(a) - miss(b))
    .slice(0, how);
}
