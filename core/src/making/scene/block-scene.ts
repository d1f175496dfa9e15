import { cutKindOf, FACES, sizeAlong, solidsOf, type Block, type BlockAxis, type Face, type Solid } from '../part';
import { textWidthMm } from './flags';
import {
  BESIDE_MM,
  firstThat,
  FRAME_MM,
  moved,
  onPaper,
  roomOver,
  SCALES,
  scaleWords,
  sheetFoot,
  text,
  type Foot,
  type Sheet,
} from './page';
import type { LineStyle, Primitive } from './scene';

/** Between two views: a share of the largest size, within mm. */
const GAP = { share: 0.2, leastMm: 8, mostMm: 40 };
const gapOf = (b: Block): number => Math.min(Math.max(GAP.share * Math.max(b.lengthMm, b.widthMm, b.heightMm), GAP.leastMm), GAP.mostMm);
const TEXT_MM = 3.5;
/** A view's name stands this share of the room between two views under its own. */
const NAME_SHARE = 0.38;
/** A view's name stands so far under it, mm, in the room between two views. */
const underMm = (gapMm: number): number => Math.max(5, NAME_SHARE * gapMm);

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

const viewsOf = (b: Block, gapMm: number): View[] => [
  { words: 'from the front', face: 'front', into: 'y', across: 'x', up: 'z', mirrored: false, atX: 0, atY: 0 },
  { words: 'from above', face: 'top', into: 'z', across: 'x', up: 'y', mirrored: false, atX: 0, atY: -gapMm - b.widthMm },
  { words: 'from the left', face: 'left', into: 'x', across: 'y', up: 'z', mirrored: true, atX: b.lengthMm + gapMm, atY: 0 },
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

/**
 * The block's lines in three views, seen edges full and hidden ones dashed, holes with their letters, each view with its name.
 *
 * @param gapMm between two views; `nameMm` from a view down to its name
 */
export function blockLines(block: Block, gapMm = gapOf(block), nameMm = underMm(gapMm)): Primitive[] {
  const letters = holeLetters(block);
  const solids = solidsOf(block);
  return viewsOf(block, gapMm).flatMap((view): Primitive[] => {
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
      { kind: 'text', x: view.atX + w / 2, y: view.atY - nameMm, text: view.words, anchor: 'middle', heightMm: TEXT_MM },
    ];
  });
}

/** What a sheet of a block says: its sizes, and its foot. */
export interface BlockWords extends Foot {
  readonly title: string;
  readonly length: string;
  readonly width: string;
  readonly height: string;
}

/** Between two views on paper, over the views for their sizes, and between a view and a size beside it, mm. */
const ON_PAPER = { gapMm: 14, overMm: 9, sizeMm: 4 } as const;

/**
 * The drawing sheet of a valid block on one lying A4, first-angle projection: three views at the largest usual scale that goes on it, sizes beside
 * them, the hole table in the notes beside the title block.
 */
export function blockSheet(block: Block, words: BlockWords): Sheet {
  const { lengthMm, widthMm, heightMm } = block;
  const { gapMm, overMm, sizeMm } = ON_PAPER;
  const foot = (scale: string) => sheetFoot({ ...words, fields: [...words.fields, ['scale', scale]] });
  const { topMm } = foot('10 to 1');
  const room = roomOver(topMm);
  const nameMm = NAME_SHARE * gapMm;
  const beside = sizeMm + textWidthMm(words.height, TEXT_MM);
  const measure = (scale: number) => ({
    scale,
    width: (lengthMm + widthMm) * scale + gapMm + beside,
    height: (heightMm + widthMm) * scale + gapMm + overMm + nameMm + TEXT_MM,
  });
  const { scale, width, height } = firstThat(SCALES, measure, (t) => t.width <= room.width && t.height <= room.height);
  const x0 = FRAME_MM + BESIDE_MM + (room.width - width) / 2;
  const y0 = topMm + 3 + (room.height - height) / 2 + nameMm + TEXT_MM + widthMm * scale + gapMm;
  const right = x0 + lengthMm * scale + gapMm;
  const over = y0 + heightMm * scale + sizeMm;
  return onPaper({
    title: words.title,
    scale,
    zero: [x0, y0],
    primitives: [
      ...foot(scaleWords(scale)).primitives,
      ...moved(blockLines(block, gapMm / scale, nameMm / scale), scale, x0, y0),
      text(x0 + (lengthMm * scale) / 2, over, words.length, TEXT_MM, 'middle'),
      text(right + (widthMm * scale) / 2, over, words.width, TEXT_MM, 'middle'),
      text(right + widthMm * scale + sizeMm, y0 + (heightMm * scale - TEXT_MM) / 2, words.height, TEXT_MM),
    ],
  });
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
