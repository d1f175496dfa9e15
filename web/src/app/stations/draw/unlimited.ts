import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { capital, isUnread, type DimensionFinding } from '@iron-patch/core';

/** What still has no limits, and so keeps the part from being released: what nobody read, and what something sits or runs on. */
@Component({
  selector: 'ip-unlimited',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (unread()) {
      <p class="said">Nobody read the {{ unread() }}: drawn as its neighbour. Give its size, and its limits here, before it is released.</p>
    }
    @for (d of before(); track d.dimension.key) {
      <p class="said">{{ capital(d.dimension.label) }}: {{ d.words }}.</p>
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
  protected readonly capital = capital;
  protected readonly unread = computed(() => this.labels(true));
  protected readonly seats = computed(() => this.labels(false));
  /** What is treated: its limits follow, or cannot. */
  protected readonly before = computed(() => this.unlimited().filter((d) => d.dimension.before));

  private labels(unread: boolean): string {
    return this.unlimited()
      .filter((d) => !d.dimension.before && isUnread(d.dimension.surface) === unread)
      .map((d) => d.dimension.label)
      .join('; ');
  }
}
