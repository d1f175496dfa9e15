import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SheetStore } from '../sheet-data';
import { Schedules } from './schedules';

/** Holes of the item in hand that are drilled and reamed together or tapped: where, with which drills, how fast. */
@Component({
  selector: 'ip-drilled-holes',
  imports: [Schedules],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (at(); as a) {
      <section>
        <h3>{{ a.item.kind === 'join' ? 'Drilled and reamed together' : 'Drilled and tapped' }}</h3>
        <ip-schedules [schedules]="a.holes" [lathe]="a.lathe!" />
      </section>
    }
  `,
  styles: 'section { padding: 12px 18px; }',
})
export class DrilledHoles {
  private readonly store = inject(SheetStore);
  protected readonly at = computed(() => {
    const at = this.store.repair()?.at;
    return at?.holes.length && at.lathe ? at : null;
  });
}
