import { findThread } from '../../../book/threads';
import type { End, FeatureBase, FeatureKind } from '../feature-kind';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { circleLine, turnedOn } from './end-on';
import { END_OPTIONS, endAt, fromEnd, lengthOf, neighbour, otherEnd, radiusAtEnd } from './on-surface';

/** Holes along the axis in an end face, on a circle at equal angles; one in the middle has a circle of 0. */
export interface HolePattern extends FeatureBase, Clocked {
  readonly kind: 'hole-pattern';
  readonly end: End;
  readonly count: number;
  readonly circleMm: number;
  readonly diameterMm: number;
  readonly depthMm: number;
  /** Of tapped holes, the diameter is then what is drilled; empty for plain ones. */
  readonly thread: string;
}

export const holePattern: FeatureKind<HolePattern> = {
  kind: 'hole-pattern',
  name: 'Holes in the end',
  sides: ['outside'],
  fields: {
    end: { kind: 'choice', label: 'In', options: END_OPTIONS },
    count: { kind: 'count', label: 'How many', from: 1, to: 60 },
    circleMm: { kind: 'length', label: 'Circle (0 for one in the middle)', from: 0, to: 500 },
    diameterMm: { kind: 'length', label: 'Diameter', from: 0.3, to: 250 },
    depthMm: { kind: 'length', label: 'Depth', from: 0.2, to: 3000 },
    thread: { kind: 'text', label: 'Tapped, empty for plain', most: 40, optional: true },
    ...CLOCK_FIELDS,
  },
  asks: ['end', 'count', 'circleMm', 'diameterMm', 'depthMm'],
  start: (host) => {
    const d = Math.min(host.surface.leftMm, host.surface.rightMm);
    return {
      end: 'right',
      count: 1,
      circleMm: 0,
      diameterMm: Math.max(Math.round(d * 0.25 * 10) / 10, 0.5),
      depthMm: Math.round(Math.min(lengthOf(host) * 0.8, d) * 10) / 10,
      thread: '',
      ...CLOCK_START,
    };
  },
  check: (f, host) => {
    const [r, circle] = [f.diameterMm / 2, f.circleMm / 2];
    if (circle - r < (neighbour(host, f.end) ?? -Infinity))
      return [{ field: 'end', message: 'The face at that end is covered by what stands beside it.' }];
    if (circle === 0 && f.count > 1) return [{ field: 'circleMm', message: 'Several holes stand on a circle: say its diameter.' }];
    if (f.count > 1 && circle * Math.sin(Math.PI / f.count) <= r)
      return [{ field: 'diameterMm', message: 'The holes run into each other.' }];
    if (circle + r >= radiusAtEnd(host, f.end)) return [{ field: 'circleMm', message: 'They come out at the side.' }];
    const bore = host.beyondAt(endAt(host, f.end));
    if (bore > 0 && circle - r <= bore) return [{ field: 'circleMm', message: 'They run into the bore.' }];
    if (f.depthMm > lengthOf(host) + 1e-6) return [{ field: 'depthMm', message: `They are deeper than ${host.surface.name} is long.` }];
    if (f.thread && !findThread(f.thread)) return [{ field: 'thread', message: 'Say which thread: M6, 3/8-16.' }];
    return [];
  },
  dimensions: (f, host) => [
    { name: 'diameter', what: 'inside', label: f.thread ? `hole to tap ${f.thread}` : 'diameter', value: f.diameterMm },
    { name: 'depth', what: 'depth', label: 'depth', value: f.depthMm },
    ...(f.circleMm > 0 ? [{ name: 'circle', what: 'position' as const, label: 'circle', value: f.circleMm }] : []),
    ...clockDimension(f, host),
  ],
  cut: (f, host) => {
    return {
      shape: 'other',
      removedMm3: () => f.count * (Math.PI / 4) * f.diameterMm ** 2 * f.depthMm,
      marks: [{ kind: 'box', ...fromEnd(host, f.end, f.depthMm), halfMm: f.diameterMm / 2, rounded: false }],
    };
  },
  raiser: () => null,
  endOn: (f) => Array.from({ length: f.count }, (_, i) => turnedOn(circleLine(f.circleMm / 2, f.diameterMm / 2), (360 * i) / f.count)),
  mirrored: otherEnd,
  operations: (f) => [
    {
      kind: f.circleMm > 0 ? 'drill' : 'centre',
      words: `Drill ${f.thread ? 'and tap ' : ''}${f.count === 1 ? 'the hole in the end' : `${f.count} holes in the end`}`,
      makes: ['diameter', 'depth', ...(f.circleMm > 0 ? ['circle'] : []), ...clockMade(f)],
    },
  ],
};
