import { computed, inject, Injectable, signal } from '@angular/core';
import { inSentence, type PlannedSetUp } from '@iron-patch/core';
import { SheetStore } from './sheet-store';

/** Which holding of the item in hand is looked at: the picture, the lane and the page tell of the same one. */
@Injectable({ providedIn: 'root' })
export class HoldingShown {
  private readonly store = inject(SheetStore);
  private readonly asked = signal<{ readonly itemId: string; readonly number: number } | null>(null);

  /** The one that was touched; null where none was. */
  readonly touched = computed((): PlannedSetUp | null => {
    const asked = this.asked();
    const own = asked?.itemId === this.store.item()?.id ? asked?.number : undefined;
    return this.store.repair()?.plan?.setUps.find((s) => s.setUp.number === own) ?? null;
  });

  /** The one that was touched, else the first; null where nothing is held. */
  readonly now = computed((): PlannedSetUp | null => this.touched() ?? this.store.repair()?.plan?.setUps[0] ?? null);

  /** In which holding each stretch of the outside is cut. */
  readonly along = computed(() => {
    const repair = this.store.repair();
    const setUps = repair?.plan?.setUps.map((s) => s.setUp) ?? [];
    return (repair?.part?.segments ?? []).flatMap(({ segment: { id, side, fromMm, toMm } }) => {
      const own = setUps.find((s) => s.cuts.includes(id));
      if (side !== 'outside' || !own) return [];
      const { number, title } = own;
      return [{ id, fromMm, toMm, number, here: number === this.now()?.setUp.number, says: `set-up ${number}, ${inSentence(title)}` }];
    });
  });

  /** Whatever was touched elsewhere: the machine goes by what is cut next. */
  letGo(): void {
    this.asked.set(null);
  }

  show(number: number): void {
    const item = this.store.item();
    if (item) this.asked.set({ itemId: item.id, number });
  }
}
