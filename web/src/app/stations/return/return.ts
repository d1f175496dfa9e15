import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { check, choiceInput, noteInput } from '@iron-patch/contract';
import {
  choiceKey,
  chosenReturn,
  chosenRoute,
  provedOf,
  provedWords,
  formatLength,
  good,
  LICENSED_HAZARDS,
  otherUnit,
  playWords,
  STATION_NAMES,
  stillHeld,
  versionOfChoice,
  type Outcome,
  type Problem,
  type ReturnChoice,
} from '@iron-patch/core';
import { SAME_VALUE, ShopStore, ShopTimePipe } from '../../data';
import { SheetStore } from '../../sheet-data';
import { StateMark } from '../../mark';
import { CheckBox, FormFrame, inValue, RecordForm, TextField } from '../../form';
import { CautionNote } from '../../show';
import { LicensedMatters } from '../licensed-matters';
import { GoesWithIt } from './goes-with-it';
import { ReturnPapers } from './papers';
import { TimeSpent } from './time-spent';

/** A hand-over as its form has it: a box for what the choice has a word for, and nothing that was not asked. */
interface ReturnFields extends Omit<Required<ReturnChoice>, 'outcome' | 'oldParts' | 'beforePhotoId' | 'afterPhotoId'> {
  readonly notPassed: boolean;
  readonly oldParts: string;
  readonly beforePhotoId: string | null;
  readonly afterPhotoId: string | null;
}
const NOTHING_SAID: ReturnFields = {
  ...{ stillToDo: '', lesson: '', oldParts: '', beforePhotoId: null, afterPhotoId: null },
  ...{ unproved: '', undone: '', notPassed: false, beforeUse: '' },
};
const SCHEMA = choiceInput(choiceKey.returned)!;

function fieldsOf(stored: ReturnChoice | null): ReturnFields {
  if (!stored) return NOTHING_SAID;
  const { outcome, oldParts = '', beforePhotoId = null, afterPhotoId = null, ...same } = stored;
  return { ...NOTHING_SAID, ...same, oldParts, beforePhotoId, afterPhotoId, notPassed: outcome === 'not-passed' };
}

const choiceFrom = ({ notPassed, ...same }: ReturnFields): ReturnChoice => ({ ...same, outcome: notPassed ? 'not-passed' : 'passed' });

