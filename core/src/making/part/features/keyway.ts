import { keySeatLimits, keySeats } from '../../../book/keys';
import type { BookLimits, FeatureBase, FeatureKind, Host } from '../feature-kind';
import { root, simpson } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { slotLine } from './end-on';
import { lengthOf, needsCylinder } from './on-surface';

/** A keyway along a bore, broached or slotted. */
export interface Keyway extends FeatureBase, Clocked {
  readonly kind: 'keyway';
  readonly cutter: 'broach' | 'slotter';
  readonly widthMm: number;
  /** From the opposite wall of the bore to the roof, where it is deepest. */
  readonly overMm: number;
  /** A tapered key runs in at 1:100 (DIN 6886) or 1/8 in per foot. */
  readonly taper: 'none' | '1:100' | '1:96';
}

const SLOPE: Readonly<Record<Keyway['taper'], number>> = { none: 0, '1:100': 1 / 100, '1:96': 1 / 96 };
const radius = (host: Host): number => host.surface.leftMm / 2;

/** From the middle of the bore to the roof, some way in from where it is deepest. */
const roofMm = (f: Keyway, host: Host, alongMm: number): number => f.overMm - radius(host) - SLOPE[f.taper] * alongMm;

function limits(f: Keyway, host: Host): { width?: BookLimits; over?: BookLimits } {
  const found = keySeats(host.surface.leftMm, f.widthMm);
  const key = found.ok ? found.value.find((k) => Math.abs(k.overHubMm - f.overMm) < 0.011) : undefined;
  return key && f.taper === 'none' ? keySeatLimits(key).hub : {};
}

export const keyway: FeatureKind<Keyway> = {
  kind: 'keyway',
  name: 'Keyway',
  sides: ['inside'],
  fields: {
    cutter: {
      kind: 'choice',
      label: 'Cut with',
      options: [
        ['broach', 'a broach'],
        ['slotter', 'a slotting tool'],
      ],
    },
    widthMm: { kind: 'length', label: 'Width', from: 0.5, to: 100 },
    overMm: { kind: 'length', label: 'Over the bore to the roof', from: 1, to: 500 },
    taper: {
      kind: 'choice',
      label: 'Taper',
      options: [
        ['none', 'straight'],
        ['1:100', '1:100'],
        ['1:96', '1/8 in a foot'],
      ],
    },
    ...CLOCK_FIELDS,
  },
  asks: ['widthMm', 'overMm'],
  start: (host) => {
    const found = keySeats(host.surface.leftMm);
    const key = found.ok ? found.value[0]! : null;
    const d = host.surface.leftMm;
    return { cutter: 'broach', widthMm: key?.widthMm ?? d / 4, overMm: key?.overHubMm ?? d * 1.12, taper: 'none', ...CLOCK_START };
  },
  check: (f, host) => {
    const off = needsCylinder(host);
    if (off.length) return off;
    if (f.widthMm >= host.surface.leftMm) return [{ field: 'widthMm', message: 'It is wider than the bore.' }];
    if (roofMm(f, host, lengthOf(host)) <= radius(host))
      return [{ field: 'overMm', message: 'It cuts nothing: it counts from the opposite wall.' }];
    const outside = host.beyondAt(host.surface.fromMm);
    return roofMm(f, host, 0) >= outside ? [{ field: 'overMm', message: 'It breaks through to the outside.' }] : [];
  },
  dimensions: (f, host) => {
    const book = limits(f, host);
    return [
      { name: 'width', what: 'width', label: 'width', value: f.widthMm, seat: true, ...(book.width ? { book: book.width } : {}) },
      { name: 'over', what: 'width', label: 'over the bore', value: f.overMm, seat: true, ...(book.over ? { book: book.over } : {}) },
      ...clockDimension(f, host),
    ];
  },
  cut: (f, host) => {
    const r = radius(host);
    const half = f.widthMm / 2;
    const area = (along: number): number => simpson((y) => Math.max(roofMm(f, host, along) - root(r * r - y * y), 0), -half, half);
    const box = { kind: 'box', fromMm: host.surface.fromMm, toMm: host.surface.toMm, halfMm: half, rounded: false } as const;
    return { shape: 'other', removedMm3: () => simpson(area, 0, lengthOf(host), 40), marks: [box] };
  },
  raiser: () => null,
  endOn: (f, host) => [slotLine(radius(host), f.widthMm / 2, roofMm(f, host, 0))],
  wantsEndView: true,
  mirrored: (f) => f,
  operations: (f) => [
    {
      kind: f.cutter === 'broach' ? 'broach' : 'slot',
      words: f.cutter === 'broach' ? 'Broach the keyway' : 'Slot the keyway',
      makes: ['width', 'over', ...clockMade(f)],
    },
  ],
};
