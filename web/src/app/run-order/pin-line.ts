import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { parseMoment } from '@iron-patch/core/terms/calendar';
import { hoursOf, runs } from '@iron-patch/core/making/run-order';
import { isoOf, type PlanRow } from '@iron-patch/core/repair/order';
import type { RunChoice } from '@iron-patch/core';
import { ShopStore } from '../data';
import type { MomentWords } from './order-words';
import { NOTHING_SAID, RunOrderStore } from './run-order-store';

/** The selected act: where it is to go, by whom, what that costs the others; and whether somebody is at it. */
@Component({
  selector: 'ip-pin-line',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="dark" (submit)="$event.preventDefault(); pin()">
      <div class="where">
        <label for="reading">{{ row().started ? 'Under way' : 'Where to?' }}</label>
        <a [routerLink]="['/jobs', row().job.id]">{{ row().job.number }} {{ row().act.name }}</a>
      </div>
      @if (row().act.act !== null) {
        @if (!row().started) {
          <input
            #entry
            id="reading"
            class="fig"
            autocomplete="off"
            spellcheck="false"
            maxlength="40"
            placeholder="fri 9:30"
            title="A time, or a day and a time; Enter pins it there"
            [value]="text()"
            [attr.aria-invalid]="text() && !at() ? 'true' : null"
            aria-describedby="pin-said"
            (input)="text.set(entry.value)"
            (keydown.escape)="closed.emit()"
          />
        }
        <select aria-label="Who" #who (change)="personId.set(who.value)">
          <option value="" [selected]="!personId()">whoever can</option>
          @for (p of people(); track p.id) {
            <option [value]="p.id" [selected]="p.id === personId()">{{ p.name }}</option>
          }
        </select>
        @if (machines().length > 1) {
          <select aria-label="Machine" #machine (change)="machineId.set(machine.value)">
            <option value="" [selected]="!machineId()">any of its kind</option>
            @for (m of machines(); track m.id) {
              <option [value]="m.id" [selected]="m.id === machineId()">{{ m.name }}</option>
            }
          </select>
        }
      }
      <output class="echo" id="pin-said" for="reading" aria-live="polite">{{ said() }}</output>
      @if (row().act.act !== null) {
        @if (row().started) {
          <button type="button" class="pass" (click)="say.emit({ ...now(), state: 'open', startedAt: null })">Not begun after all</button>
          <button type="button" class="enter" (click)="done.emit()">It is done</button>
        } @else {
          @if (row().act.said?.pinnedAt) {
            <button type="button" class="pass" (click)="say.emit({ ...now(), pinnedAt: null, personId: null, machineId: '' })">
              Let it go
            </button>
          }
          <button type="button" class="pass" [disabled]="!starter()" (click)="begun.emit(starter()!)">Begin it now</button>
          <button type="submit" class="enter" [disabled]="!changed()">{{ text() ? 'Enter, pin it there' : 'Enter, keep it so' }}</button>
        }
      } @else {
        <button type="button" class="enter" (click)="done.emit()">It is here</button>
      }
      <button type="button" class="pass" aria-label="Close this line" (click)="closed.emit()">×</button>
    </form>
  `,
  styleUrls: ['../reading-line/reading-line.less', './pin-line.less'],
})
export class PinLine {
  private readonly store = inject(RunOrderStore);
  private readonly shop = inject(ShopStore);
  readonly row = input.required<PlanRow>();
  readonly words = input.required<MomentWords>();
  /** What the choice on the line would do to the others, in words. */
  readonly effect = input.required<string>();
  /** A moment that it was pulled to; null where nobody pulls. */
  readonly pulledTo = input<number | null>(null);
  readonly say = output<RunChoice>();
  /** Somebody begins it now. */
  readonly begun = output<string>();
  readonly done = output();
  readonly closed = output();

  private readonly id = computed(() => `${this.row().job.id}/${this.row().act.key}`);
  protected readonly text = linkedSignal<{ id: string; pulled: number | null }, string>({
    source: () => ({ id: this.id(), pulled: this.pulledTo() }),
    computation: ({ id, pulled }, before) =>
      pulled !== null ? this.words().of(pulled) : before && before.source.id === id ? before.value : '',
  });
  protected readonly personId = linkedSignal<string, string>({ source: this.id, computation: () => this.now().personId ?? '' });
  protected readonly machineId = linkedSignal<string, string>({ source: this.id, computation: () => this.now().machineId });
  protected readonly at = computed(() => {
    const parsed = parseMoment(this.text(), this.store.today());
    return parsed.ok ? this.store.moments()(parsed.value.day, parsed.value.minute) : null;
  });
  protected readonly people = computed(() => {
    const { at } = this.row().act;
    const hours = this.store.hours();
    return this.shop.shop().people.filter((p) => {
      const own = hoursOf(hours, p.id);
      return !p.gone && !own.notAtIt && (at === 'bench' || at === 'away' || runs(own).includes(at));
    });
  });
  protected readonly machines = computed(() => this.shop.shop().machines.filter((m) => m.kind === this.row().act.at));
  /** Who would begin it now. */
  protected readonly starter = computed(() => this.personId() || this.row().personId);

  /** What is on the line as a choice; null where it cannot be read, or says nothing new. */
  protected readonly choice = computed((): RunChoice | null => {
    const text = this.text().trim();
    const at = this.at();
    if (text && at === null) return null;
    const before = this.now();
    const pinned = text ? isoOf(at!) : before.pinnedAt;
    // Only one who is named can be held to a time.
    const personId = this.personId() || (pinned ? this.row().personId : null);
    const machineId = this.machineId() || (pinned ? this.row().machineId : '');
    return { ...before, pinnedAt: pinned, personId, machineId };
  });
  protected readonly changed = computed(() => {
    const choice = this.choice();
    return choice !== null && JSON.stringify(choice) !== JSON.stringify(this.now());
  });
  protected readonly said = computed(() => {
    const { row, words } = { row: this.row(), words: this.words() };
    if (this.text().trim() && !this.at()) return 'A time, or a day and a time: 9:30, fri 9.';
    if (this.changed()) return this.effect();
    if (row.act.act === null) return row.act.open ? 'Nobody knows yet how long.' : `expected ${words.of(row.end)}`;
    return [words.span(row.begin, row.end), ...(this.waitsFor() ? [`after ${this.waitsFor()}`] : [])].join(', ');
  });
  /** What of its job it waits for, in words; empty where nothing is left of that. */
  private readonly waitsFor = computed(() => {
    const { act, job } = this.row();
    return job.toDo.acts.flatMap((a) => (act.after.includes(a.key) && !a.done ? [a.name] : [])).join(', ');
  });

  protected now(): RunChoice {
    return this.row().act.said ?? NOTHING_SAID;
  }

  /** What is on the line and not yet said; null where nothing new is. */
  readonly onLine = computed(() => (this.changed() ? this.choice() : null));

  protected pin(): void {
    const choice = this.choice();
    if (choice && this.changed()) this.say.emit(choice);
  }
}
