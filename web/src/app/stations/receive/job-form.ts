import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal, untracked } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, jobInput, routes, type CustomersResource, type JobInput } from '@iron-patch/contract';
import { CHANGES, HAZARDS } from '@iron-patch/core';
import { Api, FloorStore, newId, OpenJob, Told } from '../../data';
import {
  CheckList,
  ChooseField,
  DateField,
  FormFrame,
  NumberField,
  PickField,
  RecordForm,
  TextField,
  UNITS,
  type Option,
} from '../../form';
import { CautionNote } from '../../show';
import { CHANGE_WORDS, HAZARD_WORDS, WANT_WORDS } from './job-words';
import { weekLoad } from './week-load';

/** A name is looked up when the hand rests so long. */
const TYPED_MS = 150;

/** A job that nothing was said of yet. */
export const NO_JOB: JobInput = {
  customerName: '',
  customerContact: '',
  title: '',
  machine: '',
  complaint: '',
  want: 'like-for-like',
  changes: [],
  restBy: '',
  askBefore: '',
  pieces: 1,
  promisedOn: null,
  unit: 'mm',
  shopTempC: 20,
  hazards: [],
};

/** Stores a ticket: over the version that it was opened at, or as a new job under a key of its own. */
export type StoreJob = (input: JobInput, base: number, key: string) => Promise<unknown>;

/** The counter ticket: who, what, what happened, what they want, when, and what can hurt. */
@Component({
  selector: 'ip-job-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, NumberField, DateField, ChooseField, PickField, CheckList, CautionNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" [save]="action()" [closable]="false">
      <div class="grid2">
        <ip-text label="Customer" name="customer" list="customers" formControlName="customerName" />
        <ip-text label="How to reach them" name="contact" formControlName="customerContact" />
        <ip-text label="What it is" name="title" formControlName="title" />
        <ip-text label="Out of which machine" name="machine" list="machines" formControlName="machine" />
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
      <ip-text label="What happened to it, in their words" name="complaint" [rows]="2" formControlName="complaint" />
      <div class="grid3">
        <ip-choose
          label="What they want"
          name="want"
          [options]="wants"
          formControlName="want"
          (valueChange)="$event === 'changed' || form.set({ changes: [] })"
        />
        <div>
          <ip-date label="Promised for" name="promised" formControlName="promisedOn" />
          @if (load(); as l) {
            <p class="load">{{ l }}</p>
          }
        </div>
        <ip-number label="Pieces received" name="pieces" formControlName="pieces" />
        <ip-text label="How far to go before asking" name="ask" formControlName="askBefore" />
        <ip-text label="Who does the rest, if not we" name="restBy" placeholder="we do all of it" formControlName="restBy" />
        <ip-pick label="Unit of the job" [options]="units" formControlName="unit" />
        <ip-number label="Shop temperature, °C" name="temp" formControlName="shopTempC" />
      </div>
      @if (form.value().want === 'changed') {
        <ip-checks label="What is to be different?" name="change" [options]="changes" formControlName="changes" />
      }
      <ip-checks label="What can hurt somebody here?" name="hazard" [options]="hazards" formControlName="hazards" />
      @for (h of form.value().hazards; track h) {
        <ip-caution [hazard]="h" />
      }
    </form>
  `,
  styles: '.load { font-size: 15px; color: var(--quiet); }',
})
export class JobForm {
  readonly start = input.required<JobInput>();
  readonly action = input('Save');
  /** Which record it is of, so that what was typed comes back to it. */
  readonly keptAs = input.required<string>();
  /** The version that it was opened at. */
  readonly version = input(0);
  readonly store = input.required<StoreJob>();
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  /** Customers and machines that are offered for what is typed. */
  protected readonly known = signal<CustomersResource>({ customers: [], machines: [] });
  private readonly floor = inject(FloorStore);
  private readonly openJob = inject(OpenJob);
  protected readonly changes: readonly Option[] = CHANGES.map((c) => [c, CHANGE_WORDS[c]] as const);
  protected readonly hazards: readonly Option[] = HAZARDS.map((h) => [h, HAZARD_WORDS[h]] as const);
  protected readonly wants = Object.entries(WANT_WORDS);
  protected readonly units = UNITS;
  /** What a save rests on: the version, and the key and text of what was sent. */
  private readonly base = linkedSignal(() => this.version());
  private readonly key = signal(newId());
  private readonly sent = signal('');
  protected readonly form = new RecordForm<JobInput>({
    keptAs: () => this.keptAs(),
    start: NO_JOB,
    untouched: () => this.start(),
    check: (v) => check(jobInput, v),
    rests: { base: this.base, key: this.key, sent: this.sent },
    save: (v) => this.send(v),
  });
  /** What else is promised in the week of that day. */
  protected readonly load = computed(() => weekLoad(this.floor.promised(), this.form.value().promisedOn, this.openJob.job()?.id ?? null));
  private readonly typedCustomer = computed(() => this.form.value().customerName.trim());

  constructor() {
    void this.floor.loadPromised();
    effect((onCleanup) => {
      const name = this.typedCustomer();
      const soon = setTimeout(() => untracked(() => void this.lookUp(name)), TYPED_MS);
      onCleanup(() => clearTimeout(soon));
    });
  }

  /** One key for what was sent: pressing twice, or again after a silence, takes the job in once. */
  private send(v: JobInput): Promise<unknown> {
    const text = JSON.stringify(v);
    if (this.sent() && this.sent() !== text) this.key.set(newId());
    this.sent.set(text);
    return this.store()(v, this.base(), this.key());
  }

  private async lookUp(name: string): Promise<void> {
    // Without an answer nothing is offered: a name can be typed all the same.
    const known = await this.api.get<CustomersResource>(`${routes.customers}?find=${encodeURIComponent(name)}`).catch(this.told.or(null));
    if (known && name === this.typedCustomer()) this.known.set(known);
  }
}
