import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { wordsAt, type ExplainedWord, type StationId } from '@iron-patch/core';
import { NzPopoverModule } from 'ng-zorro-antd/popover';

/** The words of the trade that come up at a station; each is explained where it is touched. */
@Component({
  selector: 'ip-station-words',
  imports: [NzPopoverModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Words here</h2>
    <ul>
      @for (w of words(); track w.id) {
        <li>
          <button
            type="button"
            nz-popover
            #bubble="nzPopover"
            nzPopoverTrigger="click"
            nzPopoverPlacement="topLeft"
            nzPopoverOverlayClassName="ip-word"
            [nzPopoverContent]="w.means"
            (nzPopoverVisibleChange)="said($event, w)"
            (keydown.escape)="bubble.hide()"
          >
            {{ w.word }}
          </button>
        </li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
    }
    h2 {
      color: var(--quiet);
      font-size: 16px;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 0 14px;
    }
    button {
      border: 0;
      padding: 0 2px;
      min-height: 44px;
      color: var(--ink);
      font: 400 15px var(--text);
      text-decoration: underline dotted var(--quiet);
      text-underline-offset: 4px;
    }
  `,
})
export class StationWords {
  private readonly announcer = inject(LiveAnnouncer);
  readonly station = input.required<StationId>();
  protected readonly words = computed(() => wordsAt(this.station()));

  /** The library's bubble says nothing to a screen reader. */
  protected said(open: boolean, { word, means }: ExplainedWord): void {
    if (open) void this.announcer.announce(`${word}: ${means}`, 'polite');
  }
}
