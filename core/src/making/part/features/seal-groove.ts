import type { FeatureKind } from '../feature-kind';
import { checkGroove, GROOVE_FIELDS, grooveCut, grooveDimensions, grooveOperations, grooveRaiser, type Groove } from './groove';
import { fromOtherEnd, startLength } from './on-surface';

const USES = [
  ['rod-seal', 'rod seal'],
  ['wiper', 'wiper'],
  ['piston-seal', 'piston seal'],
  ['wear-band', 'wear band'],
] as const;

/** The groove of a seal as it was measured: rod seal, wiper, piston seal, wear band. */
export interface SealGroove extends Groove {
  readonly kind: 'seal-groove';
  readonly use: (typeof USES)[number][0];
  readonly cornerMm: number;
}

export const sealGroove: FeatureKind<SealGroove> = {
  kind: 'seal-groove',
  name: 'Seal groove as measured',
  sides: ['outside', 'inside'],
  fields: {
    ...GROOVE_FIELDS,
    use: { kind: 'choice', label: 'For', options: USES },
    cornerMm: { kind: 'length', label: 'Corner radius', from: 0, to: 10 },
  },
  asks: ['use', 'atMm', 'widthMm', 'diameterMm'],
  start: (host) => ({
    atMm: startLength(host, 10),
    widthMm: startLength(host, 8, 0.3),
    diameterMm: Math.max(host.surface.leftMm + (host.surface.side === 'outside' ? -1 : 1) * 10, 1),
    use: host.surface.side === 'outside' ? 'piston-seal' : 'rod-seal',
    cornerMm: 0.3,
  }),
  check: checkGroove,
  dimensions: (f, host) => [
    ...grooveDimensions(f, host).map((d) => (d.name === 'at' ? d : { ...d, seat: true as const })),
    ...(f.cornerMm > 0 ? [{ name: 'corner', what: 'edge' as const, label: 'corner radius', value: f.cornerMm }] : []),
  ],
  cut: (f, host) => grooveCut(f, host, f.cornerMm),
  raiser: (f, host) => grooveRaiser(f, host, 'a seal groove'),
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.widthMm),
  operations: (f) => grooveOperations(`Plunge the groove of the ${USES.find((u) => u[0] === f.use)![1]}`, f.cornerMm > 0 ? ['corner'] : []),
};
