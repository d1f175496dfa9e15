import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import type { ConsideredBuy } from '@iron-patch/core';
import { ChooseField, FormField, NumberField, TextField, type Option, fromWhole, toWhole } from '../../form';

const WHERE: readonly Option[] = [
  ['', 'bought'],
  ['outside', 'done elsewhere'],
];

/** What a route buys, and what it has done elsewhere: how many, at what price, how long it takes. */
@Component({
  selector: 'ip-bought-field',
  imports: [ChooseField, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (b of all(); track $index; let i = $index) {
      <div class="buy" role="group" [attr.aria-label]="'Bought ' + (i + 1)">
        <ip-text
          [label]="i ? '' : 'What'"
          [spoken]="'What, ' + (i + 1)"
          [name]="'boughtWhat' + i"
          [value]="b.what"
          [path]="i + '.what'"
          [problems]="told()"
          (valueChange)="change(i, { what: $event })"
        />
        <ip-choose
          [label]="i ? '' : 'It is'"
          [spoken]="'It is, ' + (i + 1)"
          [name]="'boughtWhere' + i"
          [options]="places"
          [value]="b.outside ? 'outside' : ''"
          (valueChange)="change(i, { outside: $event !== '' })"
        />
        <ip-number
          [label]="i ? '' : 'How many'"
          [spoken]="'How many, ' + (i + 1)"
          [name]="'boughtCount' + i"
          [value]="b.count"
          [path]="i + '.count'"
          [problems]="told()"
          (valueChange)="change(i, { count: $any($event) })"
        />
        <ip-number
          [label]="i ? '' : 'Price each'"
          [spoken]="'Price each, ' + (i + 1)"
          [name]="'boughtPrice' + i"
          placeholder="not asked"
          [value]="whole(b.costMinor)"
          [path]="i + '.costMinor'"
          [problems]="told()"
          (valueChange)="change(i, { costMinor: minor($event) })"
        />
        <ip-number
          [label]="i ? '' : 'Days till here'"
          [spoken]="'Days till here, ' + (i + 1)"
          [name]="'boughtDays' + i"
          placeholder="not asked"
          [value]="b.leadDays"
          [path]="i + '.leadDays'"
          [problems]="told()"
          (valueChange)="change(i, { leadDays: $event })"
        />
        <ip-number
          [label]="i ? '' : 'Sold from'"
          [spoken]="'Sold from, ' + (i + 1)"
          [name]="'boughtLeast' + i"
          placeholder="1"
          [value]="b.least ?? null"
          [path]="i + '.least'"
          [problems]="told()"
          (valueChange)="change(i, { least: $event ?? undefined })"
        />
        <button type="button" class="plain" [attr.aria-label]="'Remove bought ' + (i + 1)" (click)="remove(i)">Remove</button>
      </div>
    }
    <button type="button" (click)="add()">Add something to buy</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
    .buy {
      display: grid;
      grid-template-columns: minmax(130px, 2fr) minmax(120px, 1fr) 84px 104px 104px 84px auto;
      gap: 6px 12px;
      align-items: end;
      width: 100%;
    }
    @media (max-width: 1100px) {
      .buy {
        grid-template-columns: 1fr 1fr 1fr;
      }
    }
  `,
})
export class BoughtField extends FormField<readonly ConsideredBuy[]> {
  protected readonly places = WHERE;
  protected readonly whole = toWhole;
  protected readonly minor = fromWhole;
  protected readonly all = computed(() => this.held() ?? []);

  protected add(): void {
    this.hand([...this.all(), { what: '', count: 1, costMinor: null, leadDays: null, outside: false }]);
  }

  protected change(i: number, change: Partial<ConsideredBuy>): void {
    this.hand(this.all().map((b, k) => (k === i ? { ...b, ...change } : b)));
  }

  protected remove(i: number): void {
    this.hand(this.all().filter((_, k) => k !== i));
  }
}
