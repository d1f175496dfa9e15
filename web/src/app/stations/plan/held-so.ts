import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { HoldWay } from '@iron-patch/core';
import { HoldList } from './hold-list';

/** Ways to hold what stays, the one it is held in told in full, with what to mind of it. */
@Component({
  selector: 'ip-held-so',
  imports: [HoldList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ip-hold-list [title]="title()" [choices]="ways()" [chosen]="chosen()?.id ?? ''" (picked)="pick($event)" />
    @if (chosen(); as way) {
      <p>Hold: {{ way.hold }}.</p>
      @if (way.cannot) {
        <p class="said" role="status">{{ way.cannot }}</p>
      }
      @for (c of way.cautions; track c) {
        <p class="said">{{ c }}</p>
      }
    } @else {
      <p class="said" role="status">None of them will do here: a shop with a larger machine does it.</p>
    }
  `,
  styles: `
    p {
      margin: 6px 0;
    }
    .said {
      font-size: 15px;
      padding: 6px 12px;
    }
  `,
})
export class HeldSo<Id extends string> {
  readonly title = input.required<string>();
  readonly ways = input.required<readonly HoldWay<Id>[]>();
  readonly chosen = input.required<HoldWay<Id> | null>();
  readonly picked = output<Id>();

  protected pick(id: string): void {
    const way = this.ways().find((w) => w.id === id);
    if (way) this.picked.emit(way.id);
  }
}
