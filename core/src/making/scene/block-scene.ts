import { cutKindOf, FACES, sizeAlong, solidsOf, type Block, type BlockAxis, type Face, type Solid } from '../part';
import type { LineStyle, Primitive, Scene } from './scene';

/** Between two views: a share of the largest size, within mm. */
const GAP = { share: 0.2, leastMm: 8, mostMm: 40 };
const gapOf = (b: Block): number => Math.min(Math.max(GAP.share * Math.max(b.lengthMm, b.widthMm, b.heightMm), GAP.leastMm), GAP.mostMm);
/** Room beside and above the views for their sizes, mm. */
const MARGIN_MM = 30;
const TEXT_MM = 3.5;
const ROW_MM = 5;
/** A view's name stands so far under it, mm, in the room between two views. */
const underMm = (b: Block): number => Math.max(5, 0.38 * gapOf(b));

/** A view in first-angle projection: which face is looked at, and where its axes lie on the sheet. */
interface View {
  readonly words: string;
  readonly face: Face;
  /** Axis that is looked along, and the two of the sheet. */
  readonly into: BlockAxis;
  readonly across: BlockAxis;
  readonly up: BlockAxis;
  /** Seen from the left the front lies to the right. */
  readonly mirrored: boolean;
  readonly atX: number;
  readonly atY: number;
}

const viewsOf = (b: Block): View[] => [
  { words: 'from the front', face: 'front', into: 'y', across: 'x', up: 'z', mirrored: false, atX: 0, atY: 0 },
  { words: 'from above', face: 'top', into: 'z', across: 'x', up: 'y', mirrored: false, atX: 0, atY: -gapOf(b) - b.widthMm },
  { words: 'from the left', face: 'left', into: 'x', across: 'y', up: 'z', mirrored: true, atX: b.lengthMm + gapOf(b), atY: 0 },
];

/** The two axes of a solid's section, in its own order. */
const sectionAxes = (axis: BlockAxis): readonly [BlockAxis, BlockAxis] =>
  (['x', 'y', 'z'] as const).filter((a) => a !== axis) as [BlockAxis, BlockAxis];

/** From and to of a solid along any axis, mm. */
function extent(s: Solid, axis: BlockAxis): readonly [number, number] {
  if (s.axis === axis) return [s.fromMm, s.toMm];
  const first = sectionAxes(s.axis)[0] === axis;
  if (s.section.kind === 'circle') {
    const at = first ? s.section.a : s.section.b;
    return [at - s.section.r, at + s.section.r];
  }
  const all = s.section.points.map((p) => p[first ? 0 : 1]);
  return [Math.min(...all), Math.max(...all)];
}

const EDGE_MM = 1e-6;

/** What reaches the face that is looked at is seen; anything else lies behind metal. */
function isSeen(s: Solid, block: Block, face: Face): boolean {
  const { normal, far } = FACES[face];
  const [from, to] = extent(s, normal);
  return far ? to > sizeAlong(block, normal) - EDGE_MM : from < EDGE_MM;
}

function solidLines(s: Solid, block: Block, view: View): Primitive[] {
  const style: LineStyle = isSeen(s, block, view.face) ? 'thin' : 'hidden';
  const width = sizeAlong(block, view.across);
  const at = (across: number, up: number): [number, number] => [view.atX + (view.mirrored ? width - across : across), view.atY + up];
  if (s.axis === view.into) {
    if (s.section.kind === 'circle') {
      const swap = sectionAxes(s.axis)[0] !== view.across;
      const [x, y] = swap ? at(s.section.b, s.section.a) : at(s.section.a, s.section.b);
      return [{ kind: 'circle', x, y, r: s.section.r, style }];
    }
    const swap = sectionAxes(s.axis)[0] !== view.across;
    return [{ kind: 'path', points: s.section.points.map(([a, b]) => (swap ? at(b, a) : at(a, b))), closed: true, style }];
  }
  const [a, b] = extent(s, view.across);
  const [low, high] = extent(s, view.up);
  return [{ kind: 'path', points: [at(a, low), at(b, low), at(b, high), at(a, high)], closed: true, style }];
}

