import { computed, linkedSignal, type WritableSignal } from '@angular/core';
import { SAME_VALUE } from '../data';

/** A field that begins with what is stored, and keeps what is typed until that becomes another: news that leaves it as it is takes nothing. */
export function startsAs<T>(stored: () => T): WritableSignal<T> {
  const now = computed(stored, SAME_VALUE);
  return linkedSignal(() => now());
}
