import type { Outcome } from '@iron-patch/core';

/** A check of a choice, its problems told from the value that a form holds of it: `value.faced` is its field `faced`. */
export function inValue<T>(checked: Outcome<T>): Outcome<T> {
  if (checked.ok) return checked;
  return { ok: false, problems: checked.problems.map((p) => ({ ...p, path: p.path.replace(/^value\./, '') })) };
}
