import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, jobInput, type JobInput } from '@iron-patch/contract';
import { HAZARDS, type CustomerRecord, type Hazard, type LengthUnit, type Problem, type Want } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { ShopStore } from '../../data';
import { CautionNote, Field } from '../../show';

const HAZARD_WORDS: Readonly<Record<Hazard, string>> = {
  lifting: 'Lifting gear',
  vessel: "A vessel's ramp",
  pressure: 'Trapped pressure',
  spring: 'Loaded spring',
  fuel: 'Held fuel',
  steering: 'Steering or brakes',
  welding: 'Welding',
  press: 'Press work',
  'old-linings': 'Old linings or paint',
};
const WANT_WORDS: Readonly<Record<Want, string>> = { 'like-for-like': 'Like for like', 'made-better': 'Made better', changed: 'Changed' };

/** The counter ticket: who, what, what happened, what they want, when, and what can hurt. */
@Component({
  selector: 'ip-job-form',
  imports: [FormsModule, NzInputModule, NzCheckboxModule, NzDatePickerModule, Field, CautionNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (ngSubmit)="submit()" novalidate>
      <div class="grid2">
        <ip-field label="Customer" path="customerName" [problems]="shownProblems()" #cust>
          <input
            nz-input
            name="customer"
            list="customers"
            autocomplete="off"
            [id]="cust.id"
            [attr.aria-invalid]="cust.bad()"
            [attr.aria-describedby]="cust.id + '-said'"
            [ngModel]="draft().customerName"
            (ngModelChange)="set('customerName', $event)"
          />
          <datalist id="customers">
            @for (c of customers(); track c.id) {
              <option [value]="c.name"></option>
            }
          </datalist>
        </ip-field>
        <ip-field label="How to reach them" path="customerContact" [problems]="shownProblems()" #cont>
          <input
            nz-input
            name="contact"
            autocomplete="off"
            [id]="cont.id"
            [attr.aria-invalid]="cont.bad()"
            [attr.aria-describedby]="cont.id + '-said'"
            [ngModel]="draft().customerContact"
            (ngModelChange)="set('customerContact', $event)"
          />
        </ip-field>
        <ip-field label="What it is" path="title" [problems]="shownProblems()" #titl>
          <input
            nz-input
            name="title"
            autocomplete="off"
            [id]="titl.id"
            [attr.aria-invalid]="titl.bad()"
            [attr.aria-describedby]="titl.id + '-said'"
            [ngModel]="draft().title"
            (ngModelChange)="set('title', $event)"
          />
        </ip-field>
        <ip-field label="Out of which machine" path="machine" [problems]="shownProblems()" #mach>
          <input
            nz-input
            name="machine"
            autocomplete="off"
            [id]="mach.id"
            [attr.aria-invalid]="mach.bad()"
            [attr.aria-describedby]="mach.id + '-said'"
            [ngModel]="draft().machine"
            (ngModelChange)="set('machine', $event)"
          />
        </ip-field>
      </div>
      <ip-field label="What happened to it, in their words" path="complaint" [problems]="shownProblems()" #comp>
        <textarea
          nz-input
          rows="2"
          name="complaint"
          [id]="comp.id"
          [attr.aria-invalid]="comp.bad()"
          [attr.aria-describedby]="comp.id + '-said'"
          [ngModel]="draft().complaint"
          (ngModelChange)="set('complaint', $event)"
        ></textarea>
      </ip-field>
      <div class="grid4">
        <ip-field label="What they want" path="want" [problems]="shownProblems()" #want>
          <select name="want" [id]="want.id" [ngModel]="draft().want" (ngModelChange)="set('want', $event)">
            @for (w of wants; track w[0]) {
              <option [value]="w[0]">{{ w[1] }}</option>
            }
          </select>
        </ip-field>
        <ip-field label="Promised for" path="promisedOn" [problems]="shownProblems()" #prom>
          <nz-date-picker
            [nzId]="prom.id"
            name="promised"
            nzFormat="EEE d MMM yyyy"
            nzPlaceHolder="no date"
            [ngModel]="promised()"
            (ngModelChange)="promise($event)"
          />
        </ip-field>
        <ip-field label="Pieces received" path="pieces" [problems]="shownProblems()" #pcs>
          <input
            nz-input
            name="pieces"
            inputmode="numeric"
            [id]="pcs.id"
            [attr.aria-invalid]="pcs.bad()"
            [attr.aria-describedby]="pcs.id + '-said'"
            [ngModel]="numbers().pieces"
            (ngModelChange)="setNumber('pieces', $event)"
          />
        </ip-field>
        <ip-field label="Ask before going past" path="askBefore" [problems]="shownProblems()" #ask>
          <input
            nz-input
            name="ask"
            autocomplete="off"
            [id]="ask.id"
            [attr.aria-invalid]="ask.bad()"
            [attr.aria-describedby]="ask.id + '-said'"
            [ngModel]="draft().askBefore"
            (ngModelChange)="set('askBefore', $event)"
          />
        </ip-field>
        <ip-field label="Unit of the job" path="unit" [problems]="shownProblems()" #unt>
          <select name="unit" [id]="unt.id" [ngModel]="draft().unit" (ngModelChange)="set('unit', $event)">
            <option value="mm">mm</option>
            <option value="in">in</option>
          </select>
        </ip-field>
        <ip-field label="Shop temperature, °C" path="shopTempC" [problems]="shownProblems()" #tmp>
          <input
            nz-input
            name="temp"
            inputmode="decimal"
            [id]="tmp.id"
            [attr.aria-invalid]="tmp.bad()"
            [attr.aria-describedby]="tmp.id + '-said'"
            [ngModel]="numbers().shopTempC"
            (ngModelChange)="setNumber('shopTempC', $event)"
          />
        </ip-field>
      </div>
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
  protected readonly customers = inject(ShopStore).customers as () => readonly CustomerRecord[];
  protected readonly hazards = HAZARDS;
  protected readonly hazardWords = HAZARD_WORDS;
  protected readonly wants = Object.entries(WANT_WORDS);
  protected readonly draft = signal<JobInput>({} as JobInput);
  protected readonly numbers = signal({ pieces: '', shopTempC: '' });
  protected readonly attempted = signal(false);
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

  ngOnInit(): void {
    const start = this.start();
    this.draft.set(start);
    this.numbers.set({ pieces: String(start.pieces), shopTempC: String(start.shopTempC) });
  }

  protected set<K extends keyof JobInput>(key: K, value: JobInput[K] | LengthUnit): void {
    this.draft.update((d) => ({ ...d, [key]: value }));
  }

  /** Text to a number; what is no number becomes one that the check refuses at its field. */
  protected setNumber(key: 'pieces' | 'shopTempC', text: string): void {
    this.numbers.update((n) => ({ ...n, [key]: text }));
    const value = text.trim() === '' ? NaN : Number(text.trim().replace(',', '.'));
    this.draft.update((d) => ({ ...d, [key]: value }));
  }

  protected promise(date: Date | null): void {
    const on =
      date && [date.getFullYear(), String(date.getMonth() + 1).padStart(2, '0'), String(date.getDate()).padStart(2, '0')].join('-');
    this.draft.update((d) => ({ ...d, promisedOn: on }));
  }

  protected hazard(h: Hazard, on: boolean): void {
    this.draft.update((d) => ({ ...d, hazards: on ? [...d.hazards, h] : d.hazards.filter((x) => x !== h) }));
  }

  protected submit(): void {
    this.attempted.set(true);
    if (this.problems().length === 0) this.saved.emit(this.draft());
  }
}
