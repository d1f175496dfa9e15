import { boreOutlines, hostOf, kindOf, outline, partLengthMm, placeOutside, sideMarks, type Part, type PlacedMark } from '../part';
import { inSentence } from '../../terms/words';
import { blockLines } from './block-scene';
import { bodyLines, boreLines } from './half-section';
import type { Primitive, Scene } from './scene';

function markLines({ mark, side, radiusMm }: PlacedMark): Primitive[] {
  switch (mark.kind) {
    case 'box': {
      const { fromMm: a, toMm: b, halfMm: h } = mark;
      const corners: [number, number][] = [
        [a, h],
        [b, h],
        [b, -h],
        [a, -h],
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
        style: 'thin',
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

/** Vertical edges of the outside that run down to the axis below: the steps as seen from outside. */
function steps(part: Part): Primitive[] {
  const points = outline(part);
  return points.flatMap((p, i): Primitive[] => {
    const before = points[i - 1];
    const turns = before && (Math.abs(before.r - p.r) > 1e-6 || i === points.length - 1);
    return turns
      ? [
          {
            kind: 'path',
            points: [
              [p.x, 0],
              [p.x, -Math.min(before.r, p.r)],
            ],
            closed: false,
            style: 'thin',
          },
        ]
      : [];
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

const TEXT_MM = 3.5;
const ROW_MM = 5;
const MARGIN_MM = 30;
/** Neighbouring diameters stand on rows of their own, so that they do not run into each other. */
const SIZE_ROWS = 3;

/** What a sheet says: the diameter of each outside surface, positions of shoulders, and a line for everything else. */
export interface SheetWords {
  readonly title: string;
  /** By id of an outside surface: `Body ⌀ 39.95 to 39.97`. */
  readonly diameters: Readonly<Record<string, string>>;
  /** A place along the axis in the sheet's unit. */
  readonly place: (mm: number) => string;
  /** Bores, features, material: one line each. */
  readonly notes: readonly string[];
}

/** A drawing sheet of a valid part in true size: lengths from the zero face below, diameters above, everything else in lines. */
export function partSheet(part: Part, words: SheetWords): Scene {
  const placed = placeOutside(part);
  const length = partLengthMm(part);
  const radius = Math.max(...outline(part).map((p) => p.r));
  const text = (x: number, y: number, t: string, anchor: 'start' | 'middle' = 'middle'): Primitive => ({
    kind: 'text',
    x,
    y,
    text: t,
    anchor,
    heightMm: TEXT_MM,
  });
  const sizes = placed.map((s, i) => text((s.fromMm + s.toMm) / 2, radius + 6 + (i % SIZE_ROWS) * ROW_MM, words.diameters[s.id] ?? ''));
  const lengths = placed.flatMap((s, i): Primitive[] => {
    // Every other place a row lower: short steps stand close together.
    const y = -radius - 12 - (i % 2) * ROW_MM;
    return [
      {
        kind: 'path',
        points: [
          [s.toMm, -s.rightMm / 2 - 1],
          [s.toMm, y + 4],
        ],
        closed: false,
        style: 'size',
      },
      text(s.toMm, y, words.place(s.toMm)),
    ];
  });
  const below = -radius - 12 - 2 * ROW_MM;
  const lines = words.notes.map((t, i) => text(0, below - (i + 1) * ROW_MM, t, 'start'));
  return {
    title: words.title,
    fromX: -MARGIN_MM,
    toX: length + MARGIN_MM,
    fromY: below - (lines.length + 2) * ROW_MM,
    toY: radius + MARGIN_MM,
    primitives: [...partLines(part), ...sizes, ...lengths, ...lines],
  };
}

/** One line for each feature of a part: its name, where it is, its dimensions as the sheet writes them. */
export function featureLines(part: Part, write: (key: string) => string): string[] {
  return part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    if (!host) return [];
    const own = kindOf(f.kind)
      .dimensions(f, host)
      .map((d) => `${d.label} ${write(`${f.id}.${d.name}`)}`);
    return [`${f.name} on ${inSentence(host.surface.name)}: ${own.join(', ')}`];
  });
}
