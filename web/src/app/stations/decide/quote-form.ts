import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, quoteInput, routes, type QuoteInput } from '@iron-patch/contract';
import { capital, type QuoteRecord } from '@iron-patch/core';
import { Api, newId, newSecret, ShopClock } from '../../data';
import { CheckList, DateField, FormFrame, NumberField, RecordForm, TextField, type Option, fromWhole } from '../../form';
import { SheetStore } from '../../sheet-data';

/** A quote as its form holds it: money whole. */
type QuoteFields = Omit<QuoteInput, 'token'>;

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
})
export class QuoteForm {
  private readonly store = inject(SheetStore);
  private readonly api = inject(Api);
  private readonly clock = inject(ShopClock);
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
    },
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

  private input(v: QuoteFields): QuoteInput {
    return { ...v, stopAtMinor: fromWhole(v.stopAtMinor), token: this.token() };
  }
}
