import { ChangeDetectionStrategy, Component, input, type Signal } from '@angular/core';
import { ShopTimePipe } from '../data';

/** Says that what a form shows was typed earlier and is not stored, and takes it away on purpose. */
@Component({
  selector: 'ip-draft-note',
  imports: [ShopTimePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (kept().back(); as at) {
      <p role="status">
        <span>What was typed here on {{ at | shopTime }} is back. It is not saved yet.</span>
        <button type="button" (click)="kept().throwAway()">Throw it away</button>
      </p>
    }
  `,
  styles:
    ':host { display: contents; } p { grid-column: 1 / -1; display: flex; align-items: center; gap: 16px; margin: 0 0 10px; padding: 4px 4px 4px 12px; border-left: 4px solid var(--brass); background: var(--sheet); font-size: 16px; } button { margin-left: auto; white-space: nowrap; }',
})
export class DraftNote {
  readonly kept = input.required<{ readonly back: Signal<Date | null>; throwAway(): void }>();
}
