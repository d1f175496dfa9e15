import { boreOutlines, hostOf, kindOf, outline, partLengthMm, sideMarks, type OutlinePoint, type Part, type PlacedMark } from '../part';
import { inSentence } from '../../terms/words';
import { blockLines } from './block-scene';
import { bodyLines, boreLines } from './half-section';
import type { Primitive } from './scene';

/** What is cut into a bore: seen in the half that is cut open, behind metal in the other. */
const inBore = (fromMm: number, toMm: number, halfMm: number): Primitive[] =>
  ([1, -1] as const).map((s) => ({
    kind: 'path',
    points: [
      [fromMm, 0],
      [fromMm, s * halfMm],
      [toMm, s * halfMm],
      [toMm, 0],
    ],
    closed: false,
    style: s > 0 ? 'thin' : 'hidden',
  }));

function markLines({ mark, side, radiusMm }: PlacedMark): Primitive[] {
  switch (mark.kind) {
    case 'box': {
      const { fromMm: a, toMm: b, halfMm: h, offMm: off = 0 } = mark;
      if (side === 'inside') return inBore(a, b, h);
      const corners: [number, number][] = [
        [a, off + h],
        [b, off + h],
        [b, off - h],
        [a, off - h],
      ];
      return [{ kind: 'path', points: corners, closed: true, style: 'thin' }];
    }
    case 'circle':
      return [{ kind: 'circle', x: mark.atMm, y: 0, r: mark.radiusMm, style: 'thin' }];
    case 'thread': {
      const r = mark.rootMm / 2;
      return [1, -1].map((s): Primitive => ({
        kind: 'path',
        points: [
          [mark.fromMm, s * r],
          [mark.toMm, s * r],
        ],
        closed: false,
        style: side === 'inside' && s < 0 ? 'hidden' : 'thin',
      }));
    }
    case 'texture': {
      // Over the surface, clear of its edge.
      const off = side === 'outside' ? radiusMm + 1.5 : radiusMm - 1.5;
      return [1, -1].map((s): Primitive => ({
        kind: 'path',
        points: [
          [mark.fromMm, s * off],
          [mark.toMm, s * off],
        ],
        closed: false,
        style: 'treated',
      }));
    }
  }
}

/** Two stretches that meet at less than this run into each other, as a fillet's do: no edge is seen there, radians. */
const RUNS_ON = Math.PI / 10;

/** Which way a stretch of a contour goes, radians; null for one of no length. */
function direction(from: OutlinePoint | undefined, to: OutlinePoint | undefined): number | null {
  if (!from || !to || Math.hypot(to.x - from.x, to.r - from.r) < 1e-9) return null;
  return Math.atan2(to.r - from.r, to.x - from.x);
}

/** Vertical edges of the outside that run down to the axis below: the corners of the contour as seen from outside. */
function steps(part: Part): Primitive[] {
  const points = outline(part);
  const corners = points.filter((p, i) => {
    const [before, after] = [direction(points[i - 1], p), direction(p, points[i + 1])];
    return i === points.length - 1 || (before !== null && after !== null && Math.abs(after - before) > RUNS_ON);
  });
  return corners.flatMap((p): Primitive[] => {
    // The two corners of a shoulder stand at one place: the smaller one's edge is seen.
    const there = corners.filter((o) => Math.abs(o.x - p.x) < 1e-9);
    if (there[0] !== p) return [];
    const points: [number, number][] = [
      [p.x, 0],
      [p.x, -Math.min(...there.map((o) => o.r))],
    ];
    return [{ kind: 'path', points, closed: false, style: 'thin' }];
  });
}

/**
 * The part's lines. Of a block its three views; of a turned part cut open above the centre line, from outside below; what is milled and drilled as if it lay towards who looks.
 *
 * @param part a valid part
 */
export function partLines(part: Part): Primitive[] {
  if (part.block) return blockLines(part.block);
  const length = partLengthMm(part);
  return [
    ...bodyLines(outline(part)),
    ...boreOutlines(part).flatMap(boreLines),
    ...steps(part),
    ...sideMarks(part).flatMap(markLines),
    {
      kind: 'path',
      points: [
        [-8, 0],
        [length + 8, 0],
      ],
      closed: false,
      style: 'centre',
    },
  ];
}

/** One line for each feature of a part: its name, where it is, its dimensions as the sheet writes them. */
export function featureLines(part: Part, write: (key: string) => string): string[] {
  return part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    if (!host) return [];
    // The crests of a thread are its surface's own diameter, told there.
    const own = kindOf(f.kind)
      .dimensions(f, host)
      .flatMap((d) => (d.ofSurface ? [] : [`${d.label} ${write(`${f.id}.${d.name}`)}`]));
    const named = f.kind === 'thread' ? [[f.thread, f.threadClass, f.hand === 'left' ? 'left hand' : ''].filter(Boolean).join(' ')] : [];
    return [`${f.name} on ${inSentence(host.surface.name)}: ${[...named, ...own].join(', ')}`];
  });
}
