import { inSentence } from '../../terms/words';
import { KEYS, ordered, type Act } from './act';
import { doing, type SetUp } from './set-up';
import type { Work } from './work';

/** A set-up with its acts as somebody put them. */
export const inOrder = (setUp: SetUp, keys: readonly string[]): SetUp =>
  keys.length ? { ...setUp, ...doing(ordered(setUp.acts, keys), setUp.cuts) } : setUp;

/** What was put before something that it needs. */
export interface OutOfOrder {
  /** Number of the set-up. */
  readonly setUp: number;
  /** A sentence. */
  readonly words: string;
}

/** What an act needs that comes behind it in its own set-up. */
function ofOne({ acts }: SetUp, { part, cuts }: Work): string[] {
  const at = (id: string): number => acts.findIndex((a) => a.cuts.includes(id));
  const nameOf = (id: string): string => inSentence(cuts.find((c) => c.id === id)?.name ?? '');
  const said: string[] = [];
  const needs = (i: number, { words }: Act, id: string, why: string): void => {
    if (at(id) > i) said.push(`“${words}” comes before ${nameOf(id)}, ${why}.`);
  };
  acts.forEach((a, i) => {
    if (a.key === KEYS.edges) return;
    for (const id of a.cuts) {
      const cut = cuts.find((c) => c.id === id);
      const feature = part.features.find((f) => f.id === id);
      if (cut && cut.on !== id && !a.cuts.includes(cut.on)) needs(i, a, cut.on, 'which it is cut into');
      if (feature && 'timedTo' in feature && feature.timedTo) needs(i, a, feature.timedTo, 'from which its angle is found');
    }
  });
  const keyAt = (key: string): number => acts.findIndex((a) => a.key === key);
  const bores = acts.findIndex((a) => part.bores.some((b) => b.id === a.key));
  if (keyAt(KEYS.face) > 0) said.push('The zero face is not there yet when it begins.');
  if (keyAt(KEYS.support) >= 0 && bores > keyAt(KEYS.support)) said.push('The tailstock stands in the way of the bore.');
  const off = keyAt(KEYS.partOff);
  if (off >= 0 && off < acts.length - 1) said.push(`“${acts[off + 1]!.words}” comes after the piece is cut off.`);
  return said;
}

/** What was put before something that it needs. */
export const outOfOrder = (setUps: readonly SetUp[], work: Work): OutOfOrder[] =>
  setUps.flatMap((s) => [...new Set(ofOne(s, work))].map((words) => ({ setUp: s.number, words })));
