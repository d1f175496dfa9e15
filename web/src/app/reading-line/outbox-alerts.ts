import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Outbox } from '../data';

/** Readings that the server refused, and a browser that has no room for more: told over the line at every station. */
@Component({
  selector: 'ip-outbox-alerts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (outbox.refused(); as refused) {
      @for (item of refused; track item.input.id) {
        <p class="ask bad" role="alert">
          The server did not take {{ item.input.text || 'a correction' }}: {{ item.refused![0]?.message }}
          <button type="button" (click)="outbox.insist(item.input.id)">It is right, send again</button>
          <button type="button" (click)="outbox.drop(item.input.id)">Remove</button>
        </p>
      }
    }
    @if (outbox.full()) {
      <p class="ask bad" role="alert">
        This browser has no room to keep readings while the line is down. Do not close the page until they are sent.
      </p>
    }
  `,
  styleUrl: './reading-line.less',
})
export class OutboxAlerts {
  protected readonly outbox = inject(Outbox);
}
