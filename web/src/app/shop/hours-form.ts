import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, routes, workHoursInput } from '@iron-patch/contract';
import {
  daysOffWords,
  extraWords,
  hoursOf,
  parseDaysOff,
  parseExtra,
  parseWeek,
  weekWords,
  USUAL_HOURS,
  type WorkHours,
  type WorkHoursRecord,
} from '@iron-patch/core/making/run-order';
import { MACHINE_KINDS, MACHINE_WORDS, type MachineKind } from '@iron-patch/core/making/setups';
import type { Outcome, Problem } from '@iron-patch/core';
import { SAME_VALUE, ShopClock, ShopStore } from '../data';
import { CheckBox, CheckList, FormFrame, NumberField, RecordForm, TextField } from '../form';

/** Hours of somebody as they are typed. */
interface TypedPerson {
  readonly notAtIt: boolean;
  readonly machines: readonly string[];
  /** Empty for the shop's own week. */
  readonly week: string;
  readonly off: string;
  readonly extra: string;
}
interface TypedHours {
  readonly week: string;
  readonly closed: string;
  readonly handsOnPercent: number | null;
  readonly people: Readonly<Record<string, TypedPerson>>;
}

const KINDS = MACHINE_KINDS.map((k) => [k, MACHINE_WORDS[k]] as const);

/** When the shop works, and who runs what: the run order goes by it. */
@Component({
  selector: 'ip-hours-form',
  imports: [ReactiveFormsModule, CheckBox, CheckList, FormFrame, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="quiet">The run order goes by them: who can do what, and when.</p>
    <form ip-form [formGroup]="form.group" [of]="form" save="Save hours" [closable]="false" [next]="false">
      <div class="grid3">
        <ip-text
          label="The week, a line for days alike"
          name="week"
          [rows]="2"
          placeholder="Mon to Fri 8-12, 12:30-16:30"
          formControlName="week"
        />
        <ip-text label="Closed, a line each" name="closed" [rows]="2" placeholder="24 Dec to 1 Jan: holidays" formControlName="closed" />
        <ip-number label="Of the hours, at the part, %" name="handsOn" formControlName="handsOnPercent" />
      </div>
      <ng-container formGroupName="people">
        @for (p of people; track p.id) {
          <fieldset [formGroupName]="p.id">
            <legend>{{ p.name }}</legend>
            <ip-check label="Not at the work: the office" [name]="'office-' + p.id" formControlName="notAtIt" />
            <ip-checks label="Runs" [name]="'runs-' + p.id" [options]="kinds" formControlName="machines" />
            <div class="grid3">
              <ip-text label="Own week, empty for the shop’s" [name]="'week-' + p.id" [rows]="2" formControlName="week" />
              <ip-text label="Days off, a line each" [name]="'off-' + p.id" [rows]="2" placeholder="4 Dec" formControlName="off" />
              <ip-text
                label="Extra hours, a line each"
                [name]="'extra-' + p.id"
                [rows]="2"
                placeholder="Sat 5 Dec 8-12"
                formControlName="extra"
              />
            </div>
          </fieldset>
        }
      </ng-container>
    </form>
  `,
  styles: `
    fieldset {
      border: 0;
      border-top: 1px solid var(--hairline);
      padding: 8px 0 0;
      margin: 8px 0 0;
    }
    legend {
      font: 600 17px var(--label);
      padding: 0 10px 0 0;
    }
  `,
})
export class HoursForm {
  private readonly shop = inject(ShopStore);
  private readonly clock = inject(ShopClock);
  protected readonly kinds = KINDS;
  protected readonly people = this.shop.shop().people.filter((p) => !p.gone);
  private readonly now = computed<TypedHours>(() => this.typed(this.shop.shop().hours ?? USUAL_HOURS), SAME_VALUE);
  protected readonly version = linkedSignal(() => this.shop.shop().hours?.version ?? 0);
  protected readonly form = new RecordForm<TypedHours>({
    keptAs: () => 'hours',
    start: this.typed(USUAL_HOURS),
    untouched: this.now,
    groups: ['people', ...this.people.map((p) => `people.${p.id}`)],
    check: (v) => this.read(v),
    rests: { version: this.version },
    save: (v) => {
      const read = this.read(v);
      // The form is not saved while anything in it is wrong.
      return read.ok ? this.shop.save<WorkHoursRecord>(routes.hours, read.value, this.version()) : Promise.resolve(false);
    },
    theirs: (current) => {
      this.version.set((current as WorkHoursRecord | null)?.version ?? 0);
      return 'Somebody else changed the hours in the meantime. Save again to put yours over theirs, or throw yours away.';
    },
  });

  private typed(hours: WorkHours): TypedHours {
    return {
      week: weekWords(hours.week),
      closed: daysOffWords(hours.closed),
      handsOnPercent: hours.handsOnPercent,
      people: Object.fromEntries(
        this.people.map(({ id }) => {
          const { week, machines, off, extra, notAtIt } = hoursOf(hours, id);
          const typed = {
            machines: machines ?? MACHINE_KINDS,
            week: week ? weekWords(week) : '',
            off: daysOffWords(off),
            extra: extraWords(extra),
            notAtIt,
          };
          return [id, typed];
        }),
      ),
    };
  }

  /** What is typed, with what is wrong with it at its fields; hours of people who are gone stay as they are. */
  private read({ week, closed, handsOnPercent, people }: TypedHours): Outcome<WorkHours> {
    const today = this.clock.today();
    const problems: Problem[] = [];
    const at = <T>(path: string, parsed: Outcome<T>, instead: T): T => {
      if (parsed.ok) return parsed.value;
      problems.push(...parsed.problems.map((p) => ({ ...p, path })));
      return instead;
    };
    const input = {
      week: at('week', parseWeek(week), []),
      closed: at('closed', parseDaysOff(closed, today), []),
      handsOnPercent: handsOnPercent ?? NaN,
      people: {
        ...this.shop.shop().hours?.people,
        ...Object.fromEntries(
          Object.entries(people).map(([id, p]) => [
            id,
            {
              week: p.week.trim() ? at(`people.${id}.week`, parseWeek(p.week), []) : null,
              machines: p.machines.length === MACHINE_KINDS.length ? null : (p.machines as readonly MachineKind[]),
              off: at(`people.${id}.off`, parseDaysOff(p.off, today), []),
              extra: at(`people.${id}.extra`, parseExtra(p.extra, today), []),
              notAtIt: p.notAtIt,
            },
          ]),
        ),
      },
    };
    if (problems.length) return { ok: false, problems };
    const checked = check(workHoursInput, input);
    return checked.ok ? { ok: true, value: input } : checked;
  }
}
