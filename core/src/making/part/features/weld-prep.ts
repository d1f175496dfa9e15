import type { End, FeatureBase, FeatureKind, Host } from '../feature-kind';
import { END_OPTIONS, endAt, inward, isPartEnd, lengthOf, otherEnd, radiusAtEnd } from './on-surface';

/** An end made ready for a weld: a bevel from the outside down to a root face. */
export interface WeldPrep extends FeatureBase {
  readonly kind: 'weld-prep';
  readonly end: End;
  /** Of the bevel to the end face. */
  readonly bevelDeg: number;
  /** Height of the face that is left square. */
  readonly rootMm: number;
}

/** From the bore (or the axis) to the outside at that end, mm. */
const wallMm = (f: Pick<WeldPrep, 'end'>, host: Host): number =>
  radiusAtEnd(host, f.end) - host.beyondAt(endAt(host, f.end) + inward(f.end) * 1e-6);
const riseMm = (f: WeldPrep, host: Host): number => wallMm(f, host) - f.rootMm;
const backMm = (f: WeldPrep, host: Host): number => riseMm(f, host) * Math.tan((f.bevelDeg * Math.PI) / 180);

export const weldPrep: FeatureKind<WeldPrep> = {
  kind: 'weld-prep',
  name: 'Weld preparation',
  sides: ['outside'],
  fields: {
    end: { kind: 'choice', label: 'At', options: END_OPTIONS },
    bevelDeg: { kind: 'angle', label: 'Bevel from the end face', from: 10, to: 70 },
    rootMm: { kind: 'length', label: 'Root face', from: 0, to: 50 },
  },
  asks: ['end', 'bevelDeg', 'rootMm'],
  start: (host) => ({ end: 'right', bevelDeg: 35, rootMm: Math.min(1.5, wallMm({ end: 'right' }, host) / 2) }),
  check: (f, host) => {
    if (!isPartEnd(host, f.end)) return [{ field: 'end', message: 'That end is no end of the part.' }];
    if (riseMm(f, host) <= 0) return [{ field: 'rootMm', message: 'The root face is as high as the wall: nothing is left to bevel.' }];
    return backMm(f, host) > lengthOf(host) ? [{ field: 'bevelDeg', message: `The bevel runs beyond ${host.surface.name}.` }] : [];
  },
  dimensions: (f) => [
    { name: 'bevel', what: 'angle', label: 'bevel', value: f.bevelDeg },
    { name: 'root', what: 'length', label: 'root face', value: f.rootMm },
  ],
  cut: (f, host) => {
    const [x, dir] = [endAt(host, f.end), inward(f.end)];
    const back = x + dir * backMm(f, host);
    const points = [
      { x, r: radiusAtEnd(host, f.end) - riseMm(f, host) },
      { x: back, r: host.radiusAt(back) },
    ];
    return { shape: 'turned', contour: dir === 1 ? points : points.reverse() };
  },
  raiser: () => null,
  mirrored: otherEnd,
  operations: (f) => [{ kind: 'turn', words: `Bevel the ${f.end} end for the weld`, makes: ['bevel', 'root'] }],
};
