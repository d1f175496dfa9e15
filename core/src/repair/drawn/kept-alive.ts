import { drawingDoubts } from '../../making/drawing';
import type { Part } from '../../making/part';
import type { LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import type { StrengthFinding } from './strength-finding';

/** Less than this much better is as it was, for what the factors can tell. */
const BETTER = 1.05;

function sharpAsBefore(strength: StrengthFinding | null): string[] {
  const row = strength?.rows.find((r) => r.load === 'bending');
  if (!row) return [];
  const where = inSentence(row.new.bearing.words);
  if (row.ratio && row.ratio.value < BETTER)
    return [`It broke where the stress gathers, and bent while it turns the new one bears no more: its weakest place is ${where}.`];
  // A corner that nobody rounded is where the next one begins.
  return row.new.bearing.words.includes('no radius given')
    ? [`It broke where the stress gathers, and the weakest place of the new one is ${where}: give it a radius.`]
    : [];
}

/**
 * What the drawing keeps alive of the cause that was found: a stress raiser that bears no more than before or stands in a corner without a radius, a
 * land beside a ring that is thin again. Empty where nothing of it shows in a drawing.
 *
 * @param causeId as chosen at Decide; empty for none
 * @param unit in which lengths are told
 */
export function keptAlive(causeId: string, part: Part, strength: StrengthFinding | null, unit: LengthUnit): string[] {
  switch (causeId) {
    case 'stress-raiser':
      return sharpAsBefore(strength);
    case 'thin-wall': {
      const rings = new Set(part.features.flatMap((f) => (f.kind === 'ring-groove' ? [f.id] : [])));
      return drawingDoubts(part, unit).flatMap((d) =>
        rings.has(d.ownerId) ? [`The wall beside the groove gave way, and it is thin again. ${d.words}`] : [],
      );
    }
    default:
      return [];
  }
}
