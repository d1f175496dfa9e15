import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { countOf, inSentence } from '@iron-patch/core';
import { ReadQueue, SheetStore } from '../sheet-data';

/** Readings of a pencil line that were left waiting when somebody went to another place: on with them, or without. */
@Component({
  selector: 'ip-waiting-readings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (waits(); as w) {
      <p role="status">
        {{ w.many }} of the line for {{ w.place }} not taken yet: {{ w.text }} is next.
        <button type="button" (click)="queue.goOn()">Go on with them</button>
        <button type="button" (click)="queue.leaveOut(here)">Leave them out</button>
      </p>
    }
  `,
  styles:
    ':host { display: contents; } p { display: flex; flex-wrap: wrap; gap: 8px 12px; align-items: center; margin: 0; padding: 8px 16px; font-size: 17px; background: var(--accent-soft); border-top: 3px solid var(--accent); color: var(--ink); }',
})
export class WaitingReadings {
  private readonly store = inject(SheetStore);
  protected readonly queue = inject(ReadQueue);
  protected readonly here = (placeId: string): boolean => this.placeOf(placeId) !== undefined;
  /** What is left of the line, of this job; null while nothing is, or it goes on by itself. */
  protected readonly waits = computed(() => {
    const next = this.queue.first(this.here);
    if (!next || !this.queue.paused()) return null;
    return {
      many: countOf(this.queue.countOf(this.here), 'reading'),
      place: inSentence(this.placeOf(next.placeId)!.name),
      text: next.text,
    };
  });

  private placeOf(id: string) {
    return this.store.sheet()?.places.find((p) => p.id === id);
  }
}
