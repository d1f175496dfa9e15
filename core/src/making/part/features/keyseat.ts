import { keySeatLimits, keySeats, type KeySeat } from '../../../book/keys';
import type { BookLimits, FeatureBase, FeatureKind, Host } from '../feature-kind';
import { root, simpson } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { slotLine } from './end-on';
import { at, fromOtherEnd, leaves, lengthOf, needsCylinder, startLength } from './on-surface';

/** A seat for a parallel key, milled with an end mill or run in with a sled-runner (slitting) cutter. */
export interface Keyseat extends FeatureBase, Clocked {
  readonly kind: 'keyseat';
  readonly cutter: 'end-mill' | 'sled-runner';
  readonly atMm: number;
  /** Over all for an end mill, rounded ends included; at full depth for a sled-runner cutter, whose run-out comes on top. */
  readonly lengthMm: number;
  readonly widthMm: number;
  /** From the crown of the shaft. */
  readonly depthMm: number;
  /** Diameter of the sled-runner cutter. */
  readonly cutterMm: number;
  /** The side on which it runs out of the surface's end. */
  readonly open: 'none' | 'left' | 'right' | 'both';
}

const radius = (host: Host): number => host.surface.leftMm / 2;
const sled = (f: Keyseat): boolean => f.cutter === 'sled-runner';

const OTHER_SIDE = { none: 'none', both: 'both', left: 'right', right: 'left' } as const;

/** How far a sled-runner cutter runs out beyond full depth, on the crown, mm. */
const runOutMm = (f: Pick<Keyseat, 'cutterMm' | 'depthMm'>): number =>
  root((f.cutterMm / 2) ** 2 - (f.cutterMm / 2 - Math.min(f.depthMm, f.cutterMm / 2)) ** 2);

const closed = (f: Keyseat, side: 'left' | 'right'): boolean => f.open !== 'both' && f.open !== side;

/** From the left end of the surface: where it begins and ends on the crown. */
function extent(f: Keyseat): { from: number; to: number } {
  const run = sled(f) ? runOutMm(f) : 0;
  return { from: f.atMm - (closed(f, 'left') ? run : 0), to: f.atMm + f.lengthMm + (closed(f, 'right') ? run : 0) };
}

/** The key of the book whose seat this is in this shaft; undefined where it is none's. */
export function keyOf(f: Pick<Keyseat, 'widthMm' | 'depthMm'>, host: Host): KeySeat | undefined {
  const found = keySeats(host.surface.leftMm, f.widthMm);
  return found.ok ? found.value.find((k) => Math.abs(k.fromCrownMm - f.depthMm) < 0.011) : undefined;
}

const limits = (f: Keyseat, host: Host): { width?: BookLimits; depth?: BookLimits } => {
  const key = keyOf(f, host);
  return key ? keySeatLimits(key).shaft : {};
};

function removedMm3(f: Keyseat, host: Host): number {
  const R = radius(host);
  const half = f.widthMm / 2;
  const floor = R - f.depthMm;
  const top = (y: number): number => root(R * R - y * y);
  if (!sled(f)) {
    // A rounded end is shorter away from the middle by r - sqrt(r² - y²).
    const ends = (closed(f, 'left') ? 1 : 0) + (closed(f, 'right') ? 1 : 0);
    const long = (y: number): number => f.lengthMm - ends * (half - root(half * half - y * y));
    // y = half sin(t): the root at the walls is smooth in t.
    return simpson(
      (t) => {
        const y = half * Math.sin(t);
        return Math.max(top(y) - floor, 0) * long(y) * half * Math.cos(t);
      },
      -Math.PI / 2,
      Math.PI / 2,
    );
  }
  const section = (floorAt: number): number => simpson((y) => Math.max(top(y) - floorAt, 0), -half, half);
  const Rc = f.cutterMm / 2;
  const runOuts = (closed(f, 'left') ? 1 : 0) + (closed(f, 'right') ? 1 : 0);
  const runOut = simpson((u) => section(floor + Rc - root(Rc * Rc - u * u)), 0, runOutMm(f), 400);
  return section(floor) * f.lengthMm + runOuts * runOut;
}

