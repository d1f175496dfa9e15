import { aLength } from '../../../terms/quantity';
import { zoneDeviations } from '../../../book/fits';
import { ringsFor, type RingGroove as BookRing } from '../../../book/rings';
import type { BookLimits, FeatureKind, Host } from '../feature-kind';
import { checkGroove, GROOVE_FIELDS, grooveCut, grooveDimensions, grooveOperations, grooveRaiser, type Groove } from './groove';
import { fromOtherEnd, lengthOf } from './on-surface';

/** The groove of a retaining ring, by its standard or as it was measured. */
export interface RingGroove extends Groove {
  readonly kind: 'ring-groove';
  readonly ring: 'book' | 'measured';
}

/** A groove this near to a listed one is that one, mm. */
const SAME_GROOVE_MM = 0.02;

/** Rings of the book for a surface; none where it has none. */
function rings(host: Host): BookRing[] {
  const found = ringsFor(host.surface.side === 'outside' ? 'shaft' : 'bore', host.surface.leftMm);
  return found.ok ? found.value : [];
}

/** The ring of the book whose groove this is; undefined where it is none's. */
export const ringOf = (f: Pick<RingGroove, 'diameterMm'>, host: Host): BookRing | undefined =>
  rings(host).find((r) => Math.abs(r.grooveMm - f.diameterMm) <= SAME_GROOVE_MM);

function limits(f: RingGroove, host: Host): { width?: BookLimits; diameter?: BookLimits } {
  const ring = f.ring === 'book' ? ringOf(f, host) : undefined;
  if (!ring?.grooveLimits) return {};
  const width = zoneDeviations('H13', ring.widthMm);
  const of = (sizeMm: number, d: { lowerMm: number; upperMm: number }): BookLimits => ({
    lower: sizeMm + d.lowerMm,
    upper: sizeMm + d.upperMm,
    source: ring.source,
  });
  return { diameter: of(ring.grooveMm, ring.grooveLimits), ...(width.ok ? { width: of(ring.widthMm, width.value) } : {}) };
}

export const ringGroove: FeatureKind<RingGroove> = {
  kind: 'ring-groove',
  name: 'Ring groove',
  sides: ['outside', 'inside'],
  fields: {
    ...GROOVE_FIELDS,
    ring: {
      kind: 'choice',
      label: 'Limits',
      options: [
        ['book', 'as the ring’s standard has them'],
        ['measured', 'as measured, of no listed ring'],
      ],
    },
  },
  asks: ['atMm', 'widthMm', 'diameterMm'],
  start: (host) => {
    const [ring] = rings(host);
    const d = host.surface.leftMm;
    const [widthMm, diameterMm] = ring ? [ring.widthMm, ring.grooveMm] : [1.3, d * (host.surface.side === 'outside' ? 0.95 : 1.05)];
    return {
      atMm: Math.max(Math.round((lengthOf(host) - 3 * widthMm) * 10) / 10, 0),
      widthMm,
      diameterMm,
      ring: ring ? 'book' : 'measured',
    };
  },
  check: (f, host) => {
    const problems = checkGroove(f, host);
    if (problems.length || f.ring === 'measured' || ringOf(f, host)) return problems;
    const [near] = rings(host);
    const message = near
      ? `The book’s groove for this size is ${aLength(near.grooveMm)} (${near.standard}): cut that, or say that it is as measured.`
      : 'The book has no ring for this size: say that the groove is as measured.';
    return [{ field: 'ring', message }];
  },
  dimensions: (f, host) => grooveDimensions(f, host, limits(f, host)),
  cut: (f, host) => grooveCut(f, host),
  raiser: (f, host) => grooveRaiser(f, host, 'a ring groove'),
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.widthMm),
  operations: () => grooveOperations('Plunge the ring groove'),
};
