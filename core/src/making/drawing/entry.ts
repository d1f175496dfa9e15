import { findThread } from '../../book/threads';
import type { LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { mirrored, validatePart, type Part } from '../part';
import { byWords, copied } from './adding';
import { answer } from './answer';
import { answered, asksOf, type Ask } from './asks';
import { converted } from './converted';
import { removed } from './removed';

/** What one line typed at a drawing came to. */
export type Entry =
  /** The drawing is another one; what is asked about next, null for what comes after what was asked. */
  | { readonly kind: 'drawn'; readonly part: Part; readonly next: Ask | null; readonly words: string }
  | { readonly kind: 'which'; readonly names: readonly string[] }
  | { readonly kind: 'refused'; readonly message: string };

const refused = (message: string): Entry => ({ kind: 'refused', message });

/** Acts that are called by one word. */
const ACTS = new Map<string, (part: Part, ask: Ask, id: string) => Entry>(
  Object.entries({
    copy: (part: Part, ask: Ask, id: string): Entry => {
      const twin = copied(part, ask.ownerId, id);
      return twin
        ? { kind: 'drawn', part: twin.part, next: asksOf(twin.part).find((a) => a.ownerId === id) ?? null, words: `${ask.name}, once more` }
        : refused('What is cut into a surface can be copied. A step is added by its name.');
    },
    remove: (part: Part, ask: Ask): Entry => {
      const without = removed(part, ask.ownerId);
      return without
        ? { kind: 'drawn', part: without, next: null, words: `${ask.name} is gone` }
        : refused('The only cylinder of a part cannot go.');
    },
    mirror: (part: Part): Entry => ({ kind: 'drawn', part: mirrored(part), next: null, words: 'mirrored end for end' }),
  }),
);

/** A thread's name typed while something of a thread is asked for is that thread's; its blank or hole follows where the drawn one does not suit it. */
function renamed(part: Part, ask: Ask, text: string): Entry | null {
  const { ownerId } = ask;
  const thread = /\d/.test(text) && part.features.some((f) => f.id === ownerId && f.kind === 'thread') ? findThread(text.trim()) : null;
  if (!thread) return null;
  const kept = answered(answered(part, { ...ask, field: 'thread' }, thread.name), { ...ask, field: 'threadClass' }, '');
  const sized = validatePart(kept).ok ? null : converted(part, ownerId, thread);
  return sized && validatePart(sized).ok
    ? { kind: 'drawn', part: sized, next: null, words: `${thread.name}, and the diameter that it wants` }
    : { kind: 'drawn', part: kept, next: null, words: thread.name };
}

/**
 * One line typed at a turned part: the answer to what is asked, or the name of what is added there (`keyseat`, `step`, `M12 x 1.25`), or `copy`,
 * `remove`, `mirror`.
 *
 * @param ask what the line asks for; null where nothing is
 * @param at id of the surface in hand; null for none
 * @param unit of a bare number
 * @param id for what may be new
 */
export function entry(part: Part, ask: Ask | null, at: string | null, text: string, unit: LengthUnit, id: string): Entry {
  // First, for where free words are asked for these would be taken for the answer.
  const act = ask && ACTS.get(text.trim().toLowerCase());
  if (act) return act(part, ask, id);
  const reply = ask ? answer(part, ask, text, unit) : null;
  // Elsewhere than at its name a number is what is asked for: 12 is a length, and a thread besides.
  const own = ask && (ask.field === 'thread' || !reply?.ok) ? renamed(part, ask, text) : null;
  if (own) return own;
  if (reply?.ok) return { kind: 'drawn', part: reply.value, next: null, words: '' };
  const words = byWords(part, text, at, unit);
  if (words.kind === 'which') return words;
  const added = words.kind === 'added' ? words.make(id) : null;
  if (added)
    return {
      kind: 'drawn',
      part: added.part,
      next: asksOf(added.part).find((a) => a.ownerId === added.ownerId) ?? null,
      words: `${words.kind === 'added' ? inSentence(words.name) : ''} added`,
    };
  return refused(reply?.problems[0]?.message ?? 'Name what is added: step, keyseat, ring groove, thread, chamfer.');
}
