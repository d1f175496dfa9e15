import {
  hostOf,
  kindOf,
  largestDiameterMm,
  outline,
  partLengthMm,
  placeBore,
  placeOutside,
  turnedOn,
  type Part,
  type PartFeature,
} from '../part';
import { flagRows, spread, textWidthMm, type Flag } from './flags';
import {
  BESIDE_MM,
  firstThat,
  FRAME_MM,
  moved,
  onPaper,
  path,
  roomOver,
  SCALES,
  scaleWords,
  SMALLEST_SCALE,
  sheetFoot,
  text,
  type Foot,
  type Sheet,
} from './page';
import { partLines } from './part-scene';
import type { Primitive } from './scene';

/** What a sheet of a turned part says. */
export interface SheetWords extends Foot {
  readonly title: string;
  /** By id of an outside surface: `Body ⌀ 39.95 to 39.97`. */
  readonly diameters: Readonly<Record<string, string>>;
  /** A place along the axis in the sheet's unit. */
  readonly place: (mm: number) => string;
  /** Numbers of the features on the sheet, by their ids, as the notes have them. */
  readonly numbers: Readonly<Record<string, number>>;
}

const LETTER_MM = 2.8;
/** Letters over the part where the usual ones do not all go on, mm. */
const CLOSE_LETTER_MM = 2.1;
/** A row of texts is so many letters high. */
const ROW_TIMES = 1.65;
const GAP_MM = 1.5;
/** Lines of two texts stand at least this far apart, mm. */
const LINE_APART_MM = 1.2;
/** Between the part and its first row of texts, mm. */
const CLEAR_MM = 5;
const LENGTHS_MM = 17;

/** The middle of a feature along the part, mm from the zero face. */
function middleOf(part: Part, f: PartFeature): number | null {
  const host = hostOf(part, f.on);
  if (!host) return null;
  const { fromMm, toMm } = host.surface;
  if ('end' in f) return f.end === 'left' ? fromMm : toMm;
  if (!('atMm' in f)) return (fromMm + toMm) / 2;
  const long = 'lengthMm' in f ? f.lengthMm : f.kind === 'cross-hole' || f.kind === 'woodruff-seat' ? 0 : f.widthMm;
  return fromMm + f.atMm + long / 2;
}

interface Pointed extends Flag {
  /** Where its line ends, mm above the axis in the part's size. */
  readonly downToMm: number;
}

function flagsOf(part: Part, words: SheetWords, scale: number): Pointed[] {
  const row = placeOutside(part);
  const radiusAt = (x: number): number => {
    const s = row.find((o) => x >= o.fromMm - 1e-9 && x <= o.toMm + 1e-9);
    return s ? Math.max(s.leftMm, s.rightMm) / 2 : 0;
  };
  const sizes = row.map((s): Pointed => {
    const x = (s.fromMm + s.toMm) / 2;
    return { x: x * scale, text: words.diameters[s.id] ?? '', downToMm: radiusAt(x) };
  });
  const all = sizes.filter((f) => f.text !== '');
  // What lies at one place has one line with all its numbers.
  const numbers = new Map<number, { readonly x: number; text: string }>();
  for (const f of part.features) {
    const [x, number] = [middleOf(part, f), words.numbers[f.id]];
    if (x === null || number === undefined) continue;
    const place = Math.round((x * scale) / LINE_APART_MM);
    const there = numbers.get(place);
    numbers.set(place, { x: there?.x ?? x, text: there ? `${there.text} (${number})` : `(${number})` });
  }
  for (const { x, text: own } of numbers.values()) {
    // A line of its own beside those that are there.
    let at = x * scale;
    while (all.some((o) => Math.abs(o.x - at) < LINE_APART_MM)) at += LINE_APART_MM;
    all.push({ x: at, text: own, downToMm: radiusAt(at / scale) || radiusAt(x) });
  }
  return all;
}

type Clocked = Extract<PartFeature, { readonly clockDeg: number }>;
/** Features that lie at a clock angle, where they want a view along the axis: not all lie at one, one is timed, or one does not show cut open. */
function clocked(part: Part): Clocked[] {
  const all = part.features.flatMap((f): Clocked[] => ('clockDeg' in f ? [f] : []));
  const wanted = new Set(all.map((f) => f.clockDeg)).size > 1 || all.some((f) => f.timedTo !== '' || kindOf(f.kind).wantsEndView === true);
  return wanted ? all : [];
}

