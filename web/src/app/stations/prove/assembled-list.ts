import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { choiceKey, formatLength, spanWords, type AssembledCheck, type AssembledChoice, type StationState } from '@iron-patch/core';
import { keptDraft, newId, ShopStore } from '../../data';
import { DraftNote, LengthInput, TextField } from '../../form';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { putChecked } from '../put-checked';

/** What is typed of a trial before it is put on record. */
interface Typed {
  readonly remark: string;
  readonly measuredMm: number | null;
}
const NOTHING: Typed = { remark: '', measuredMm: null };
const MARKS: Readonly<Record<AssembledCheck['state'], StationState>> = {
  open: 'not-yet',
  good: 'done',
  failed: 'out',
  out: 'out',
  off: 'not-needed',
};
const WORDS: Readonly<Record<AssembledCheck['state'], string>> = {
  open: 'not tried yet',
  good: 'good',
  failed: 'not good',
  out: 'outside what was wanted',
  off: 'not for this job',
};

/** What is tried once the machine is together: as the job asks, and what people add; each good, not good, or not for this job. */
@Component({
  selector: 'ip-assembled-list',
  imports: [DraftNote, LengthInput, StateMark, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (checks().length || adding()) {
      <h2>Assembled</h2>
    }
    <ip-draft-note [kept]="kept" />
    <ul>
      @for (c of checks(); track c.id) {
        <li>
          <div class="head">
            <ip-state [state]="marks[c.state]" [size]="18" />
            <b data-verbatim>{{ c.what }}</b>
            @if (c.limits; as l) {
              <span class="fig">{{ span(l.lowerMm, l.upperMm) }}</span>
            }
            @if (!c.said && opened() !== c.id) {
              <button type="button" [attr.aria-label]="'Say how it came out: ' + c.what" (click)="open(c)">How it came out</button>
            }
          </div>
          @if (c.caution && c.state === 'open') {
            <p class="said">{{ c.caution }}</p>
          }
          @if (c.said && opened() !== c.id) {
            <p>
              {{ words[c.state] }}
              @if (c.said.measuredMm !== null) {
                <b class="fig">{{ show(c.said.measuredMm) }} {{ store.unit() }}</b>
              }
              <span class="quiet">{{ who(c.said.personId) }}</span>
              @if (c.said.remark) {
                <span data-verbatim>{{ c.said.remark }}</span>
              }
              <button type="button" class="plain" [attr.aria-label]="'Try again: ' + c.what" (click)="reopen(c)">Try again</button>
            </p>
          } @else if (opened() === c.id) {
            <div class="row">
              @if (c.limits) {
                <ip-length
                  label="It shows"
                  class="size"
                  [unit]="store.unit()"
                  [allowNegative]="true"
                  [mm]="of(c).measuredMm"
                  (mmChange)="type(c, { measuredMm: $event })"
                />
              }
              <ip-text
                class="remark"
                label="Remark (needed where it is not good, or not for this job)"
                name="tried"
                [value]="of(c).remark"
                (valueChange)="type(c, { remark: $event })"
              />
            </div>
            @if (problem()) {
              <p class="bad" role="alert">{{ problem() }}</p>
            }
            <div class="row acts">
              <button type="button" class="next" (click)="say(c, 'good')">Good</button>
              <button type="button" (click)="say(c, 'failed')">Not good</button>
              <button type="button" (click)="say(c, 'off')">Not for this job</button>
              <button type="button" class="plain" (click)="opened.set('')">Close</button>
            </div>
          }
        </li>
      }
    </ul>
    @if (adding()) {
      <div class="row">
        <ip-text class="remark" label="What else is tried" name="what" [value]="what()" (valueChange)="what.set($event)" />
        <button type="button" class="next" [disabled]="!what().trim()" (click)="add()">It is good</button>
        <button type="button" class="plain" (click)="adding.set(false)">Close</button>
      </div>
    } @else if (store.sheet()) {
      <button type="button" class="plain" (click)="adding.set(true)">Something else that was tried assembled</button>
    }
  `,
  styles: `
    ul {
      list-style: none;
      padding: 0;
      margin: 6px 0;
    }
    li {
      padding: 8px 0;
      border-bottom: 1px solid var(--hairline);
    }
    .head {
      display: flex;
      gap: 10px;
      align-items: center;
      font-size: 17px;
      min-height: 44px;
    }
    .head b {
      flex: 1;
    }
    .head .fig,
    .head button {
      white-space: nowrap;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 14px;
      align-items: start;
    }
    .remark {
      flex: 1 1 340px;
    }
    .size {
      flex: 0 0 170px;
    }
    .bad {
      color: var(--out);
    }
    p {
      margin: 4px 0;
    }
  `,
})
export class AssembledList {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly marks = MARKS;
  protected readonly words = WORDS;
  protected readonly opened = signal('');
  protected readonly adding = signal(false);
  protected readonly what = signal('');
  protected readonly problem = signal('');
  private readonly typed = signal<Readonly<Record<string, Typed>>>({});
  protected readonly kept = keptDraft(() => `assembled:${this.store.sheet()!.job.id}`, { typed: this.typed, what: this.what });
  protected readonly checks = computed(() => this.store.repair()?.assembled ?? []);

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected span(lowerMm: number, upperMm: number): string {
    return `${spanWords(this.show(lowerMm), this.show(upperMm))} ${this.store.unit()}`;
  }

  protected who(id: string): string {
    return this.shop.personName(id);
  }

  protected of(c: AssembledCheck): Typed {
    return Object.hasOwn(this.typed(), c.id) ? this.typed()[c.id]! : NOTHING;
  }

  protected type(c: AssembledCheck, part: Partial<Typed>): void {
    this.typed.update((t) => ({ ...t, [c.id]: { ...this.of(c), ...part } }));
    this.problem.set('');
  }

  protected open(c: AssembledCheck): void {
    this.opened.set(c.id);
    this.problem.set('');
  }

  /** As it was said, to be said anew. */
  protected reopen(c: AssembledCheck): void {
    this.type(c, { remark: c.said?.remark ?? '', measuredMm: c.said?.measuredMm ?? null });
    this.open(c);
  }

  protected say(c: AssembledCheck, state: AssembledChoice['state']): void {
    const { remark, measuredMm } = this.of(c);
    if (state === 'good' && c.limits && measuredMm === null) return this.problem.set('Say what it shows.');
    void this.put(c.id, { what: c.said?.what ?? c.what, state, measuredMm: c.limits ? measuredMm : null, remark: remark.trim() }, () => {
      this.typed.update(({ [c.id]: _, ...rest }) => rest);
      this.opened.set('');
    });
  }

  protected add(): void {
    void this.put(newId(), { what: this.what().trim(), state: 'good', measuredMm: null, remark: '' }, () => {
      this.what.set('');
      this.adding.set(false);
    });
  }

  private async put(id: string, value: AssembledChoice, then: () => void): Promise<void> {
    const { stored, problems } = await putChecked(this.store, choiceKey.assembled(id), 'what was tried', value);
    this.problem.set(problems[0]?.message ?? '');
    if (stored) then();
  }
}
