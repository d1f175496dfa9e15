import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { routes } from '@iron-patch/contract';
import { drawingChanges, namesNow, upgradePart, type ChoiceRecord, type Part } from '@iron-patch/core';
import { Api, DayPipe, ShopStore, Told } from '../../data';
import { SheetStore } from '../../sheet-data';

interface Kept {
  readonly record: ChoiceRecord;
  readonly part: Part;
  readonly changes: readonly string[];
}

/** A list longer than this is cut short. */
const MOST_CHANGES = 8;

/** Every drawing of the item that was saved: who, when, why, what was changed; any of them can be brought back. */
@Component({
  selector: 'ip-drawing-history',
  imports: [DayPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (version() > 0) {
      <details class="no-print" (toggle)="open.set($any($event.target).open)">
        <summary>Drawn before</summary>
        @if (records() === null) {
          <p class="quiet" role="status">
            {{ failed() ? 'It did not come. Close this and open it again.' : 'Fetching what was drawn before.' }}
          </p>
        } @else {
          <ol>
            @for (k of kept(); track k.record.version; let newest = $first) {
              <li>
                <div>
                  <b>{{ k.record.at.slice(0, 10) | day }}</b>
                  <span> {{ nameOf(k.record.personId) }}</span>
                  @if (k.record.reason) {
                    <q>{{ k.record.reason }}</q>
                  }
                  <p class="quiet">{{ told(k.changes) }}</p>
                </div>
                @if (newest) {
                  <span class="quiet">as it is saved</span>
                } @else {
                  <button
                    type="button"
                    [attr.aria-label]="'Bring it back: the drawing of version ' + k.record.version"
                    (click)="store.draft(k.part, true)"
                  >
                    Bring it back
                  </button>
                }
              </li>
            } @empty {
              <li class="quiet">Nothing that can still be shown.</li>
            }
          </ol>
        }
      </details>
    }
  `,
  styles: `
    summary {
      cursor: pointer;
      min-height: 44px;
      align-content: center;
      color: var(--blue);
    }
    ol {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: flex;
      gap: 16px;
      justify-content: space-between;
      align-items: center;
      border-top: 1px solid var(--hairline);
      padding: 6px 0;
    }
    li p {
      margin: 2px 0 0;
      max-width: 76ch;
    }
    q {
      margin-left: 8px;
    }
    button {
      flex: none;
    }
  `,
})
export class DrawingHistory {
  protected readonly store = inject(SheetStore);
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly errors = inject(Told);
  protected readonly open = signal(false);
  /** Newest first; null while they are fetched. */
  protected readonly records = signal<readonly ChoiceRecord[] | null>(null);
  protected readonly failed = signal(false);
  private readonly key = computed(() => this.store.item()?.partKey ?? '');
  protected readonly version = computed(() => this.store.sheet()?.choices.find((c) => c.key === this.key())?.version ?? 0);
  protected readonly kept = computed((): readonly Kept[] => {
    const parts = (this.records() ?? []).flatMap((record) => {
      const part = upgradePart(namesNow(record.value));
      return part ? [{ record, part }] : [];
    });
    return parts.map((p, i) => {
      const before = parts[i + 1];
      return { ...p, changes: before ? drawingChanges(before.part, p.part, this.store.unit()) : ['first drawn'] };
    });
  });

  constructor() {
    effect(() => {
      const [open, key, jobId] = [this.open(), this.key(), this.store.sheet()?.job.id];
      this.version();
      if (open && key && jobId) untracked(() => void this.fetch(jobId, key));
    });
  }

  private async fetch(jobId: string, key: string): Promise<void> {
    this.failed.set(false);
    await this.errors.doing(async () => {
      const records = await this.api.get<readonly ChoiceRecord[]>(routes.choiceHistory(jobId, key));
      if (key === this.key()) this.records.set(records);
    });
    this.failed.set(this.records() === null);
  }

  protected nameOf(personId: string): string {
    return this.shop.personName(personId, personId);
  }

  protected told(changes: readonly string[]): string {
    if (!changes.length) return 'Nothing that has a size.';
    const [first, ...others] = changes.slice(0, MOST_CHANGES);
    const more = changes.length > MOST_CHANGES ? [`and ${changes.length - MOST_CHANGES} more`] : [];
    return `${[first![0]!.toUpperCase() + first!.slice(1), ...others, ...more].join('; ')}.`;
  }
}
