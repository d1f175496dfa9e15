import { createRequire } from 'node:module';
import { openSync, type Font } from 'fontkit';

/** A cut of the paper's type. */
export type Weight = 'regular' | 'bold';

interface Face {
  readonly file: string;
  readonly has: (codePoint: number) => boolean;
}

const DEJAVU: Readonly<Record<Weight, string>> = { regular: 'DejaVuSansCondensed.ttf', bold: 'DejaVuSansCondensed-Bold.ttf' };
/** Every sign of the basic plane, coarsely drawn: names in scripts that the first face lacks. */
const EVERY_SCRIPT = '@fontsource/unifont/files/unifont-latin-400-normal.woff';

function open(file: string): Face {
  const font = openSync(file) as Font;
  return { file, has: (codePoint) => font.hasGlyphForCodePoint(codePoint) };
}

const opened = new Map<string, Face>();
function face(file: string): Face {
  const kept = opened.get(file) ?? open(file);
  opened.set(file, kept);
  return kept;
}

/** Faces come with npm's packages, which lie beside the program that runs, wherever it was started from. */
const shipped = createRequire(process.argv[1]!).resolve;

/** Text as it can be printed, and the file of the face that it is printed in. */
export interface Printed {
  readonly text: string;
  readonly file: string;
}

const lacking = (text: string, f: Face): number => [...text].filter((c) => c !== '\n' && !f.has(c.codePointAt(0)!)).length;

/**
 * Chooses a face that holds every sign of a text, so that a name stands on paper in its own script. A sign that no face holds is
 * printed as `?`.
 */
export function printed(text: string, weight: Weight): Printed {
  const clean = text.normalize('NFC').replace(/\t/g, ' ').replace(/\r/g, '');
  const first = face(shipped(`dejavu-fonts-ttf/ttf/${DEJAVU[weight]}`));
  const every = lacking(clean, first) > 0 ? face(shipped(EVERY_SCRIPT)) : first;
  const best = lacking(clean, every) < lacking(clean, first) ? every : first;
  const held = [...clean].map((c) => (c === '\n' || best.has(c.codePointAt(0)!) ? c : '?')).join('');
  return { text: held, file: best.file };
}
