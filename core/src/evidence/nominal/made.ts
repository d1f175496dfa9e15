import { zoneDeviations } from '../../book/fits';
import { MM_PER_INCH, type LengthUnit } from '../../terms/quantity';
import type { Side } from '../readings';
import { INCH_BANDS, METRIC_ZONES, type Use } from './judgement.data';

/** A band in which a part of some nominal is usually made. */
export interface MadeBand {
  /** Share of parts made so. */
  readonly share: number;
  readonly lowMm: number;
  readonly highMm: number;
  readonly words: string;
}

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
      ? INCH_BANDS[side][use].map(([from, to, share, words]) => ({
          share,
          lowMm: sizeMm + from * MM_PER_INCH,
          highMm: sizeMm + to * MM_PER_INCH,
          words,
        }))
      : METRIC_ZONES[side][use].flatMap(({ zone, share }) => {
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
