import type { FeatureKind } from '../feature-kind';
import { checkGroove, GROOVE_FIELDS, grooveCut, grooveDimensions, grooveOperations, grooveRaiser, type Groove } from './groove';
import { fromOtherEnd, startLength } from './on-surface';

/** The groove of an O-ring; what goes into it is worked out at the bench. */
export interface OringGroove extends Groove {
  readonly kind: 'oring-groove';
  readonly cornerMm: number;
}

export const oringGroove: FeatureKind<OringGroove> = {
  kind: 'oring-groove',
  name: 'O-ring groove',
  sides: ['outside', 'inside'],
  fields: { ...GROOVE_FIELDS, cornerMm: { kind: 'length', label: 'Corner radius', from: 0, to: 5 } },
  asks: ['atMm', 'widthMm', 'diameterMm'],
  start: (host) => ({
    atMm: startLength(host, 5),
    widthMm: startLength(host, 3.6, 0.2),
    diameterMm: Math.max(host.surface.leftMm + (host.surface.side === 'outside' ? -1 : 1) * 4.4, 1),
    cornerMm: 0.2,
  }),
  check: checkGroove,
  dimensions: (f, host) => [
    ...grooveDimensions(f, host).map((d) => (d.name === 'at' ? d : { ...d, seat: true as const })),
    ...(f.cornerMm > 0 ? [{ name: 'corner', what: 'edge' as const, label: 'corner radius', value: f.cornerMm }] : []),
  ],
  cut: (f, host) => grooveCut(f, host, f.cornerMm),
  raiser: (f, host) => grooveRaiser(f, host, 'an O-ring groove'),
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.widthMm),
  operations: (f) => grooveOperations('Plunge the O-ring groove', f.cornerMm > 0 ? ['corner'] : []),
};
