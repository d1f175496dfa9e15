import type { ComponentRecord } from '@iron-patch/core';

/** Whether a component is another, or came out of it, however deep. */
export function isUnder(all: readonly ComponentRecord[], id: string, ofId: string): boolean {
  for (let at: string | null = id; at !== null; at = all.find((c) => c.id === at)?.parentId ?? null) if (at === ofId) return true;
  return false;
}

/** What a component can have come out of: neither itself, nor what came out of it, nor what it stands under already. */
export const parentsFor = (all: readonly ComponentRecord[], moved: ComponentRecord): readonly ComponentRecord[] =>
  all.filter((c) => c.id !== moved.parentId && !isUnder(all, c.id, moved.id));
