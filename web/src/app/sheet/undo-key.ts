import type { StationId } from '@iron-patch/core';
import type { SheetStore } from '../sheet-data';

/**
 * Ctrl + Z takes back, Ctrl + Y (or Ctrl + Shift + Z) does again: at Draw what was drawn last, else, backwards only, what was done last on the sheet. In a
 * field with letters in it the keys are the field's own.
 *
 * @returns whether the key was one of these and did something
 */
export function undoKey(event: KeyboardEvent, store: InstanceType<typeof SheetStore>, station: StationId): boolean {
  const target = event.target as HTMLInputElement;
  const midWord = /^(INPUT|TEXTAREA)$/.test(target.tagName) && target.value !== '';
  const key = event.key.toLowerCase();
  if (!(event.ctrlKey || event.metaKey) || midWord || (key !== 'z' && key !== 'y')) return false;
  const on = key === 'y' || event.shiftKey;
  if (station === 'draw' && store.stepDrawing(on ? 'on' : 'back')) return true;
  if (on || !store.undo()) return false;
  void store.undoLast();
  return true;
}
