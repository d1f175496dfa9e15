import type { ReleaseInput } from '@iron-patch/contract';
import type { Repair } from '@iron-patch/core';

/** The figures on the screen, so that the server releases nothing that nobody has seen. */
export const seenFigures = (repair: Repair | null): ReleaseInput => ({
  itemId: repair?.at?.item.id,
  seen: (repair?.releasable ?? []).map((f) => ({ key: f.key, valueMm: f.value })),
});
