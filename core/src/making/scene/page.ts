import { textWidthMm, wrapped } from './flags';
import type { LineStyle, Primitive, Scene } from './scene';

/** A scene on a sheet of paper, mm from its lower left corner, with where the part's own zero lies on it and how large it is drawn. */
export interface Sheet extends Scene {
  /** Paper over part: 0.5 is 1 to 2. */
  readonly scale: number;
  readonly zero: readonly [x: number, y: number];
}

/** A4 lying, mm. */
export const SHEET_MM = { width: 297, height: 210 } as const;
export const FRAME_MM = 10;
/** Scales that a machinist reads without thinking (ISO 5455). */
export const SMALLEST_SCALE = 0.05;
export const SCALES = [10, 5, 2, 1, 0.5, 0.2, 0.1, SMALLEST_SCALE] as const;
/** `1 to 2`, `2 to 1`. */
export const scaleWords = (scale: number): string => (scale >= 1 ? `${scale} to 1` : `1 to ${Math.round(1 / scale)}`);

const TITLE = { width: 124, height: 48 } as const;
/** Letters of notes, mm: large where there is room. */
const NOTE_LETTERS = [2.5, 2, 1.6] as const;
const NOTE_ROW = 1.6;
const NOTES_MM = SHEET_MM.width - 2 * FRAME_MM - TITLE.width - 8;
/** Notes take no more than this of the sheet's height, mm, while their letters can be smaller. */
const NOTES_MOST_MM = 80;

/** Words on a sheet, from their lower left corner or their middle; places and height of letters in mm of paper, up is more. */
export const text = (x: number, y: number, words: string, heightMm: number, anchor: 'start' | 'middle' = 'start'): Primitive => ({
  kind: 'text',
  x,
  y,
  text: words,
  anchor,
  heightMm,
});
/** A line through points in mm of paper. */
export const path = (points: readonly (readonly [number, number])[], style: LineStyle, closed = false): Primitive => ({
  kind: 'path',
  points,
  closed,
  style,
});
const box = (x: number, y: number, width: number, height: number): Primitive =>
  path(
    [
      [x, y],
      [x + width, y],
      [x + width, y + height],
      [x, y + height],
    ],
    'frame',
    true,
  );

/** Letters of the usual height, or as much smaller as it takes for a text to go on its width: nothing of it is cut off. */
const fitting = (words: string, widthMm: number, usualMm: number): number => Math.min(usualMm, widthMm / textWidthMm(words, 1));

/**
 * What is made of the first of several that fits so; where none does of the one that is over by least, the last where nobody says how far one is. What
 * comes after it is not made at all.
 */
export function firstThat<T, U>(
  all: readonly [T, ...T[]],
  make: (from: T) => U,
  fits: (made: U) => boolean,
  over: (made: U) => number = () => 0,
): U {
  let best = make(all[0]);
  for (const from of all.slice(1)) {
    if (fits(best)) break;
    const made = make(from);
    if (fits(made) || over(made) <= over(best)) best = made;
  }
  return best;
}

/** What stands at the foot of a sheet. */
export interface Foot {
  readonly name: string;
  /** Label and value, read by rows of two. */
  readonly fields: readonly (readonly [label: string, value: string])[];
  readonly notes: readonly string[];
}

/** Notes as they are set: in one column beside the title block, or where that is too high in two, the second over it. */
interface Noted {
  readonly letter: number;
  readonly columns: readonly (readonly string[])[];
  readonly heightMm: number;
}

function noted(notes: readonly string[]): Noted {
  const lines = (letter: number, widthMm: number): string[] =>
    notes.flatMap((n) => wrapped(n, Math.floor(widthMm / textWidthMm('x', letter))));
  const one = (letter: number): Noted => {
    const all = lines(letter, NOTES_MM);
    return { letter, columns: [all], heightMm: all.length * letter * NOTE_ROW };
  };
  const two = (letter: number): Noted => {
    const all = lines(letter, TITLE.width - 6);
    const row = letter * NOTE_ROW;
    // The second column begins over the title block: both reach equally high.
    const first = Math.min(all.length, Math.ceil((all.length + (TITLE.height + 4) / row) / 2));
    return { letter, columns: [all.slice(0, first), all.slice(first)], heightMm: first * row };
  };
  const [largest, ...smaller] = NOTE_LETTERS;
  const ways: [() => Noted, ...(() => Noted)[]] = [
    () => one(largest),
    ...smaller.map((l) => () => one(l)),
    ...NOTE_LETTERS.map((l) => () => two(l)),
  ];
  return firstThat(
    ways,
    (way) => way(),
    (n) => n.heightMm <= NOTES_MOST_MM,
  );
}

