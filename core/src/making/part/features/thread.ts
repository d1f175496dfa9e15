import { aLength } from '../../../terms/quantity';
import { findThread, THREAD_CLASSES, type Thread as BookThread } from '../../../book/threads';
import { flankMm, isHoleOf, minorMm, threadBook } from '../book-thread';
import type { DimensionDraft, End, FeatureBase, FeatureKind } from '../feature-kind';
import { END_OPTIONS, endAt, inward, lengthOf, otherEnd, startLength } from './on-surface';

/** A thread from an end of a surface, outside or inside; the surface is its blank. */
export interface Thread extends FeatureBase {
  readonly kind: 'thread';
  readonly end: End;
  /** As written on a drawing: `M18 x 1.5`, `3/8-24 UNF`. */
  readonly thread: string;
  /** `6g`, `2A`; empty for the usual one of its system. */
  readonly threadClass: string;
  readonly lengthMm: number;
  readonly hand: 'right' | 'left';
  readonly starts: number;
}

/** A blank this much over the thread's major size is another thread's, as a share of its pitch. */
const BLANK_MOST_OVER = 0.1;

const bookOf = (f: Pick<Thread, 'thread'>): BookThread | null => (f.thread.trim() ? (findThread(f.thread) ?? null) : null);

/** Axial section of the metal between two crests, mm² a pitch: a trapezoid, half the pitch wide on the pitch line. */
function grooveMm2(t: BookThread, depthMm: number): number {
  const half = Math.tan((t.form.angleDeg * Math.PI) / 360);
  const toPitchLine = (t.form.toPitchDiameter * t.pitchMm) / 2;
  return depthMm * (t.pitchMm / 2 + 2 * (toPitchLine - depthMm / 2) * half);
}

function removedMm3(t: BookThread, f: Thread, side: 'outside' | 'inside'): number {
  const depth = ((side === 'outside' ? t.form.toRoot : t.form.toMinor) * t.pitchMm) / 2;
  // From the major diameter inwards outside; the same groove, seen from the bore, inside: what the nut's thread takes is the pitch's rest.
  const area = side === 'outside' ? grooveMm2(t, depth) : t.pitchMm * depth - grooveMm2(t, depth);
  const mean = Math.PI * (t.majorMm - depth);
  return (area * mean * f.lengthMm) / t.pitchMm;
}

const sizes = (t: BookThread, f: Thread, side: 'outside' | 'inside'): DimensionDraft[] => {
  const limits = threadBook(t, side, f.threadClass);
  const own: DimensionDraft =
    side === 'outside'
      ? { name: 'crest', what: 'outside', label: 'diameter over the crests', value: t.majorMm, ofSurface: true, ...limits.crest }
      : { name: 'crest', what: 'inside', label: 'hole in the crests', value: minorMm(t), ofSurface: true, ...limits.crest };
  return [own, { name: 'pitch-diameter', what: 'pitch-diameter', label: 'pitch diameter', value: flankMm(t), seat: true, ...limits.flank }];
};

export const thread: FeatureKind<Thread> = {
  kind: 'thread',
  name: 'Thread',
  sides: ['outside', 'inside'],
  fields: {
    end: { kind: 'choice', label: 'From', options: END_OPTIONS },
    thread: { kind: 'text', label: 'Thread', most: 40 },
    threadClass: { kind: 'text', label: 'Class, empty for the usual', most: 12, optional: true },
    lengthMm: { kind: 'length', label: 'Full thread, length', from: 0.5, to: 2000 },
    hand: {
      kind: 'choice',
      label: 'Hand',
      options: [
        ['right', 'right'],
        ['left', 'left'],
      ],
    },
    starts: { kind: 'count', label: 'Starts', from: 1, to: 12 },
  },
  asks: ['end', 'thread', 'lengthMm'],
  start: (host) => ({
    end: 'right',
    thread: '',
    threadClass: '',
    lengthMm: startLength(host, host.surface.leftMm * 1.5, 0.8),
    hand: 'right',
    starts: 1,
  }),
  check: (f, host) => {
    const t = bookOf(f);
    if (!t) return [{ field: 'thread', message: 'Say which thread: M18 x 1.5, 3/8-24, 1/2 BSF.' }];
    if (f.lengthMm > lengthOf(host) + 1e-6) return [{ field: 'lengthMm', message: `It is longer than ${host.surface.name}.` }];
    const { side } = host.surface;
    const classes = THREAD_CLASSES[t.system]?.[side];
    if (f.threadClass && !classes?.includes(f.threadClass))
      return [
        {
          field: 'threadClass',
          message: classes ? `${t.name} has the classes ${classes.join(', ')}.` : `The book has no classes of ${t.name}: leave it empty.`,
        },
      ];
    const blank = 2 * host.radiusAt(endAt(host, f.end) + (inward(f.end) * f.lengthMm) / 2);
    const rootMm = t.majorMm - t.form.toRoot * t.pitchMm;
    if (side === 'outside') {
      if (blank < rootMm || blank > t.majorMm + BLANK_MOST_OVER * t.pitchMm)
        return [
          {
            field: 'thread',
            message: `The surface is ${aLength(blank)} and ${t.name} is ${aLength(t.majorMm)} over its crests: turn the blank first.`,
          },
        ];
      return rootMm / 2 <= host.beyondAt(endAt(host, f.end)) ? [{ field: 'thread', message: 'It cuts into the bore.' }] : [];
    }
    if (!isHoleOf(t, blank))
      return [
        {
          field: 'thread',
          message: `The hole is ${aLength(blank)} and ${t.name} wants about ${aLength(minorMm(t))}: drill or bore it first.`,
        },
      ];
    return t.majorMm / 2 >= host.beyondAt(endAt(host, f.end)) ? [{ field: 'thread', message: 'It breaks through to the outside.' }] : [];
  },
  dimensions: (f, host) => {
    const t = bookOf(f);
    return [
      { name: 'length', what: 'length', label: 'length of full thread', value: f.lengthMm },
      ...(t ? sizes(t, f, host.surface.side) : []),
    ];
  },
  cut: (f, host) => {
    const t = bookOf(f);
    const [a, b] = [endAt(host, f.end), endAt(host, f.end) + inward(f.end) * f.lengthMm];
    const rootMm = t ? t.majorMm - (host.surface.side === 'outside' ? t.form.toRoot * t.pitchMm : 0) : host.surface.leftMm;
    return {
      shape: 'other',
      removedMm3: () => (t ? removedMm3(t, f, host.surface.side) : 0),
      marks: [{ kind: 'thread', fromMm: Math.min(a, b), toMm: Math.max(a, b), rootMm }],
    };
  },
  raiser: (f, host) => {
    const t = bookOf(f);
    if (!t || host.surface.side === 'inside') return null;
    return {
      atMm: endAt(host, f.end) + inward(f.end) * f.lengthMm,
      coreMm: t.majorMm - t.form.toRoot * t.pitchMm,
      words: 'the run-out of a thread',
    };
  },
  mirrored: otherEnd,
  operations: (f, host) => {
    const made = bookOf(f) ? ['length', 'crest', 'pitch-diameter'] : ['length'];
    const how = `${f.hand === 'left' ? ' left-hand' : ''}${f.starts > 1 ? `, ${f.starts} starts` : ''}`;
    return [
      { kind: 'thread', words: `${host.surface.side === 'inside' ? 'Tap or cut' : 'Cut'} ${f.thread || 'the thread'}${how}`, makes: made },
    ];
  },
};
