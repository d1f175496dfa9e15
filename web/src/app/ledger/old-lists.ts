import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { routes, type OldListResource } from '@iron-patch/contract/wire';
import {
  countOf,
  guessColumns,
  guessDayOrder,
  OLD_FIELD_IDS,
  OLD_FIELDS,
  readOldList,
  type DayOrder,
  type OldColumns,
  type OldField,
  type OldJob,
  type Problem,
} from '@iron-patch/core';
import { dayWords } from '@iron-patch/core/terms/calendar';
import { Api, ApiProblem, newId, ShopClock, ShopStore, Told } from '../data';
import { ChooseField, FileField, PickField, TextField, type Option } from '../form';
import { May } from '../sign-in/may';
import { readTable, textOf, type Table } from './read-table';

const MOST_BYTES = 4_000_000;
const SHOWN_JOBS = 5;
const SHOWN_PROBLEMS = 100;
const NO_COLUMN = '';

const ORDERS: readonly Option[] = [
  ['dmy', 'day month year'],
  ['mdy', 'month day year'],
  ['ymd', 'year month day'],
];

/** Brings in a shop's own list of jobs of before: which column is what, what is wrong with it, what it comes to; and the lists that came in. */
@Component({
  selector: 'ip-old-lists',
  imports: [ChooseField, FileField, May, PickField, ReactiveFormsModule, RouterLink, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './old-lists.html',
  styleUrl: './old-lists.less',
})
export class OldLists {
  private readonly api = inject(Api);
  private readonly clock = inject(ShopClock);
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly fields = OLD_FIELD_IDS.map((id) => ({ id, name: OLD_FIELDS[id].name }));
  protected readonly orders = ORDERS;
  protected readonly mostShown = SHOWN_PROBLEMS;
  protected readonly lists = signal<readonly OldListResource[] | null>(null);
  protected readonly table = signal<Table | null>(null);
  /** Why the file is no table. */
  protected readonly unread = signal('');
  /** What the server says against it. */
  private readonly refused = signal<readonly Problem[]>([]);
  protected readonly busy = signal(false);
  private key = newId();

  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true }),
    order: new FormControl<DayOrder>('dmy', { nonNullable: true }),
    columns: new FormGroup(
      Object.fromEntries(OLD_FIELD_IDS.map((f) => [f, new FormControl(NO_COLUMN, { nonNullable: true })])) as Record<
        OldField,
        FormControl<string>
      >,
    ),
  });
  private readonly said = toSignal(this.form.valueChanges, { initialValue: null });

  protected readonly columns = computed((): readonly Option[] => [
    [NO_COLUMN, 'not in the list'],
    ...(this.table()?.header ?? []).map((head, at): Option => [String(at), head.trim() || `column ${at + 1}`]),
  ]);
  protected readonly list = computed(() => {
    const table = this.table();
    this.said();
    if (!table) return null;
    const { order, columns } = this.form.getRawValue();
    const at = Object.fromEntries(OLD_FIELD_IDS.map((f) => [f, columns[f] === NO_COLUMN ? null : Number(columns[f])])) as OldColumns;
    return readOldList(table.rows, at, order, this.clock.today());
  });
  protected readonly countOf = countOf;
  protected readonly problems = computed((): readonly Problem[] => [...(this.list()?.problems ?? []), ...this.refused()]);
  protected readonly first = computed(() => this.list()?.jobs.slice(0, SHOWN_JOBS) ?? []);

  constructor() {
    void this.load();
    this.form.valueChanges.subscribe(() => this.refused.set([]));
  }

  private async load(): Promise<void> {
    const lists = await this.api.get<readonly OldListResource[]>(routes.oldLists).catch(this.told.or(null));
    if (lists) this.lists.set(lists);
  }

  protected async file(chosen: File | undefined): Promise<void> {
    if (!chosen) return;
    this.table.set(null);
    this.refused.set([]);
    if (chosen.size > MOST_BYTES)
      return this.unread.set('The file is over 4 MB. Is it the right one? A longer list comes in as several files.');
    const read = readTable(textOf(await chosen.arrayBuffer()));
    this.unread.set(read.ok ? '' : read.problems[0]!.message);
    if (!read.ok) return;
    const { header, rows } = read.value;
    const columns = guessColumns(header);
    const days = columns.doneOn === null ? [] : rows.map((r) => r[columns.doneOn!] ?? '');
    this.key = newId();
    this.table.set(read.value);
    this.form.setValue({
      name: chosen.name.slice(0, 120),
      order: guessDayOrder(days, this.clock.today()),
      columns: Object.fromEntries(OLD_FIELD_IDS.map((f) => [f, columns[f] === null ? NO_COLUMN : String(columns[f])])) as Record<
        OldField,
        string
      >,
    });
  }

  protected async bring(): Promise<void> {
    const list = this.list();
    if (!list || this.problems().length) return;
    this.busy.set(true);
    try {
      const body = { name: this.form.controls.name.value.trim() || 'old list', jobs: list.jobs };
      const { jobs, name } = await this.api.post<OldListResource>(routes.oldLists, body, this.key);
      this.told.say(`Brought in: ${countOf(jobs, 'job')} of ${name} in the ledger.`);
      this.table.set(null);
      await this.load();
    } catch (e) {
      if (e instanceof ApiProblem && e.details.problems?.length) this.refused.set(e.details.problems);
      else this.told.wrong(e);
      // What the server refused is another list once it is put right.
      if (e instanceof ApiProblem) this.key = newId();
    } finally {
      this.busy.set(false);
    }
  }

  protected takeBack({ id, name, jobs }: OldListResource): void {
    void this.told.doing(async () => {
      await this.api.post(routes.oldListWithdrawal(id), {});
      this.told.say(`Taken back: ${countOf(jobs, 'job')} of ${name} out of the ledger.`);
      await this.load();
    });
  }

  protected whoOf({ personId }: OldListResource): string {
    return this.shop.personName(personId);
  }

  protected dayOf(at: string): string {
    return dayWords(this.clock.dayOf(at));
  }

  protected lineOf({ number, doneOn, customer, machine }: OldJob): string {
    return [number, doneOn ? dayWords(doneOn, 'whole') : '', customer, machine].filter(Boolean).join(', ');
  }

  protected countWords(): string {
    return countOf(this.list()?.jobs.length ?? 0, 'job');
  }
}
