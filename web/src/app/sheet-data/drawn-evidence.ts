import { computed, inject, Injectable, signal } from '@angular/core';
import { partFromEvidence, strengthFinding, type Load } from '@iron-patch/core';
import { SheetStore } from './sheet-store';

/** The item in hand as the readings have it, and what its drawing bears against that. */
@Injectable({ providedIn: 'root' })
export class DrawnEvidence {
  private readonly store = inject(SheetStore);
  /** The load that the lane shows. */
  readonly load = signal<Load>('bending');
  /** Null where nothing is made, or too little was read. */
  readonly read = computed(() => {
    const [sheet, repair, item] = [this.store.sheet(), this.store.repair(), this.store.item()];
    return sheet && repair && item?.kind === 'make' ? partFromEvidence(item, repair, sheet) : null;
  });
  readonly strength = computed(() => {
    const [part, read] = [this.store.repair()?.part?.part, this.read()];
    return part && this.store.item()?.kind === 'make'
      ? strengthFinding(read && { part: read.part, materialId: read.part.materialId }, part)
      : null;
  });
  /** Old against new under the load in hand. */
  readonly row = computed(() => this.strength()?.rows.find((r) => r.load === this.load()) ?? null);
}