/** Letters of the holes, as in the hole table: A, B, … Z, AA. */
export function holeLetters(block: Block): ReadonlyMap<string, string> {
  const letter = (i: number): string => (i >= 26 ? letter(Math.floor(i / 26) - 1) : '') + String.fromCharCode(65 + (i % 26));
  return new Map(block.cuts.filter((c) => c.kind === 'hole').map((c, i) => [c.id, letter(i)]));
}

/** The block's lines in three views, seen edges full and hidden ones dashed, holes with their letters, each view with its name. */
export function blockLines(block: Block): Primitive[] {
  const letters = holeLetters(block);
  const solids = solidsOf(block);
  return viewsOf(block).flatMap((view): Primitive[] => {
    const [w, h] = [sizeAlong(block, view.across), sizeAlong(block, view.up)];
    const box: [number, number][] = [
      [view.atX, view.atY],
      [view.atX + w, view.atY],
      [view.atX + w, view.atY + h],
      [view.atX, view.atY + h],
    ];
    const marks = solids.flatMap(({ cut, solids: all }): Primitive[] => {
      const letter = letters.get(cut.id);
      const [first] = all;
      const named =
        letter && first?.section.kind === 'circle' && first.axis === view.into
          ? solidLines(first, block, view).flatMap((p): Primitive[] =>
              p.kind === 'circle'
                ? [{ kind: 'text', x: p.x + p.r + 1, y: p.y + p.r * 0.4 + 1, text: letter, anchor: 'start', heightMm: TEXT_MM }]
                : [],
            )
          : [];
      return [...all.flatMap((s) => solidLines(s, block, view)), ...named];
    });
    return [
      { kind: 'path', points: box, closed: true, style: 'edge' },
      ...marks,
      { kind: 'text', x: view.atX + w / 2, y: view.atY - underMm(block), text: view.words, anchor: 'middle', heightMm: TEXT_MM },
    ];
  });
}

/** What a sheet of a block says: its sizes, and a line for everything else. */
export interface BlockWords {
  readonly title: string;
  readonly length: string;
  readonly width: string;
  readonly height: string;
  readonly notes: readonly string[];
}

/** A drawing sheet of a valid block in true size, first-angle projection: three views, sizes, hole table and notes below. */
export function blockSheet(block: Block, words: BlockWords): Scene {
  const { lengthMm, widthMm, heightMm } = block;
  const text = (x: number, y: number, t: string, anchor: 'start' | 'middle' = 'middle'): Primitive => ({
    ...{ kind: 'text', x, y, text: t, anchor, heightMm: TEXT_MM },
  });
  const gap = gapOf(block);
  const foot = -gap - widthMm - underMm(block) + 5;
  const sizes = [
    text(lengthMm / 2, heightMm + 5, words.length),
    text(lengthMm + gap + widthMm / 2, heightMm + 5, words.width),
    text(lengthMm + gap + widthMm + 5, heightMm / 2, words.height, 'start'),
  ];
  const lines = words.notes.map((t, i) => text(0, foot - 6 - (i + 1) * ROW_MM, t, 'start'));
  return {
    title: words.title,
    fromX: -MARGIN_MM,
    toX: lengthMm + gap + widthMm + 2 * MARGIN_MM,
    fromY: foot - 6 - (lines.length + 2) * ROW_MM,
    toY: heightMm + MARGIN_MM,
    primitives: [...blockLines(block), ...sizes, ...lines],
  };
}

/** One line for each cut of a block: letter, name, face, its dimensions as the sheet writes them. */
export function cutLines(block: Block, write: (key: string) => string): string[] {
  const letters = holeLetters(block);
  return block.cuts.map((c) => {
    const own = cutKindOf(c.kind)
      .dimensions(c, block)
      .map((d) => `${d.label} ${write(d.round ? c.id : `${c.id}.${d.name}`)}`);
    const letter = letters.get(c.id);
    return `${letter ? `${letter}: ` : ''}${c.name}, ${c.on}: ${own.join(', ')}`;
  });
}
