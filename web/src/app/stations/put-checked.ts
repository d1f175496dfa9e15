import { check, choiceInput } from '@iron-patch/contract';
import type { Problem } from '@iron-patch/core';
import { inValue } from '../form';
import type { SheetStore } from '../sheet-data';

/** What became of a choice: stored, or not, with what its contract has against it. */
export interface Put {
  readonly stored: boolean;
  readonly problems: readonly Problem[];
}

/** Stores a choice that its contract takes; what the server has against it is told on the sheet. */
export async function putChecked(store: InstanceType<typeof SheetStore>, key: string, what: string, value: unknown): Promise<Put> {
  const checked = inValue(check(choiceInput(key)!, { value, reason: '' }));
  if (!checked.ok) return { stored: false, problems: checked.problems };
  return { stored: (await store.putChoice(key, what, value).catch(store.or(null))) !== null, problems: [] };
}