/**
 * The frame, the title block and the notes; and how high above the sheet's lower edge they reach, mm.
 *
 * @param notesAs the notes as they were set before for the same sheet
 */
export function sheetFoot(
  { name, fields, notes }: Foot,
  notesAs: Noted = noted(notes),
): { readonly primitives: readonly Primitive[]; readonly topMm: number; readonly notesAs: Noted } {
  const top = FRAME_MM + Math.max(TITLE.height, notesAs.heightMm + 4);
  const left = SHEET_MM.width - FRAME_MM - TITLE.width;
  const rowMm = (TITLE.height - 10) / Math.ceil(fields.length / 2);
  const cells = fields.flatMap(([label, value], i): Primitive[] => {
    const x = left + (i % 2) * (TITLE.width / 2) + 2;
    const y = FRAME_MM + TITLE.height - 10 - (Math.floor(i / 2) + 1) * rowMm;
    return [text(x, y + rowMm - 2.4, label, 1.6), text(x, y + 1.4, value, fitting(value, TITLE.width / 2 - 4, 2.4))];
  });
  return {
    topMm: top,
    notesAs,
    primitives: [
      box(FRAME_MM, FRAME_MM, SHEET_MM.width - 2 * FRAME_MM, SHEET_MM.height - 2 * FRAME_MM),
      box(left, FRAME_MM, TITLE.width, TITLE.height),
      path(
        [
          [left, FRAME_MM + TITLE.height - 10],
          [left + TITLE.width, FRAME_MM + TITLE.height - 10],
        ],
        'frame',
      ),
      text(left + 2, FRAME_MM + TITLE.height - 7, name, fitting(name, TITLE.width - 4, 4.5)),
      ...cells,
      ...notesAs.columns.flatMap((lines, column) =>
        lines.map((line, i) => text(column ? left : FRAME_MM + 3, top - 3 - (i + 1) * notesAs.letter * NOTE_ROW + 1, line, notesAs.letter)),
      ),
    ],
  };
}

/** A lying A4 with what is on it. */
export const onPaper = (own: Pick<Sheet, 'title' | 'scale' | 'zero' | 'primitives'>): Sheet => ({
  ...own,
  ...{ fromX: 0, toX: SHEET_MM.width, fromY: 0, toY: SHEET_MM.height },
});

/** Kept free on both sides of what is drawn, mm. */
export const BESIDE_MM = 14;

/** The room over what stands at the foot of a sheet, mm. */
export const roomOver = (footTopMm: number): { readonly width: number; readonly height: number } => ({
  width: SHEET_MM.width - 2 * FRAME_MM - 2 * BESIDE_MM,
  height: SHEET_MM.height - FRAME_MM - footTopMm - 6,
});

/** Moved and made larger or smaller: each place times `scale`, then `dx`, `dy` on; letters keep their height. */
export function moved(primitives: readonly Primitive[], scale: number, dx: number, dy: number): Primitive[] {
  const at = ([x, y]: readonly [number, number]): [number, number] => [x * scale + dx, y * scale + dy];
  return primitives.map((p): Primitive => {
    if (p.kind === 'path' || p.kind === 'area') return { ...p, points: p.points.map(at) };
    const [x, y] = at([p.x, p.y]);
    return p.kind === 'circle' ? { ...p, x, y, r: p.r * scale } : { ...p, x, y };
  });
}

/** A sheet in the part's own size, its zero at 0: for programs that measure in it. Letters grow with it. */
export function inTrueSize(sheet: Sheet): Scene {
  const times = 1 / sheet.scale;
  const [x, y] = sheet.zero;
  const grown = moved(sheet.primitives, times, -x * times, -y * times).map((p) =>
    p.kind === 'text' ? { ...p, heightMm: p.heightMm * times } : p,
  );
  return {
    title: sheet.title,
    fromX: (sheet.fromX - x) * times,
    toX: (sheet.toX - x) * times,
    fromY: (sheet.fromY - y) * times,
    toY: (sheet.toY - y) * times,
    primitives: grown,
  };
}
