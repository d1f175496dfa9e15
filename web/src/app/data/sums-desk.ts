import { inject } from '@angular/core';
import { patchState, signalStore, withHooks, withMethods, withState } from '@ngrx/signals';
import type { LengthUnit } from '@iron-patch/core';
import { Drafts } from './drafts';

const KEPT_AS = 'sums';

/** What lies on the Sums bench: one calculation, or one table of the book. */
export interface SumsView {
  readonly kind: 'sum' | 'table';
  readonly id: string;
}

/** What somebody typed into a calculation, as typed, and the unit its bare numbers are in. */
export interface TypedSum {
  readonly unit: LengthUnit;
  readonly texts: Readonly<Record<string, string>>;
}

interface SumsState {
  readonly open: boolean;
  readonly view: SumsView;
  readonly asked: string;
  readonly typed: Readonly<Record<string, TypedSum>>;
}

/**
 * The Sums bench: open over what one is doing or not, what lies on it, and what was typed there. Holds texts and ids only, so that
 * the book itself is loaded when the bench is first opened.
 */
export const SumsDesk = signalStore(
  { providedIn: 'root' },
  withState<SumsState>({ open: false, view: { kind: 'sum', id: 'convert' }, asked: '', typed: {} }),
  withMethods((store, drafts = inject(Drafts)) => ({
    setOpen(open: boolean): void {
      patchState(store, { open });
    },
    lay(view: SumsView): void {
      patchState(store, { view, asked: '' });
    },
    ask(asked: string): void {
      patchState(store, { asked });
    },
    type(id: string, sum: TypedSum): void {
      const typed = { ...store.typed(), [id]: sum };
      patchState(store, { typed });
      void drafts.put(KEPT_AS, { values: typed, at: new Date().toISOString() });
    },
    /** Lays out again what was typed before a reload; what was typed since goes before it. */
    async recall(): Promise<void> {
      const kept = await drafts.get(KEPT_AS);
      if (kept) patchState(store, { typed: { ...(kept.values as SumsState['typed']), ...store.typed() } });
    },
  })),
  withHooks((store) => ({ onInit: () => void store.recall() })),
);