/** The hand-over: the report with measured sizes, what the customer still does, and one lesson. */
@Component({
  selector: 'ip-return',
  imports: [
    CautionNote,
    CheckBox,
    FormFrame,
    ReactiveFormsModule,
    TextField,
    LicensedMatters,
    StateMark,
    ShopTimePipe,
    RouterLink,
    GoesWithIt,
    ReturnPapers,
    TimeSpent,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (stored(); as r) {
      @if (r.outcome === 'not-passed') {
        <p class="not-passed" role="status"><b>Handed over, not passed.</b> Before it is used: {{ r.beforeUse }}</p>
      }
    }
    @if (!stored() && holds().length) {
      <section class="holds" aria-label="What holds it back">
        <h2>What holds it back</h2>
        <ul>
          @for (h of holds(); track h.message) {
            <li>
              <ip-state [state]="h.passedBy === null || h.code === 'licensed' ? 'out' : 'under-way'" /> <span>{{ h.message }}</span>
              @if (h.station !== 'return') {
                <a [routerLink]="['/jobs', sheet().job.id, h.station]">{{ names[h.station] }}</a>
              }
            </li>
          }
        </ul>
      </section>
    }
    <ip-licensed-matters />
    <section>
      <h2>The report</h2>
      <table class="plain">
        <tbody>
          <tr>
            <th scope="row">Brought</th>
            <td data-verbatim>{{ sheet().job.complaint || 'nothing written down' }}</td>
          </tr>
          <tr>
            <th scope="row">Found</th>
            <td>{{ route()?.cause ?? 'not on record yet' }}</td>
          </tr>
          <tr>
            <th scope="row">Done</th>
            <td>{{ route()?.route ?? 'not on record yet' }}</td>
          </tr>
          @for (x of proved(); track x.key) {
            @let p = x.proof;
            <tr>
              <th scope="row">{{ x.name }}</th>
              <td class="fig">{{ words(p, both) ?? 'not measured' }} <ip-state [state]="p.verdict" /></td>
            </tr>
            @for (x of p.play; track x.mate.hole.place.id) {
              @let told = play(x.mate.hole.place.name, x.tight.value, x.loose.value, both);
              <tr>
                <th scope="row">{{ told.name }}</th>
                <td class="fig">{{ told.words }}</td>
              </tr>
            }
          }
        </tbody>
      </table>
      <ip-return-papers class="no-print" />
      @for (h of otherHazards(); track h) {
        <ip-caution [hazard]="h" />
      }
    </section>
    <ip-time-spent />
    <form
      ip-form
      [formGroup]="form.group"
      [of]="form"
      may="release"
      [closable]="false"
      [save]="stored() ? 'Save' : form.value().notPassed ? 'Hand it back, not passed' : 'Hand it back'"
    >
      <ip-text label="What the customer still does: gasket, oil, run-in" name="todo" [rows]="2" formControlName="stillToDo" />
      <ip-text label="One lesson for the next repair of the same thing" name="lesson" [rows]="2" formControlName="lesson" />
      <ip-goes-with-it [group]="form.group" [of]="form.value()" />
      @if (needs('unproved')) {
        <ip-text
          label="Why it goes out with what is not proved (printed on the report)"
          name="unproved"
          [rows]="2"
          formControlName="unproved"
        />
      }
      @if (needs('undone')) {
        <ip-text label="Why what was planned is left (printed on the report)" name="undone" [rows]="2" formControlName="undone" />
      }
      @if (needs('beforeUse') || form.value().notPassed) {
        <ip-check label="It goes out not passed: not to be used as it is" name="notPassed" formControlName="notPassed" />
      }
      @if (form.value().notPassed) {
        <ip-text
          label="What must be done before it is used, and by whom (large on the report and the tag)"
          name="beforeUse"
          [rows]="2"
          formControlName="beforeUse"
        />
      }
    </form>
    <section>
      <h2>Notes</h2>
      @for (n of sheet().notes; track n.id) {
        <p class="note">
          {{ n.text }} <span class="quiet">{{ who(n.personId) }}, {{ n.at | shopTime }}</span>
        </p>
      } @empty {
        <p class="quiet">None.</p>
      }
      <form ip-form [formGroup]="note.group" [of]="note" save="Add note" [closable]="false" [next]="false">
        <ip-text spoken="New note" name="note" formControlName="text" />
      </form>
    </section>
  `,
  styles: `
    :host {
      display: block;
      padding: 12px 20px 24px;
      max-width: 900px;
    }
    section {
      margin-bottom: 16px;
    }
    th[scope='row'] {
      width: 170px;
    }
    .holds ul {
      list-style: none;
      padding: 0;
      margin: 6px 0;
    }
    .holds li {
      display: flex;
      align-items: center;
      gap: 10px;
      min-height: 44px;
      font-size: 17px;
    }
    .holds a {
      min-height: 44px;
      display: inline-flex;
      align-items: center;
    }
    .not-passed {
      background: var(--ink);
      color: var(--sheet);
      font-size: 22px;
      padding: 14px 18px;
      margin-bottom: 16px;
    }
    .note {
      margin: 4px 0;
    }
  `,
})
export class Return {
  protected readonly store = inject(SheetStore);
  protected readonly proved = computed(() => provedOf(this.store.repair()!));
  private readonly shop = inject(ShopStore);
  protected readonly names = STATION_NAMES;
  protected readonly sheet = computed(() => this.store.sheet()!);
  protected readonly route = computed(() => chosenRoute(this.sheet()));
  protected readonly stored = computed(() => chosenReturn(this.sheet()), SAME_VALUE);
  protected readonly holds = computed(() => this.store.repair()?.holds ?? []);
  private readonly version = computed(() => versionOfChoice(this.sheet(), choiceKey.returned));
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly form = new RecordForm<ReturnFields>({
    keptAs: () => `hand-over:${this.sheet().job.id}`,
    start: NOTHING_SAID,
    untouched: () => fieldsOf(this.stored()),
    check: (v) => this.checked(v),
    rests: { readAt: this.readAt },
    save: (v) => this.store.putChoice(choiceKey.returned, 'the hand-over', choiceFrom(v), '', true, this.readAt()),
  });
  protected readonly note = new RecordForm<{ readonly text: string }>({
    keptAs: () => `note:${this.sheet().job.id}`,
    start: { text: '' },
    check: (v) => check(noteInput, { station: 'return', text: v.text }),
    save: (v) => this.store.addNote({ station: 'return', text: v.text }),
    next: () => ({ text: '' }),
  });
  protected readonly otherHazards = computed(() => this.sheet().job.hazards.filter((h) => !LICENSED_HAZARDS.includes(h)));

  protected readonly play = playWords;
  protected readonly words = provedWords;

  protected both = (mm: number): string => {
    const unit = this.store.unit();
    return `${formatLength(mm, unit)} ${unit}, ${formatLength(mm, otherUnit(unit))} ${otherUnit(unit)}`;
  };

  protected who(id: string): string {
    return this.shop.personName(id);
  }

  constructor() {
    // What holds it back can change under what is written.
    effect(() => {
      this.holds();
      untracked(() => this.form.group.updateValueAndValidity());
    });
  }

  /** Whether something is held that this reason would let pass, or the reason is on record. */
  protected needs(field: 'unproved' | 'undone' | 'beforeUse'): boolean {
    return this.holds().some((h) => h.passedBy === field) || this.form.value()[field] !== '';
  }

  /** By its own shape, and by what still holds the job back, each at the field whose reason would let it pass. */
  private checked(fields: ReturnFields): Outcome<unknown> {
    const given = choiceFrom(fields);
    const shape = inValue(check(SCHEMA, { value: given, reason: '' }));
    const held = stillHeld(this.holds(), given).map((h): Problem => ({
      code: h.code,
      path: h.passedBy === 'beforeUse' && !fields.notPassed ? 'notPassed' : (h.passedBy ?? ''),
      message: h.message,
    }));
    const problems = [...(shape.ok ? [] : shape.problems), ...held];
    return problems.length ? { ok: false, problems } : good(fields);
  }
}
