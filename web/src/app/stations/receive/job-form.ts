import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, type OnInit } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, jobInput, routes, type CustomersResource, type JobInput } from '@iron-patch/contract';
import { CHANGES, HAZARDS, type Change, type Hazard, type Problem } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { Api, FloorStore, keptDraft, newId, OpenJob } from '../../data';
import { CautionNote, ChooseField, DraftNote, Field, TextField } from '../../show';
import { CHANGE_WORDS, HAZARD_WORDS, WANT_WORDS } from './job-words';
import { weekLoad } from './week-load';

/** A name is looked up when the hand rests so long. */
const TYPED_MS = 150;

/** The counter ticket: who, what, what happened, what they want, when, and what can hurt. */
@Component({
  selector: 'ip-job-form',
  imports: [FormsModule, NzCheckboxModule, NzDatePickerModule, Field, TextField, ChooseField, CautionNote, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); submit()" novalidate>
      <ip-draft-note [kept]="kept" />
      <div class="grid2">
        <ip-text
          label="Customer"
          name="customer"
          list="customers"
          [value]="draft().customerName"
          path="customerName"
          [problems]="shownProblems()"
          (valueChange)="set('customerName', $event)"
        />
        <ip-text
          label="How to reach them"
          name="contact"
          [value]="draft().customerContact"
          path="customerContact"
          [problems]="shownProblems()"
          (valueChange)="set('customerContact', $event)"
        />
        <ip-text
          label="What it is"
          name="title"
          [value]="draft().title"
          path="title"
          [problems]="shownProblems()"
          (valueChange)="set('title', $event)"
        />
        <ip-text
          label="Out of which machine"
          name="machine"
          list="machines"
          [value]="draft().machine"
          path="machine"
          [problems]="shownProblems()"
          (valueChange)="set('machine', $event)"
        />
      </div>
      <datalist id="customers">
        @for (c of known().customers; track c.id) {
          <option [value]="c.name"></option>
        }
      </datalist>
      <datalist id="machines">
        @for (m of known().machines; track m) {
          <option [value]="m"></option>
        }
      </datalist>
      <ip-text
        label="What happened to it, in their words"
        name="complaint"
        [rows]="2"
        [value]="draft().complaint"
        path="complaint"
        [problems]="shownProblems()"
        (valueChange)="set('complaint', $event)"
      />
      <div class="grid4">
        <ip-choose
          label="What they want"
          name="want"
          [options]="wants"
          [value]="draft().want"
          path="want"
          [problems]="shownProblems()"
          (valueChange)="setWant($event)"
        />
        <ip-field label="Promised for" path="promisedOn" [problems]="shownProblems()" #prom>
          <nz-date-picker
            [nzId]="prom.id"
            name="promised"
            nzFormat="EEE d MMM yyyy"
            nzPlaceHolder="no date"
            [ngModel]="promised()"
            (ngModelChange)="promise($event)"
          />
          @if (load(); as l) {
            <p class="load">{{ l }}</p>
          }
        </ip-field>
        <ip-text
          label="Pieces received"
          name="pieces"
          inputmode="numeric"
          [value]="numbers().pieces"
          path="pieces"
          [problems]="shownProblems()"
          (valueChange)="setNumber('pieces', $event)"
        />
        <ip-text
          label="How far to go before asking"
          name="ask"
          [value]="draft().askBefore"
          path="askBefore"
          [problems]="shownProblems()"
          (valueChange)="set('askBefore', $event)"
        />
        <ip-text
          label="Who does the rest, if not we"
          name="restBy"
          placeholder="we do all of it"
          [value]="draft().restBy"
          path="restBy"
          [problems]="shownProblems()"
          (valueChange)="set('restBy', $event)"
        />
        <ip-choose
          label="Unit of the job"
          name="unit"
          [options]="units"
          [value]="draft().unit"
          path="unit"
          [problems]="shownProblems()"
          (valueChange)="set('unit', $event)"
        />
        <ip-text
          label="Shop temperature, °C"
          name="temp"
          inputmode="decimal"
          [value]="numbers().shopTempC"
          path="shopTempC"
          [problems]="shownProblems()"
          (valueChange)="setNumber('shopTempC', $event)"
        />
      </div>
      @if (draft().want === 'changed') {
        <fieldset>
          <legend>What is to be different?</legend>
          @for (c of changes; track c) {
            <label nz-checkbox [name]="'change-' + c" [ngModel]="draft().changes.includes(c)" (ngModelChange)="change(c, $event)">{{
              changeWords[c]
            }}</label>
          }
        </fieldset>
      }
      <fieldset>
        <legend>What can hurt somebody here?</legend>
        @for (h of hazards; track h) {
          <label nz-checkbox [name]="'hazard-' + h" [ngModel]="draft().hazards.includes(h)" (ngModelChange)="hazard(h, $event)">{{
            hazardWords[h]
          }}</label>
        }
      </fieldset>
      @for (h of draft().hazards; track h) {
        <ip-caution [hazard]="h" />
      }
      <div class="row end">
        @if (attempted() && problems().length) {
          <p class="problem" role="alert">{{ problems().length }} thing{{ problems().length > 1 ? 's' : '' }} to put right above.</p>
        }
        <button class="next" type="submit" [disabled]="busy() || (attempted() && problems().length > 0)">{{ action() }}</button>
      </div>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 12px;
    }
    .grid4 {
      display: grid;
      grid-template-columns: repeat(3, 1fr);
      gap: 12px 20px;
    }
    fieldset {
      border: 0;
      padding: 0;
      margin: 0;
      display: flex;
      flex-wrap: wrap;
      gap: 0 18px;
    }
    legend {
      font: 600 15px var(--label);
      padding: 0;
      margin-bottom: 2px;
    }
    fieldset label {
      min-height: 40px;
      display: inline-flex;
      align-items: center;
      margin: 0;
      font: 400 16px var(--text);
    }
    nz-date-picker {
      width: 100%;
      min-height: 44px;
    }
    .load {
      font-size: 15px;
      color: var(--quiet);
    }
    .end {
      justify-content: flex-end;
    }
    @media (max-width: 900px) {
      .grid4 {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class JobForm implements OnInit {
  readonly start = input.required<JobInput>();
  readonly action = input('Save');
  readonly busy = input(false);
  readonly serverProblems = input<readonly Problem[]>([]);
  readonly saved = output<JobInput>();
  private readonly api = inject(Api);
  /** Customers and machines that are offered for what is typed. */
  protected readonly known = signal<CustomersResource>({ customers: [], machines: [] });
  private readonly floor = inject(FloorStore);
  private readonly openJob = inject(OpenJob);
  protected readonly changes = CHANGES;
  protected readonly changeWords = CHANGE_WORDS;
  protected readonly hazards = HAZARDS;
  protected readonly hazardWords = HAZARD_WORDS;
  protected readonly wants = Object.entries(WANT_WORDS);
  protected readonly units = [
    ['mm', 'mm'],
    ['in', 'in'],
  ] as const;
  protected readonly draft = signal<JobInput>({} as JobInput);
  protected readonly numbers = signal({ pieces: '', shopTempC: '' });
  protected readonly attempted = signal(false);
  /** Which record it is of, so that what was typed comes back to it. */
  readonly keptAs = input.required<string>();
  /** The version that it was opened at. */
  readonly version = input(0);
  /** What a save rests on, kept with the fields: the version, and the key and text of what was sent. */
  readonly base = signal(0);
  readonly key = signal(newId());
  readonly sent = signal('');
  readonly kept = keptDraft(this.keptAs, { draft: this.draft, numbers: this.numbers, base: this.base, key: this.key, sent: this.sent });
  /** What else is promised in the week of that day. */
  protected readonly load = computed(() => weekLoad(this.floor.promised(), this.draft().promisedOn, this.openJob.job()?.id ?? null));
  protected readonly problems = computed(() => {
    const checked = check(jobInput, this.draft());
    return checked.ok ? [] : checked.problems;
  });
  protected readonly shownProblems = computed(() =>
    this.attempted() ? [...this.problems(), ...this.serverProblems()] : this.serverProblems(),
  );
  protected readonly promised = computed(() => {
    const on = this.draft().promisedOn;
    return on ? new Date(`${on}T12:00:00`) : null;
  });

  private readonly typedCustomer = computed(() => (this.draft().customerName ?? '').trim());

  constructor() {
    effect((onCleanup) => {
      const name = this.typedCustomer();
      const soon = setTimeout(() => void this.lookUp(name), TYPED_MS);
      onCleanup(() => clearTimeout(soon));
    });
  }

  ngOnInit(): void {
    const start = this.start();
    void this.floor.loadPromised();
    this.draft.set(start);
    this.base.set(this.version());
    this.numbers.set({ pieces: String(start.pieces), shopTempC: String(start.shopTempC) });
  }

  protected set(key: keyof JobInput, value: string): void {
    this.draft.update((d) => ({ ...d, [key]: value }));
  }

  /** Text to a number; what is no number becomes one that the check refuses at its field. */
  protected setNumber(key: 'pieces' | 'shopTempC', text: string): void {
    this.numbers.update((n) => ({ ...n, [key]: text }));
    const value = text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));
    this.draft.update((d) => ({ ...d, [key]: value }));
  }

  private async lookUp(name: string): Promise<void> {
    // Without an answer nothing is offered: a name can be typed all the same.
    const known = await this.api.get<CustomersResource>(`${routes.customers}?find=${encodeURIComponent(name)}`).catch(() => null);
    if (known && name === this.typedCustomer()) this.known.set(known);
  }

  protected promise(date: Date | null): void {
    const on =
      date && [date.getFullYear(), String(date.getMonth() + 1).padStart(2, '0'), String(date.getDate()).padStart(2, '0')].join('-');
    this.draft.update((d) => ({ ...d, promisedOn: on }));
  }

  protected setWant(want: string): void {
    this.set('want', want);
    if (want !== 'changed') this.draft.update((d) => ({ ...d, changes: [] }));
  }

  protected change(c: Change, on: boolean): void {
    this.draft.update((d) => ({ ...d, changes: on ? [...d.changes, c] : d.changes.filter((x) => x !== c) }));
  }

  protected hazard(h: Hazard, on: boolean): void {
    this.draft.update((d) => ({ ...d, hazards: on ? [...d.hazards, h] : d.hazards.filter((x) => x !== h) }));
  }

  protected submit(): void {
    this.attempted.set(true);
    if (this.problems().length === 0) this.saved.emit(this.draft());
  }
}
