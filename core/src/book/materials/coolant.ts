import { COOLANT_BY_FAMILY, COOLANT_OWN, WETTED, type Wetted } from './coolant.data';
import { materialOf } from './material';

/** What is put on the cut, and what for. */
export interface Coolant {
  readonly on: readonly Wetted[];
  readonly words: string;
}

/** As a person says what an edge does. */
export const WETTED_WORDS: Readonly<Record<Wetted, string>> = {
  turn: 'turning and boring',
  drill: 'drilling',
  ream: 'reaming',
  thread: 'threads',
  mill: 'milling and slotting',
};

/** Carbide that is wetted now and then cracks across its edge. */
const ALL_OR_NONE = 'carbide gets it all the time or goes dry';

/**
 * What is put on the cut of a metal, what is alike together; nothing where the metal is not known.
 *
 * @param works what is done, in any order
 * @param carbide it is turned with carbide
 */
export function coolantFor(materialId: string, works: ReadonlySet<Wetted>, carbide = false): Coolant[] {
  const m = materialOf(materialId);
  if (!m) return [];
  const of = COOLANT_OWN.get(m.id) ?? COOLANT_BY_FAMILY[m.family];
  const told = new Map<string, Wetted[]>();
  for (const w of WETTED.filter((x) => works.has(x))) {
    const wet = carbide && w === 'turn' && of[w].startsWith('emulsion');
    const words = wet ? `${of[w]}; ${ALL_OR_NONE}` : of[w];
    told.set(words, [...(told.get(words) ?? []), w]);
  }
  return [...told].map(([words, on]) => ({ on, words }));
}
