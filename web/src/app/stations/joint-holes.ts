import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { SheetStore } from '../sheet-data';
import { Schedules } from './schedules';

/** What the item in hand joins is drilled and reamed together: where, with which drills and reamer, how fast. */
@Component({
  selector: 'ip-joint-holes',
  imports: [Schedules],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (at(); as a) {
      <section>
        <h3>Drilled and reamed together</h3>
        <ip-schedules [schedules]="a.together" [lathe]="a.lathe!" />
      </section>
    }
  `,
  styles: 'section { padding: 12px 18px; }',
})
export class JointHoles {
  private readonly store = inject(SheetStore);
  protected readonly at = computed(() => {
    const at = this.store.repair()?.at;
    return at?.together.length && at.lathe ? at : null;
  });
}