export const keyseat: FeatureKind<Keyseat> = {
  kind: 'keyseat',
  name: 'Keyseat',
  sides: ['outside'],
  fields: {
    cutter: {
      kind: 'choice',
      label: 'Cut with',
      options: [
        ['end-mill', 'an end mill'],
        ['sled-runner', 'a sled-runner cutter'],
      ],
    },
    atMm: { kind: 'length', label: 'Begins from the left end', from: 0, to: 3000 },
    lengthMm: { kind: 'length', label: 'Length', from: 0.5, to: 2000 },
    widthMm: { kind: 'length', label: 'Width', from: 0.5, to: 100 },
    depthMm: { kind: 'length', label: 'Depth from the crown', from: 0.1, to: 60 },
    cutterMm: { kind: 'length', label: 'Cutter diameter', from: 5, to: 300, when: ['cutter', 'sled-runner'] },
    open: {
      kind: 'choice',
      label: 'Runs out',
      options: [
        ['none', 'nowhere'],
        ['left', 'at its left'],
        ['right', 'at its right'],
        ['both', 'at both ends'],
      ],
    },
    ...CLOCK_FIELDS,
  },
  asks: ['atMm', 'lengthMm'],
  start: (host) => {
    const found = keySeats(host.surface.leftMm);
    const key = found.ok ? found.value[0]! : null;
    return {
      cutter: 'end-mill',
      atMm: startLength(host, 5, 0.1),
      lengthMm: startLength(host, 4 * (key?.widthMm ?? 5), 0.7),
      widthMm: key?.widthMm ?? host.surface.leftMm / 4,
      depthMm: key?.fromCrownMm ?? host.surface.leftMm / 8,
      cutterMm: 63,
      open: 'none',
      ...CLOCK_START,
    };
  },
  check: (f, host) => {
    const { from, to } = extent(f);
    const off = [...needsCylinder(host), ...leaves(host, from, to, 'lengthMm')];
    if (off.length) return off;
    const short = (!closed(f, 'left') && from > 1e-6) || (!closed(f, 'right') && to < lengthOf(host) - 1e-6);
    if (short) return [{ field: 'open', message: `It runs out at an end of ${host.surface.name}, and does not reach it.` }];
    if (f.widthMm >= host.surface.leftMm) return [{ field: 'widthMm', message: 'It is wider than the shaft.' }];
    const crown = radius(host) - root(radius(host) ** 2 - (f.widthMm / 2) ** 2);
    if (f.depthMm <= crown) return [{ field: 'depthMm', message: 'At the sides it would have no wall: the depth is from the crown.' }];
    if (f.depthMm >= radius(host)) return [{ field: 'depthMm', message: 'It would reach the middle of the shaft.' }];
    if (!sled(f) && closed(f, 'left') && closed(f, 'right') && f.lengthMm < f.widthMm)
      return [{ field: 'lengthMm', message: 'It is shorter than the end mill is wide.' }];
    return [];
  },
  dimensions: (f, host) => {
    const book = limits(f, host);
    return [
      { name: 'at', what: 'position', label: 'beginning from the left end', value: f.atMm },
      { name: 'length', what: 'length', label: 'length', value: f.lengthMm },
      { name: 'width', what: 'width', label: 'width', value: f.widthMm, seat: true, ...(book.width ? { book: book.width } : {}) },
      {
        name: 'depth',
        what: 'depth',
        label: 'depth from the crown',
        value: f.depthMm,
        seat: true,
        ...(book.depth ? { book: book.depth } : {}),
      },
      ...clockDimension(f, host),
    ];
  },
  cut: (f, host) => {
    const { from, to } = extent(f);
    const box = { kind: 'box', fromMm: at(host, from), toMm: at(host, to), halfMm: f.widthMm / 2, rounded: !sled(f) } as const;
    return { shape: 'other', removedMm3: () => removedMm3(f, host), marks: [box] };
  },
  raiser: (f, host) => ({
    atMm: at(host, f.atMm),
    coreMm: host.surface.leftMm - f.depthMm,
    words: sled(f) ? 'a keyseat with run-outs' : 'an end-milled keyseat',
  }),
  endOn: (f, host) => [slotLine(radius(host), f.widthMm / 2, radius(host) - f.depthMm)],
  mirrored: (f, lengthMm) => ({ ...fromOtherEnd(f, lengthMm, f.lengthMm), open: OTHER_SIDE[f.open] }),
  operations: (f) => [
    {
      kind: 'mill',
      words: sled(f) ? 'Run the keyseat in with the sled-runner cutter' : 'Mill the keyseat with an end mill',
      makes: ['at', 'length', 'width', 'depth', ...clockMade(f)],
    },
  ],
};
