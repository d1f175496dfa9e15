import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { isUnread, type DimensionFinding } from '@iron-patch/core';

/** What still has no limits, and so keeps the part from being released: what nobody read, and what something sits or runs on. */
@Component({
  selector: 'ip-unlimited',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (unread()) {
      <p class="said">Nobody read the {{ unread() }}: drawn as its neighbour. Give its size, and its limits here, before it is released.</p>
    }
    @if (seats()) {
      <p class="said">
        Something sits or runs at {{ seats() }}: choose its fit at Decide or give limits here, the general tolerance will not do.
      </p>
    }
  `,
})
export class Unlimited {
  readonly unlimited = input.required<readonly DimensionFinding[]>();
  protected readonly unread = computed(() => this.labels(true));
  protected readonly seats = computed(() => this.labels(false));

  private labels(unread: boolean): string {
    return this.unlimited()
      .filter((d) => isUnread(d.dimension.surface) === unread)
      .map((d) => d.dimension.label)
      .join(', ');
  }
}
