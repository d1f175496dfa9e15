import { Location } from '@angular/common';
import { effect, inject, untracked, type Signal } from '@angular/core';
import { everyFigure, type StationId } from '@iron-patch/core';
import { SheetStore } from '../sheet-data';

export interface LookedAt {
  /** Whether the job that the address names is on the screen. */
  readonly here: Signal<boolean>;
  readonly station: Signal<StationId>;
  /** The address, with what it asks for. */
  readonly url: Signal<string>;
  /** From the address: the place to look at, and the key of the figure whose working is read. */
  readonly place: Signal<string | undefined>;
  readonly figure: Signal<string | undefined>;
  /** From the address: the item that is looked at, and which piece of it. */
  readonly item: Signal<string | undefined>;
  readonly piece: Signal<string | undefined>;
  /** From the address: the leaf of the station that is open. */
  readonly leaf: Signal<string | undefined>;
}

/** An address that names a place and a figure leads to them, and what is looked at stands in the address. */
export function keepLookedAt({ here, station, url, place, item, piece, figure, leaf }: LookedAt): void {
  const store = inject(SheetStore);
  const location = inject(Location);
  effect(() => {
    const itemId = item();
    const number = Number(piece());
    if (itemId && here()) untracked(() => store.seeItem(itemId, Number.isInteger(number) && number > 0 ? number : null));
  });
  effect(() => {
    const spanId = place();
    if (spanId && here()) untracked(() => store.select({ spanId }));
  });
  let asked: string | undefined;
  effect(() => {
    const key = figure();
    const repair = here() ? store.repair() : null;
    if (!key || !repair || key === asked) return;
    asked = key;
    const found = everyFigure(repair).find((f) => f.key === key);
    if (found) untracked(() => store.show(found));
  });
  effect(() => {
    const open = leaf();
    if (open && here()) untracked(() => store.turnTo(open));
  });
  // Another station has another number to start with, and leaves of its own.
  let at: StationId | undefined;
  effect(() => {
    if (at !== undefined && station() !== at)
      untracked(() => {
        store.show(null);
        store.turnTo(null);
      });
    at = station();
  });
  effect(() => {
    const looked = new URLSearchParams();
    const { spanId } = store.selection();
    const [itemId, number] = [store.itemId(), store.pieceNumber()];
    if (itemId) looked.set('item', itemId);
    if (itemId && number !== null) looked.set('piece', String(number));
    if (spanId) looked.set('place', spanId);
    const touched = store.figure();
    if (touched) looked.set('figure', touched.key);
    const open = store.leaf();
    if (open) looked.set('leaf', open);
    const path = url().split('?')[0]!;
    if (here()) untracked(() => location.replaceState(path, looked.toString()));
  });
}
