import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import {
  countOf,
  choiceKey,
  formatLength,
  formatPlace,
  instrumentOf,
  type DisputeFinding,
  type PlaceFinding,
  type SideOfDispute,
} from '@iron-patch/core';
import { keptDraft, ShopStore } from '../../data';
import { DraftNote } from '../../form';
import { SheetStore } from '../../sheet-data';

/** Two instruments that disagree, side by side, until somebody says which one is believed and why. */
@Component({
  selector: 'ip-disputes',
  imports: [DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (d of finding().disputes; track d.pair) {
      <section class="said" [class.bad]="d.believed === null" [attr.role]="d.believed === null ? 'alert' : null">
        @if (d.believed === null) {
          <h3>
            Two instruments disagree at {{ place(d.dispute.stationMm) }} {{ store.unit() }}, {{ d.dispute.clockDeg }}° by
            <b class="fig">{{ show(d.dispute.differenceMm) }}</b>; together they allow {{ show(d.dispute.allowedMm) }}
          </h3>
          <div class="sides">
            @for (s of [d.dispute.first, d.dispute.second]; track s.instrumentId) {
              <div>
                <b>{{ name(s) }}</b>
                <span class="fig big">{{ show(s.meanMm) }}</span>
                <span class="quiet">±{{ show(2 * s.uMm) }}, {{ countOf(s.readings, 'reading') }}</span>
                <button type="button" [disabled]="!why().trim()" (click)="believe(d, s)">Believe this one</button>
              </div>
            }
          </div>
          <ip-draft-note [kept]="kept" />
          <label
            >Why (kept with the choice): a dirty face, a check against a ring, read again
            <input class="text" name="why" maxlength="400" [value]="why()" (input)="typed($event)" />
          </label>
        } @else {
          {{ believedName(d) }} is believed here. {{ reasonOf(d) }}
          <button type="button" class="plain" (click)="open(d)">Open it again</button>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    :host:not(:empty) {
      margin-bottom: 14px;
    }
    .sides {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 20px;
      margin: 8px 0;
    }
    .sides div {
      display: grid;
      gap: 4px;
      justify-items: start;
      background: var(--sheet);
      padding: 10px 14px;
    }
    .big {
      font-size: 30px;
      font-weight: 700;
    }
    label {
      font-size: 15px;
      display: block;
    }
  `,
})
export class Disputes {
  protected readonly countOf = countOf;
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  readonly finding = input.required<PlaceFinding>();
  protected readonly why = signal('');
  protected readonly kept = keptDraft(() => `dispute:${this.finding().place.id}`, { why: this.why });

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected place(mm: number): string {
    return formatPlace(mm, this.store.unit());
  }

  protected name(s: SideOfDispute): string {
    return instrumentOf(this.shop.shop(), s.instrumentId)?.name ?? s.instrumentId;
  }

  protected believedName(d: DisputeFinding): string {
    return instrumentOf(this.shop.shop(), d.believed!)?.name ?? d.believed!;
  }

  protected reasonOf(d: DisputeFinding): string {
    const choice = this.store.sheet()?.choices.find((c) => c.key === this.keyOf(d));
    return choice?.reason ? `Why: ${choice.reason}` : '';
  }

  protected typed(event: Event): void {
    this.why.set((event.target as HTMLInputElement).value);
  }

  protected believe(d: DisputeFinding, s: SideOfDispute): void {
    this.store.select({ spanId: this.finding().place.id });
    void this.store
      .putChoice(this.keyOf(d), 'which instrument is believed', { believed: s.instrumentId }, this.why().trim())
      .then(() => this.why.set(''))
      .catch(this.store.bug);
  }

  protected open(d: DisputeFinding): void {
    void this.store.putChoice(this.keyOf(d), 'which instrument is believed', { believed: 'neither' }).catch(this.store.bug);
  }

  private keyOf(d: DisputeFinding): string {
    return choiceKey.settle(this.finding().place.id, d.pair);
  }
}