/** Diameters of the bores that come out at the right end, mm. */
const boreMouths = (part: Part): number[] =>
  part.bores.flatMap((b) => placeBore(part, b)).flatMap((s) => (s.toMm >= partLengthMm(part) - 1e-6 ? [s.rightMm] : []));

/** What stands at one clock angle of the view along the axis: its text about the middle of the view, and how far out. */
interface ClockText {
  readonly deg: number;
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly outMm: number;
}
/** A text stands so far outside the round, mm; where another one is in its way so much farther, step by step. */
const OUT_MM = 8;
const FARTHER_MM = 1.5;

/** Texts round the view along the axis, none on another, and how far beyond the round they reach to a side and up or down, mm. */
function clockTexts(
  part: Part,
  words: SheetWords,
  radius: number,
): { readonly texts: readonly ClockText[]; readonly aside: number; readonly upright: number } {
  const all = clocked(part);
  const texts: (ClockText & { readonly half: number })[] = [];
  for (const deg of [...new Set(all.map((f) => f.clockDeg))].sort((p, q) => p - q)) {
    const said = `${all.flatMap((f) => (f.clockDeg === deg ? [`(${words.numbers[f.id] ?? ''})`] : [])).join(' ')} ${deg}°`;
    const half = textWidthMm(said, LETTER_MM) / 2;
    const at = (outMm: number): ClockText & { readonly half: number } => {
      const turn = (deg * Math.PI) / 180;
      return { deg, text: said, half, outMm, x: (radius + outMm) * Math.sin(turn), y: (radius + outMm) * Math.cos(turn) };
    };
    const free = (t: ReturnType<typeof at>): boolean =>
      texts.every((o) => Math.abs(o.x - t.x) >= o.half + t.half + GAP_MM / 2 || Math.abs(o.y - t.y) >= LETTER_MM * 1.25);
    let outMm = OUT_MM;
    while (!free(at(outMm))) outMm += FARTHER_MM;
    texts.push(at(outMm));
  }
  return {
    texts,
    aside: Math.max(BESIDE_MM, ...texts.map((t) => Math.abs(t.x) + t.half - radius)),
    upright: Math.max(OUT_MM, ...texts.map((t) => Math.abs(t.y) - radius)),
  };
}

/** The part seen from its right end: clock angles run clockwise from above. */
function endView(part: Part, words: SheetWords, scale: number, x: number, y: number): Primitive[] {
  const radius = (largestDiameterMm(part) / 2) * scale;
  const all = clocked(part);
  const { texts, upright } = clockTexts(part, words, radius);
  const surfaces = all.flatMap((f) => hostOf(part, f.on)?.surface.leftMm ?? []);
  const rings = [...new Set([...surfaces, ...boreMouths(part), largestDiameterMm(part)])];
  const at = (r: number, deg: number): [number, number] => [
    x + r * Math.sin((deg * Math.PI) / 180),
    y + r * Math.cos((deg * Math.PI) / 180),
  ];
  const arm = radius + 3;
  const cut = all.flatMap((f): Primitive[] => {
    const host = hostOf(part, f.on)!;
    const lines = kindOf(f.kind).endOn?.(f, host) ?? [];
    const { outMm } = texts.find((t) => t.deg === f.clockDeg)!;
    return [
      ...lines.map((l) =>
        path(
          turnedOn(l, f.clockDeg).points.map(([u, v]): [number, number] => [x + u * scale, y + v * scale]),
          l.hidden ? 'hidden' : 'edge',
        ),
      ),
      path([at((host.surface.leftMm / 2) * scale, f.clockDeg), at(radius + outMm - OUT_MM + 2.5, f.clockDeg)], 'thin'),
    ];
  });
  return [
    ...rings.map((d): Primitive => ({ kind: 'circle', x, y, r: (d / 2) * scale, style: 'thin' })),
    path(
      [
        [x - arm, y],
        [x + arm, y],
      ],
      'centre',
    ),
    path(
      [
        [x, y - arm],
        [x, y + arm],
      ],
      'centre',
    ),
    ...cut,
    ...texts.map((t) => text(x + t.x, y + t.y - LETTER_MM / 2, t.text, LETTER_MM, 'middle')),
    text(x, y - radius - upright - 6, 'seen from the right end', 2.2, 'middle'),
  ];
}

