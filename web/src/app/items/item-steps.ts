import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { choiceOf, countOf, STEP_ACTS, stillMoves, type ItemChoice, type ItemStep, type StepAct, type StepActRow } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { keptDraft } from '../data';
import { DraftNote } from '../form';
import { StateMark } from '../mark';
import { SheetStore } from '../sheet-data';

/** What is done of an item beside cutting to size: step by step, whether what is bought is here, and at the end how it was tried. */
@Component({
  selector: 'ip-item-steps',
  imports: [FormsModule, NzCheckboxModule, NzInputModule, DraftNote, StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (item(); as i) {
      @if (station() === 'cut' && i.kind === 'buy') {
        <section class="buy">
          <h2>{{ i.name }}{{ i.quantity > 1 ? ', ' + i.quantity + ' off' : '' }}</h2>
          <p class="size fig">{{ i.size || 'no size yet' }}</p>
          <p>
            {{ i.source ? 'From: ' + i.source : 'Nobody said where from'
            }}{{ i.leadDays === null ? '' : ', ' + countOf(i.leadDays, 'day') }}.
          </p>
          @if (i.here) {
            <p><ip-state state="done" [size]="18" /> It is here.</p>
          }
          <button type="button" [class.next]="!i.here" (click)="put({ here: !i.here })">
            {{ i.here ? 'It is not here after all' : 'It came' }}
          </button>
        </section>
      }
      @if (station() === 'cut' && i.steps.length) {
        <section>
          <h2>Step by step</h2>
          <ol>
            @for (s of i.steps; track $index) {
              <li>
                <label nz-checkbox [name]="'step-' + $index" [ngModel]="s.done" (ngModelChange)="tick($index, $event)">{{ s.what }}</label>
                <button
                  type="button"
                  class="plain"
                  [attr.aria-pressed]="s.moves"
                  [attr.aria-label]="(s.moves ? 'moves sizes: read again after it' : 'sizes stay') + ': ' + s.what"
                  (click)="step($index, { moves: !s.moves })"
                >
                  {{ s.moves ? 'moves sizes: read again after it' : 'sizes stay' }}
                </button>
                @if (!s.done && acts[s.act].caution) {
                  <p class="said">{{ acts[s.act].caution }}</p>
                }
              </li>
            }
          </ol>
        </section>
      }
      @if (station() === 'prove' && show() === 'first' && first(); as f) {
        <p class="said" role="status">{{ f.what }} comes first: it moves sizes, and what is read before it does not count after it.</p>
      }
      @if (station() === 'prove' && show() === 'rest' && asksHow()) {
        <section>
          <h2>How {{ i.name }} was tried</h2>
          <ip-draft-note [kept]="kept" />
          <form (submit)="$event.preventDefault(); put({ tried: tried().trim() })">
            <label
              >What was done with it, and what was seen: turned by hand, under load, run-out on V-blocks
              <textarea nz-input rows="2" name="tried" maxlength="4000" [ngModel]="tried()" (ngModelChange)="tried.set($event)"></textarea>
            </label>
            <button type="submit" [class.next]="!i.tried" [disabled]="tried().trim() === i.tried">Put on record</button>
          </form>
        </section>
      }
    }
  `,
  styles: `
    section {
      padding: 12px 18px;
    }
    .size {
      font-size: 34px;
    }
    ol {
      list-style: none;
      padding: 0;
      margin: 6px 0;
    }
    li {
      display: grid;
      justify-items: start;
    }
    li .said {
      margin: 2px 0 8px;
      padding: 6px 12px;
      font-size: 15px;
    }
    li .plain {
      margin-left: 26px;
      font-size: 14px;
    }
    li label {
      display: flex;
      align-items: center;
      min-height: 48px;
      font-size: 19px;
    }
    form {
      display: grid;
      gap: 10px;
      justify-items: start;
    }
    form label {
      width: 100%;
      font-size: 15px;
    }
  `,
})
export class ItemSteps {
  private readonly store = inject(SheetStore);
  readonly station = input.required<'cut' | 'prove'>();
  /** What comes before anything is proved, above; all the rest below. */
  readonly show = input<'first' | 'rest'>('rest');
  protected readonly countOf = countOf;
  protected readonly acts: Readonly<Record<StepAct, StepActRow>> = STEP_ACTS;
  protected readonly item = this.store.item;
  protected readonly asksHow = computed(() => {
    const at = this.store.repair()?.at;
    return at && at.part === null && (at.item.kind === 'rework' || at.item.kind === 'join');
  });
  protected readonly first = computed(() => {
    const item = this.item();
    return item && item.kind !== 'buy' ? stillMoves(item) : undefined;
  });
  private readonly stored = computed(() => this.item()?.tried ?? '');
  protected readonly tried = linkedSignal(() => this.stored());
  protected readonly kept = keptDraft(
    () => `tried:${this.item()?.key}:${this.store.sheet()!.job.id}`,
    { tried: this.tried },
    { untouched: () => ({ tried: this.stored() }) },
  );

  protected tick(index: number, done: boolean): void {
    this.step(index, { done, doneAt: done ? new Date().toISOString() : null });
  }

  protected step(index: number, change: Partial<ItemStep>): void {
    this.put({ steps: this.item()!.steps.map((s, i) => (i === index ? { ...s, ...change } : s)) });
  }

  protected put(change: Partial<ItemChoice>): void {
    const item = this.item()!;
    void this.store
      .putItem(item, { ...choiceOf(item), ...change })
      .then((saved) => saved && 'tried' in change && this.kept.done())
      .catch(this.store.bug);
  }
}
