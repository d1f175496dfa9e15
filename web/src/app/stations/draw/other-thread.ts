import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { conversionWords, convertThread, findThread, type Thread } from '@iron-patch/core/book/threads';

/** The nearest threads of the other system, what changes with each, and one press to take it. */
@Component({
  selector: 'ip-other-thread',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (near().length) {
      <details>
        <summary>In the other system</summary>
        <ul>
          @for (n of near(); track n.thread.name) {
            <li>
              <button type="button" [attr.aria-label]="'Make it ' + n.thread.name" (click)="taken.emit(n.thread)">
                {{ n.thread.name }}
              </button>
              <span class="quiet">{{ n.words }}</span>
            </li>
          }
        </ul>
      </details>
    }
  `,
  styles: `
    :host {
      grid-column: 1 / -1;
    }
    summary {
      cursor: pointer;
      min-height: 40px;
      align-content: center;
      color: var(--blue);
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: flex;
      gap: 14px;
      align-items: center;
      padding: 3px 0;
    }
    button {
      flex: none;
      min-width: 150px;
    }
  `,
})
export class OtherThread {
  /** As written on the drawing. */
  readonly thread = input.required<string>();
  readonly taken = output<Thread>();
  protected readonly near = computed(() => {
    const own = findThread(this.thread());
    return own ? convertThread(own).map(({ thread }) => ({ thread, words: conversionWords(own, thread) })) : [];
  });
}
