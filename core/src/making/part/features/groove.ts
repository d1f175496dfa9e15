import type {
  BookLimits,
  DimensionDraft,
  FeatureBase,
  FeatureCut,
  FeatureProblem,
  Host,
  OperationDraft,
  StressRaiser,
} from '../feature-kind';
import { at, badFloor, leaves, roundGroove } from './on-surface';

/** A groove turned into a surface: what every kind of it has. `atMm` is its left wall. */
export interface Groove extends FeatureBase {
  readonly atMm: number;
  readonly widthMm: number;
  /** Of its floor. */
  readonly diameterMm: number;
}

export const GROOVE_FIELDS = {
  atMm: { kind: 'length', label: 'Left wall from the left end', from: 0, to: 3000 },
  widthMm: { kind: 'length', label: 'Width', from: 0.1, to: 300 },
  diameterMm: { kind: 'length', label: 'Diameter of its floor', from: 0.2, to: 500 },
} as const;

/** What is wrong with a groove on its surface: width, depth, place. */
export function checkGroove(f: Groove, host: Host): FeatureProblem[] {
  const off = leaves(host, f.atMm, f.atMm + f.widthMm, 'atMm');
  if (off.length) return off;
  // On a taper its walls are not of one height: both must be there.
  const walls = [f.atMm, f.atMm + f.widthMm].map((along) => badFloor(host, f.diameterMm / 2, at(host, along), 'diameterMm'));
  return walls.find((w) => w.length) ?? [];
}

/** Its dimensions; the width and the floor with the limits of a book, where one says. */
export const grooveDimensions = (
  f: Groove,
  host: Host,
  book: { readonly width?: BookLimits; readonly diameter?: BookLimits } = {},
): DimensionDraft[] => [
  { name: 'at', what: 'position', label: 'left wall from the left end', value: f.atMm },
  { name: 'width', what: 'width', label: 'width', value: f.widthMm, ...(book.width ? { book: book.width } : {}) },
  {
    name: 'diameter',
    what: host.surface.side,
    label: 'diameter of its floor',
    value: f.diameterMm,
    ...(book.diameter ? { book: book.diameter } : {}),
  },
];

/** What a groove takes away, its corners rounded by a radius, mm. */
export const grooveCut = (f: Groove, host: Host, cornerMm = 0): FeatureCut => ({
  shape: 'turned',
  contour: roundGroove(host, at(host, f.atMm), f.widthMm, f.diameterMm / 2, cornerMm),
});

/** The notch that a groove makes; null inside a bore. */
export const grooveRaiser = (f: Groove, host: Host, words: string): StressRaiser | null =>
  host.surface.side === 'outside' ? { atMm: at(host, f.atMm + f.widthMm / 2), coreMm: f.diameterMm, words } : null;

/** A groove is plunged; what else it makes is named. */
export const grooveOperations = (words: string, more: readonly string[] = []): OperationDraft[] => [
  { kind: 'plunge', words, makes: ['at', 'width', 'diameter', ...more] },
];
