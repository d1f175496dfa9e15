import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, quoteInput, routes, type QuoteInput } from '@iron-patch/contract';
import { capital, type QuoteReady, type QuoteRecord } from '@iron-patch/core';
import { readyChance } from '@iron-patch/core/repair/order';
import { dayWords } from '@iron-patch/core/terms/calendar';
import { Api, newId, newSecret, ShopClock } from '../../data';
import { CheckList, DateField, FormFrame, NumberField, RecordForm, TextField, type Option, fromWhole } from '../../form';
import { SheetStore } from '../../sheet-data';
import { ReadyBy } from './ready-by';

/** A quote as its form holds it: money whole, and of each way the day that somebody typed, or null for the one that is proposed. */
type QuoteFields = Omit<QuoteInput, 'token' | 'ready'> & { readonly ready: Readonly<Record<string, string | null>> };

const DAY_MS = 86_400_000;
/** A quote runs so long where nobody says otherwise. */
const USUAL_DAYS = 14;

/** What goes to the customer: which ways, how far to go, until when, which pictures. */
@Component({
  selector: 'ip-quote-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, NumberField, DateField, CheckList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Make the quote" (left)="closed.emit()">
      <ip-checks label="Ways that the customer may choose from" name="quoteWays" [options]="ways()" formControlName="wayIds" />
      <div class="ready" formGroupName="ready">
        @for (w of asked(); track w[0]) {
          <ip-date [label]="'Ready by: ' + w[1]" [name]="'ready-' + w[0]" [placeholder]="proposed(w[0])" [formControlName]="w[0]" />
          <p [class.quiet]="!readyDoubt(w[0])" [class.doubt]="readyDoubt(w[0])" role="status">{{ readyWords(w[0]) }}</p>
        }
      </div>
      <div class="grid3">
        <ip-date label="Valid until" name="quoteUntil" formControlName="validUntil" />
        <ip-number label="Stop and ask at" name="quoteStop" placeholder="not said" formControlName="stopAtMinor" />
      </div>
      <ip-text label="In your words" name="quoteWords" [rows]="2" formControlName="words" />
      <ip-text label="What is not included" name="quoteNot" [rows]="2" formControlName="notIncluded" />
      @if (photos().length) {
        <ip-checks label="Photographs on it" name="quotePhotos" [options]="photos()" formControlName="photoIds" />
      }
    </form>
  `,
  styles: `
    .ready {
      display: grid;
      grid-template-columns: minmax(0, 320px) minmax(0, 1fr);
      gap: 4px 16px;
      align-items: center;
      margin-bottom: 10px;
    }
    .ready p {
      margin: 24px 0 0;
    }
    @media (max-width: 760px) {
      .ready {
        grid-template-columns: minmax(0, 1fr);
      }
      .ready p {
        margin: 0 0 8px;
      }
    }
    .doubt {
      color: var(--close);
      font-weight: 600;
    }
  `,
  providers: [ReadyBy],
})
export class QuoteForm {
  private readonly store = inject(SheetStore);
  private readonly api = inject(Api);
  private readonly clock = inject(ShopClock);
  private readonly readyBy = inject(ReadyBy);
  readonly closed = output<void>();
  /** What was made, with the secret of its link: it is told once. */
  readonly made = output<{ readonly quote: QuoteRecord; readonly token: string }>();
  protected readonly ways = computed<readonly Option[]>(() =>
    (this.store.repair()?.routes ?? [])
      .filter((w) => w.route.value.state !== 'dropped')
      .map((w) => [w.route.id, `${w.number} ${capital(w.route.value.name)}`] as const),
  );
  protected readonly photos = computed<readonly Option[]>(() =>
    this.store.sheet()!.photos.map((p, i) => [p.id, p.caption || `Picture ${i + 1}`] as const),
  );
  private readonly key = signal(newId());
  private readonly token = signal(newSecret());
  protected readonly form = new RecordForm<QuoteFields>({
    keptAs: () => `quote:${this.store.sheet()!.job.id}`,
    start: {
      wayIds: this.ways().map(([id]) => id),
      words: '',
      notIncluded: '',
      stopAtMinor: null,
      validUntil: this.usualEnd(),
      photoIds: [],
      ready: Object.fromEntries(this.ways().map(([id]) => [id, null])),
    },
    groups: ['ready'],
    check: (v) => check(quoteInput, this.input(v)),
    rests: { key: this.key, token: this.token },
    save: async (v) => {
      const quote = await this.api.post<QuoteRecord>(routes.quotes(this.store.sheet()!.job.id), this.input(v), this.key());
      await this.store.refresh();
      this.made.emit({ quote, token: this.token() });
      return quote;
    },
    close: () => this.closed.emit(),
  });

  private usualEnd(): string {
    return new Date(Date.parse(`${this.clock.today()}T00:00:00Z`) + USUAL_DAYS * DAY_MS).toISOString().slice(0, 10);
  }

  /** The ways that are ticked. */
  protected readonly asked = computed(() => this.ways().filter(([id]) => this.form.value().wayIds.includes(id)));

  /** The day that a customer is told: the one that was typed, else what the run order proposes; null while that is not known. */
  private readyOf(v: QuoteFields, wayId: string): QuoteReady | null {
    const of = this.readyBy.ways().get(wayId);
    const day = v.ready[wayId] ?? of?.safe ?? null;
    return day ? { wayId, day, chance: of ? readyChance(of, day) : null } : null;
  }

  /** The day that stands there until somebody types another. */
  protected proposed(wayId: string): string {
    const of = this.readyBy.ways().get(wayId);
    return of ? dayWords(of.safe, 'whole') : 'no date';
  }

  /** Told to a customer it would likely not be kept. */
  protected readyDoubt(wayId: string): boolean {
    const of = this.readyBy.ways().get(wayId);
    const told = this.readyOf(this.form.value(), wayId);
    return of !== undefined && told !== null && told.day < of.safe;
  }

  protected readyWords(wayId: string): string {
    const of = this.readyBy.ways().get(wayId);
    if (!of) return 'Working out from the run order. Left empty, it goes by its hours and what it waits for.';
    const told = this.readyOf(this.form.value(), wayId)!;
    const of100 = Math.round(told.chance! * 100);
    const safe = told.day < of.safe ? ` Safe: ${dayWords(of.safe, 'whole')}.` : '';
    const open = of.open.length ? ` It waits for ${of.open.join(', ')}; nobody knows how long.` : '';
    return `${dayWords(told.day, 'whole')}: kept ${of100} times in 100, as the run order stands.${safe}${open}`;
  }

  private input(v: QuoteFields): QuoteInput {
    const ready = v.wayIds.flatMap((id) => this.readyOf(v, id) ?? []);
    return { ...v, ready, stopAtMinor: fromWhole(v.stopAtMinor), token: this.token() };
  }
}
