import { CdkDrag, CdkDropList, moveItemInArray, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import type { Act } from '@iron-patch/core';

/** What is done in a set-up, in its order; a person drags an act to another place, or moves it by its arrows. */
@Component({
  selector: 'ip-act-order',
  imports: [CdkDrag, CdkDropList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>In this order</h3>
    @if (changing()) {
      <ol cdkDropList (cdkDropListDropped)="drop($event)">
        @for (a of acts(); track a.key) {
          <li cdkDrag cdkDragLockAxis="y">
            <span class="words">{{ a.words }}</span>
            <button type="button" [disabled]="$first" [attr.aria-label]="'Earlier: ' + a.words" (click)="move($index, $index - 1)">
              ▲
            </button>
            <button type="button" [disabled]="$last" [attr.aria-label]="'Later: ' + a.words" (click)="move($index, $index + 1)">▼</button>
          </li>
        }
      </ol>
    } @else {
      <ol class="read">
        @for (a of acts(); track a.key) {
          <li>{{ a.words }}</li>
        }
      </ol>
    }
    @for (m of minds(); track m) {
      <p class="said" role="status">{{ m }}</p>
    }
    @if (acts().length > 1) {
      <p class="no-print">
        <button type="button" class="plain" [attr.aria-expanded]="changing()" (click)="changing.set(!changing())">
          {{ changing() ? 'Done' : 'Change the order' }}
        </button>
        @if (byHand()) {
          <button type="button" class="plain" (click)="wanted.emit([])">Back to the usual order</button>
        }
      </p>
    }
  `,
  styles: `
    h3 {
      margin: 12px 0 4px;
      font: 600 16px var(--label);
    }
    ol {
      list-style: decimal;
      padding-left: 28px;
      margin: 0;
      font-size: 16px;
    }
    .read {
      columns: 2;
      column-gap: 44px;
    }
    .read li {
      padding: 3px 0;
      break-inside: avoid;
    }
    li {
      background: var(--paper);
    }
    li[cdkDrag] {
      cursor: grab;
      border-bottom: 1px solid var(--hairline);
    }
    li[cdkDrag] .words {
      display: inline-block;
      width: calc(100% - 116px);
      padding: 10px 0;
    }
    li button {
      width: 52px;
      margin: 1px 0 1px 4px;
      min-height: 44px;
      vertical-align: middle;
    }
    .cdk-drag-preview {
      background: var(--blue-soft);
    }
    p {
      margin: 4px 0;
    }
    .said {
      padding: 6px 12px;
      font-size: 15px;
    }
    @media (max-width: 1000px) {
      .read {
        columns: 1;
      }
    }
  `,
})
export class ActOrder {
  readonly acts = input.required<readonly Act[]>();
  /** Somebody put them in another order than they have by themselves. */
  readonly byHand = input(false);
  /** What is before something that it needs. */
  readonly minds = input<readonly string[]>([]);
  /** Keys in the order that is wanted; none for the usual one. */
  readonly wanted = output<readonly string[]>();
  protected readonly changing = signal(false);
  private readonly keys = computed(() => this.acts().map((a) => a.key));

  protected drop({ previousIndex, currentIndex }: CdkDragDrop<unknown>): void {
    this.move(previousIndex, currentIndex);
  }

  protected move(from: number, to: number): void {
    if (from === to) return;
    const keys = [...this.keys()];
    moveItemInArray(keys, from, to);
    this.wanted.emit(keys);
  }
}
