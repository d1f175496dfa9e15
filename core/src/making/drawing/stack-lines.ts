import { bearingOf, widthTolerance } from '../../book/bearings';
import { bad, good, type Outcome, type Problem } from '../../terms/outcome';
import { parseLength, toUnit, type LengthUnit } from '../../terms/quantity';
import { parseLimits } from '../part';

/** One thing that sits on a shaft: how long it is, and by how much that may be off, mm. */
export interface StackPiece {
  readonly name: string;
  readonly lengthMm: number;
  readonly lowerDev: number;
  readonly upperDev: number;
}

export const MOST_STACKED = 30;
const LIMITS = /^(.*?\d(?:\s*(?:mm|in|"))?)\s*((?:±|\+\s*\/?\s*-|[+-])\s*[\d.,].*)$/i;
const SAY = 'Write each as name: length, such as Spacer: 12 ±0.05. A listed bearing needs its number only.';

/** A listed bearing by its number alone: its width and what ISO 492 lets it be short. */
function bearing(line: string): StackPiece | null {
  const found = line
    .split(/\s+/)
    .map((word) => bearingOf(word))
    .find((b) => b !== undefined);
  if (!found) return null;
  const off = widthTolerance(found.boreMm);
  return { name: line, lengthMm: found.widthMm, lowerDev: off.ok ? off.value.lowerMm : 0, upperDev: 0 };
}

function piece(line: string, unit: LengthUnit): Outcome<StackPiece> {
  const cut = line.lastIndexOf(':');
  if (cut < 0) {
    const listed = bearing(line);
    return listed ? good(listed) : bad('stack', `${line}: ${SAY}`, 'pieces');
  }
  const [name, size] = [line.slice(0, cut).trim(), line.slice(cut + 1).trim()];
  const both = LIMITS.exec(size);
  const length = parseLength(both ? both[1]! : size, { unit });
  if (!name || !length.ok) return bad('stack', `${line}: ${SAY}`, 'pieces');
  const limits = both ? parseLimits(both[2]!, length.value.valueMm, unit) : null;
  if (limits && !limits.ok) return bad('stack', `${line}: ${limits.problems[0]!.message}`, 'pieces');
  const { lowerDev, upperDev } = limits?.value ?? { lowerDev: 0, upperDev: 0 };
  return good({ name, lengthMm: length.value.valueMm, lowerDev, upperDev });
}

/**
 * What sits on a shaft, one thing a line: `Spacer: 12 ±0.05`, `Wheel: 1.250 +0 -0.002`, or a listed bearing by its number alone (`6205`).
 *
 * @param unit of a bare number
 * @returns a reason for every line that says none
 */
export function parseStack(text: string, unit: LengthUnit): Outcome<StackPiece[]> {
  const lines = text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);
  if (lines.length > MOST_STACKED) return bad('many', `At most ${MOST_STACKED} things on one shaft.`, 'pieces');
  const read = lines.map((l) => piece(l, unit));
  const problems = read.flatMap((r): readonly Problem[] => (r.ok ? [] : r.problems));
  return problems.length ? { ok: false, problems } : good(read.flatMap((r) => (r.ok ? [r.value] : [])));
}

/** The lines that stand for a stack, to be typed on at. */
export const stackLines = (pieces: readonly StackPiece[], unit: LengthUnit): string =>
  pieces
    .map(({ name, lengthMm, lowerDev, upperDev }) => {
      const show = (mm: number): string => String(Number(toUnit(mm, unit).toFixed(unit === 'mm' ? 4 : 5)));
      const signed = (mm: number): string => (mm < 0 ? `-${show(-mm)}` : `+${show(mm)}`);
      return `${name}: ${show(lengthMm)}${lowerDev === 0 && upperDev === 0 ? '' : ` ${signed(upperDev)} ${signed(lowerDev)}`}`;
    })
    .join('\n');
