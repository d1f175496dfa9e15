import { WOODRUFF, woodruffLimits, woodruffSeat as bookSeat, type WoodruffSeat as BookSeat } from '../../../book/keys';
import type { FeatureBase, FeatureKind, Host } from '../feature-kind';
import { root, simpson } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { slotLine } from './end-on';
import { at, fromOtherEnd, leaves, middle, needsCylinder } from './on-surface';

/** A half-moon seat, sunk with a Woodruff cutter; `atMm` is the cutter's centre. */
export interface WoodruffSeat extends FeatureBase, Clocked {
  readonly kind: 'woodruff-seat';
  readonly atMm: number;
  readonly widthMm: number;
  readonly cutterMm: number;
  /** From the crown of the shaft. */
  readonly depthMm: number;
}

const radius = (host: Host): number => host.surface.leftMm / 2;
const halfLengthMm = (f: WoodruffSeat): number => root((f.cutterMm / 2) ** 2 - (f.cutterMm / 2 - f.depthMm) ** 2);

/** The key of the book whose seat this is in this shaft; undefined where it is none's. */
function keyOf(f: WoodruffSeat, host: Host): BookSeat | undefined {
  const near = (p: number, q: number): boolean => Math.abs(p - q) < 0.011;
  return WOODRUFF.flatMap((k) => {
    const seat = near(k.widthMm, f.widthMm) && near(k.cutterMm, f.cutterMm) ? bookSeat(k.name, host.surface.leftMm) : null;
    return seat?.ok && near(seat.value.fromCrownMm, f.depthMm) ? [seat.value] : [];
  })[0];
}

const limits = (f: WoodruffSeat, host: Host): ReturnType<typeof woodruffLimits> => {
  const seat = keyOf(f, host);
  return seat ? woodruffLimits(seat.key, seat.fromCrownMm) : {};
};

function removedMm3(f: WoodruffSeat, host: Host): number {
  const [R, Rc, half] = [radius(host), f.cutterMm / 2, f.widthMm / 2];
  const centre = R - f.depthMm + Rc;
  const floor = (x: number): number => centre - root(Rc * Rc - x * x);
  const reach = halfLengthMm(f);
  return simpson((x) => simpson((y) => Math.max(root(R * R - y * y) - floor(x), 0), -half, half, 60), -reach, reach, 400);
}

export const woodruffSeat: FeatureKind<WoodruffSeat> = {
  kind: 'woodruff-seat',
  name: 'Woodruff seat',
  sides: ['outside'],
  fields: {
    atMm: { kind: 'length', label: 'Cutter’s centre from the left end', from: 0, to: 3000 },
    widthMm: { kind: 'length', label: 'Width', from: 0.5, to: 50 },
    cutterMm: { kind: 'length', label: 'Cutter diameter', from: 3, to: 200 },
    depthMm: { kind: 'length', label: 'Depth from the crown', from: 0.2, to: 60 },
    ...CLOCK_FIELDS,
  },
  asks: ['atMm'],
  start: (host) => {
    const d = host.surface.leftMm;
    const fits = WOODRUFF.flatMap((k) => {
      const seat = bookSeat(k.name, d);
      return seat.ok && !seat.value.unusual ? [seat.value] : [];
    });
    const best = fits.sort((p, q) => Math.abs(p.key.widthMm / d - 0.22) - Math.abs(q.key.widthMm / d - 0.22))[0];
    return {
      atMm: Math.round((middle(host) - host.surface.fromMm) * 10) / 10,
      widthMm: best?.key.widthMm ?? d / 5,
      cutterMm: best?.key.cutterMm ?? d * 0.7,
      depthMm: best?.fromCrownMm ?? d / 4,
      ...CLOCK_START,
    };
  },
  check: (f, host) => {
    const reach = halfLengthMm(f);
    const off = [...needsCylinder(host), ...leaves(host, f.atMm - reach, f.atMm + reach, 'atMm')];
    if (off.length) return off;
    if (f.widthMm >= host.surface.leftMm / 2) return [{ field: 'widthMm', message: 'It is wider than half the shaft.' }];
    if (f.depthMm >= f.cutterMm / 2) return [{ field: 'depthMm', message: 'The cutter’s arbor would rub: it is sunk to its middle.' }];
    return f.depthMm >= radius(host) ? [{ field: 'depthMm', message: 'It would reach the middle of the shaft.' }] : [];
  },
  dimensions: (f, host) => {
    const { width, depth } = limits(f, host);
    return [
      { name: 'at', what: 'position', label: 'centre from the left end', value: f.atMm },
      { name: 'width', what: 'width', label: 'width', value: f.widthMm, seat: true, ...(width && { book: width }) },
      { name: 'depth', what: 'depth', label: 'depth from the crown', value: f.depthMm, seat: true, ...(depth && { book: depth }) },
      ...clockDimension(f, host),
    ];
  },
  cut: (f, host) => {
    const reach = halfLengthMm(f);
    const box = {
      kind: 'box',
      fromMm: at(host, f.atMm - reach),
      toMm: at(host, f.atMm + reach),
      halfMm: f.widthMm / 2,
      rounded: false,
    } as const;
    return { shape: 'other', removedMm3: () => removedMm3(f, host), marks: [box] };
  },
  raiser: (f, host) => ({ atMm: at(host, f.atMm), coreMm: host.surface.leftMm - f.depthMm, words: 'a Woodruff seat' }),
  endOn: (f, host) => [slotLine(radius(host), f.widthMm / 2, radius(host) - f.depthMm)],
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, 0),
  operations: (f) => [{ kind: 'mill', words: 'Sink the Woodruff seat', makes: ['at', 'width', 'depth', ...clockMade(f)] }],
};