/** Places of the shoulders from the zero face, each by a line from its shoulder. */
function lengths(part: Part, words: SheetWords, scale: number, x0: number, y0: number): Primitive[] {
  const row = placeOutside(part);
  const edges = [{ mm: 0, r: row[0]!.leftMm / 2 }, ...row.map((s) => ({ mm: s.toMm, r: s.rightMm / 2 }))];
  const said = edges.map((e) => words.place(e.mm));
  const apart = Math.max(...said.map((t) => textWidthMm(t, LETTER_MM))) + GAP_MM;
  const shown = spread(
    edges.map((e) => x0 + e.mm * scale),
    apart,
  );
  const lowest = y0 - (largestDiameterMm(part) / 2) * scale;
  return edges.flatMap((e, i): Primitive[] => {
    const x = x0 + e.mm * scale;
    return [
      path(
        [
          [x, y0 - e.r * scale - 1],
          [x, lowest - 5],
          [shown[i]!, lowest - 10],
        ],
        'size',
      ),
      text(shown[i]!, lowest - 10 - LETTER_MM - 0.8, said[i]!, LETTER_MM, 'middle'),
    ];
  });
}

/**
 * The drawing sheet of a turned part on one lying A4: half section at the largest usual scale that goes on it, diameters and numbers above it, lengths
 * from the zero face below, a view along the axis where clock angles matter, all else in numbered notes beside the title block.
 *
 * @param part a valid turned part
 */
export function partSheet(part: Part, words: SheetWords): Sheet {
  const length = partLengthMm(part);
  const radius = Math.max(...outline(part).map((p) => p.r));
  const views = clocked(part).length > 0;
  const flagsAt = new Map<number, Pointed[]>();
  const measure = (scale: number, letter: number) => {
    const flags = flagsAt.get(scale) ?? flagsOf(part, words, scale);
    flagsAt.set(scale, flags);
    const rows = flagRows(flags, letter, GAP_MM);
    const right = Math.max(length * scale, ...flags.map((f) => f.x + textWidthMm(f.text, letter)));
    const { aside, upright } = views ? clockTexts(part, words, radius * scale) : { aside: 0, upright: 0 };
    const end = views ? 2 * radius * scale + 2 * aside : 0;
    const above = Math.max(CLEAR_MM + (Math.max(...rows) + 1) * letter * ROW_TIMES, views ? upright + LETTER_MM : 0);
    const below = Math.max(LENGTHS_MM, views ? upright + 8 : 0);
    return { scale, letter, flags, rows, right, aside, below, width: right + end, height: above + 2 * radius * scale + below };
  };
  const foot = sheetFoot({ ...words, fields: [...words.fields, ['scale', '10 to 1']] });
  const room = roomOver(foot.topMm);
  const fits = (t: ReturnType<typeof measure>): boolean => t.width <= room.width && t.height <= room.height;
  // Where the bare part is too large nothing of it has to be set out.
  const bare = SCALES.filter((s) => length * s <= room.width && 2 * radius * s <= room.height);
  const over = (t: ReturnType<typeof measure>): number => Math.max(t.width / room.width, t.height / room.height);
  const scales = [...bare, SMALLEST_SCALE] as const;
  const ways = [LETTER_MM, CLOSE_LETTER_MM].flatMap((letter) => scales.map((scale) => ({ scale, letter })));
  const { scale, letter, flags, rows, right, aside, below, width, height } = firstThat(
    ways as [(typeof ways)[number], ...typeof ways],
    (way) => measure(way.scale, way.letter),
    fits,
    over,
  );
  const x0 = FRAME_MM + BESIDE_MM + (room.width - width) / 2;
  const y0 = foot.topMm + 3 + (room.height - height) / 2 + below + radius * scale;
  const base = y0 + radius * scale + CLEAR_MM;
  const pointed = flags.flatMap((f, i): Primitive[] => {
    const y = base + rows[i]! * letter * ROW_TIMES;
    return [
      path(
        [
          [x0 + f.x, y0 + f.downToMm * scale],
          [x0 + f.x, y + letter],
        ],
        'size',
      ),
      text(x0 + f.x + 0.8, y + 0.6, f.text, letter),
    ];
  });
  return onPaper({
    title: words.title,
    scale,
    zero: [x0, y0],
    primitives: [
      ...sheetFoot({ ...words, fields: [...words.fields, ['scale', scaleWords(scale)]] }, foot.notesAs).primitives,
      ...moved(partLines(part), scale, x0, y0),
      ...pointed,
      ...lengths(part, words, scale, x0, y0),
      ...(views ? endView(part, words, scale, x0 + right + aside + radius * scale, y0) : []),
    ],
  });
}
