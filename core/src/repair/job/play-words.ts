import { spanWords } from '../../terms/quantity';
import { inSentence } from '../../terms/words';

/** How something sits in its mate: play where it is loose, interference where it is pressed. */
export interface PlayWords {
  readonly name: string;
  readonly words: string;
}

/** One room in the words of the same line: loose or tight is said where the line goes over both. */
const oneOf = (mm: number, both: boolean, show: (mm: number) => string): string =>
  both ? `${show(Math.abs(mm))} ${mm < 0 ? 'tight' : 'loose'}` : show(Math.abs(mm));

/** Room that a simulation foretells for 95 of 100 places, with its average. */
export function foretoldWords(
  mate: string,
  { lowMm, highMm, meanMm }: { readonly lowMm: number; readonly highMm: number; readonly meanMm: number },
  show: (mm: number) => string,
): string {
  const { name, words } = playWords(mate, lowMm, highMm, show);
  return `${name}: ${words} in 95 of 100 places, ${oneOf(meanMm, lowMm < 0 && highMm >= 0, show)} on the average.`;
}

/**
 * What stands on a paper of the room between a part and its mate. What is pressed has no play: its interference is told, from the least to the most.
 *
 * @param mate name of the place that it sits in
 * @param tightMm room at the tightest place, below 0 where the part is larger; `looseMm` at the widest
 * @param show writes a length
 */
export function playWords(mate: string, tightMm: number, looseMm: number, show: (mm: number) => string): PlayWords {
  const where = inSentence(mate);
  if (looseMm < 0) return { name: `Interference in ${where}`, words: spanWords(show(-looseMm), show(-tightMm)) };
  if (tightMm < 0) return { name: `Fit in ${where}`, words: `from ${show(-tightMm)} tight to ${show(looseMm)} loose` };
  return { name: `Play in ${where}`, words: spanWords(show(tightMm), show(looseMm)) };
}
