import type { End, FeatureBase, FeatureKind, Host } from '../feature-kind';
import { END_OPTIONS, badFloor, boxGroove, endAt, inward, leaves, otherEnd, radiusAtEnd, roundGroove, startLength } from './on-surface';

/** A relief at an end of a surface, for a grinding wheel, a mating edge or the run-out of a thread. */
export interface Undercut extends FeatureBase {
  readonly kind: 'undercut';
  readonly end: End;
  readonly widthMm: number;
  /** Of its floor below the surface, on the radius. */
  readonly depthMm: number;
  readonly cornerMm: number;
}

const fromMm = (f: Undercut, host: Host): number => Math.min(endAt(host, f.end), endAt(host, f.end) + inward(f.end) * f.widthMm);
const floorMm = (f: Undercut, host: Host): number => radiusAtEnd(host, f.end) + (host.surface.side === 'outside' ? -1 : 1) * f.depthMm;

export const undercut: FeatureKind<Undercut> = {
  kind: 'undercut',
  name: 'Undercut',
  sides: ['outside', 'inside'],
  fields: {
    end: { kind: 'choice', label: 'At', options: END_OPTIONS },
    widthMm: { kind: 'length', label: 'Width', from: 0.1, to: 100 },
    depthMm: { kind: 'length', label: 'Depth a side', from: 0.02, to: 50 },
    cornerMm: { kind: 'length', label: 'Corner radius', from: 0, to: 50 },
  },
  // As wide and as deep as DIN 509 form E 0.6 x 0.3.
  asks: ['end', 'widthMm', 'depthMm'],
  start: (host) => ({ end: 'right', widthMm: startLength(host, 2.5), depthMm: 0.3, cornerMm: 0.2 }),
  check: (f, host) => {
    const off = leaves(host, 0, f.widthMm, 'widthMm');
    if (off.length) return off;
    const walls = [0, f.widthMm].map((w) => badFloor(host, floorMm(f, host), fromMm(f, host) + w, 'depthMm'));
    return walls.find((w) => w.length) ?? [];
  },
  dimensions: (f, host) => [
    { name: 'width', what: 'width', label: 'width', value: f.widthMm },
    { name: 'diameter', what: host.surface.side, label: 'diameter of its floor', value: 2 * floorMm(f, host) },
    ...(f.cornerMm > 0 ? [{ name: 'corner', what: 'edge' as const, label: 'corner radius', value: f.cornerMm }] : []),
  ],
  cut: (f, host) => ({
    shape: 'turned',
    contour:
      f.cornerMm > 0
        ? roundGroove(host, fromMm(f, host), f.widthMm, floorMm(f, host), f.cornerMm)
        : boxGroove(host, fromMm(f, host), f.widthMm, floorMm(f, host)),
  }),
  raiser: (f, host) =>
    host.surface.side === 'outside' ? { atMm: fromMm(f, host) + f.widthMm / 2, coreMm: 2 * floorMm(f, host), words: 'an undercut' } : null,
  mirrored: otherEnd,
  operations: (f) => [
    { kind: 'plunge', words: `Undercut at the ${f.end} end`, makes: ['width', 'diameter', ...(f.cornerMm > 0 ? ['corner'] : [])] },
  ],
};
