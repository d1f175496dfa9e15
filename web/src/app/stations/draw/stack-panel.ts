import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { chosenStacks, MOST_STACKS } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { StackForm } from './stack-form';

/** What sits along an item, place by place, and one place more. */
@Component({
  selector: 'ip-stack-panel',
  imports: [StackForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (n of numbers(); track n) {
      <ip-stack-form [number]="n" />
    }
  `,
})
export class StackPanel {
  private readonly store = inject(SheetStore);
  protected readonly numbers = computed(() => {
    const sheet = this.store.sheet();
    const said = sheet ? chosenStacks(sheet, this.store.item()?.id ?? '').map((s) => s.number) : [];
    const free = Array.from({ length: MOST_STACKS }, (_, i) => i + 1).find((n) => !said.includes(n));
    return free === undefined ? said : [...said, free].sort((p, q) => p - q);
  });
}
