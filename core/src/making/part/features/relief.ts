import type { FeatureKind } from '../feature-kind';
import { checkGroove, GROOVE_FIELDS, grooveCut, grooveDimensions, grooveOperations, grooveRaiser, type Groove } from './groove';
import { fromOtherEnd, startLength } from './on-surface';

/** A stretch cut clear of what runs there: between two lands, or inside a long bore. */
export interface Relief extends Groove {
  readonly kind: 'relief';
}

export const relief: FeatureKind<Relief> = {
  kind: 'relief',
  name: 'Relief',
  sides: ['outside', 'inside'],
  fields: GROOVE_FIELDS,
  asks: ['atMm', 'widthMm', 'diameterMm'],
  start: (host) => ({
    atMm: startLength(host, 10, 0.3),
    widthMm: startLength(host, 10, 0.3),
    diameterMm: Math.max(host.surface.leftMm + (host.surface.side === 'outside' ? -1 : 1) * 0.5, 0.5),
  }),
  check: checkGroove,
  dimensions: (f, host) => grooveDimensions(f, host),
  cut: (f, host) => grooveCut(f, host),
  raiser: (f, host) => grooveRaiser(f, host, 'a relief'),
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.widthMm),
  operations: () => grooveOperations('Cut the relief'),
};
