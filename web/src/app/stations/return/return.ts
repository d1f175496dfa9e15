import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import {
  choiceKey,
  chosenReturn,
  chosenRoute,
  provedOf,
  provedWords,
  formatLength,
  LICENSED_HAZARDS,
  otherUnit,
  spanWords,
  STATION_NAMES,
  stillHeld,
  versionOfChoice,
  type ReturnChoice,
  inSentence,
} from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { NzInputModule } from 'ng-zorro-antd/input';
import { keptDraft, SAME_VALUE, ShopStore, ShopTimePipe } from '../../data';
import { May } from '../../sign-in';
import { SheetStore } from '../../sheet-data';
import { StateMark } from '../../mark';
import { DraftNote } from '../../form';
import { CautionNote } from '../../show';
import { LicensedMatters } from '../licensed-matters';
import { GoesWithIt } from './goes-with-it';
import { ReturnPapers } from './papers';
import { TimeSpent } from './time-spent';

const NOTHING_SAID: ReturnChoice = { lesson: '', stillToDo: '', outcome: 'passed', beforeUse: '', unproved: '', undone: '' };

/** The hand-over: the report with measured sizes, what the customer still does, and one lesson. */
@Component({
  selector: 'ip-return',
  imports: [
    May,
    FormsModule,
    NzCheckboxModule,
    NzInputModule,
    CautionNote,
    LicensedMatters,
    StateMark,
    ShopTimePipe,
    RouterLink,
    DraftNote,
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
              <tr>
                <th scope="row">Play in {{ inSentence(x.mate.hole.place.name) }}</th>
                <td class="fig">{{ span(both(x.tight.value), both(x.loose.value)) }}</td>
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
    <form (ngSubmit)="save()">
      <ip-draft-note [kept]="kept" />
      <label
        >What the customer still does: gasket, oil, run-in
        <textarea
          nz-input
          rows="2"
          name="todo"
          maxlength="4000"
          [ngModel]="draft().stillToDo"
          (ngModelChange)="more({ stillToDo: $event })"
        ></textarea>
      </label>
      <label
        >One lesson for the next repair of the same thing
        <textarea
          nz-input
          rows="2"
          name="lesson"
          maxlength="4000"
          [ngModel]="draft().lesson"
          (ngModelChange)="more({ lesson: $event })"
        ></textarea>
      </label>
      <ip-goes-with-it [of]="draft()" (changed)="more($event)" />
      @if (needs('unproved')) {
        <label
          >Why it goes out with what is not proved (printed on the report)
          <textarea
            nz-input
            rows="2"
            name="unproved"
            maxlength="4000"
            [ngModel]="draft().unproved"
            (ngModelChange)="more({ unproved: $event })"
          ></textarea>
        </label>
      }
      @if (needs('undone')) {
        <label
          >Why what was planned is left (printed on the report)
          <textarea
            nz-input
            rows="2"
            name="undone"
            maxlength="4000"
            [ngModel]="draft().undone"
            (ngModelChange)="more({ undone: $event })"
          ></textarea>
        </label>
      }
      @if (needs('beforeUse') || draft().outcome === 'not-passed') {
        <label nz-checkbox name="notPassed" [ngModel]="draft().outcome === 'not-passed'" (ngModelChange)="pass(!$event)"
          >It goes out not passed: not to be used as it is</label
        >
      }
      @if (draft().outcome === 'not-passed') {
        <label
          >What must be done before it is used, and by whom (large on the report and the tag)
          <textarea
            nz-input
            rows="2"
            name="beforeUse"
            maxlength="600"
            [ngModel]="draft().beforeUse"
            (ngModelChange)="more({ beforeUse: $event })"
          ></textarea>
        </label>
      }
      @if (problems().length) {
        <div role="alert">
          @for (p of problems(); track $index) {
            <p class="problem">{{ p }}</p>
          }
        </div>
      }
      <button type="submit" class="next" ipMay="release">
        {{ stored() ? 'Save' : draft().outcome === 'not-passed' ? 'Hand it back, not passed' : 'Hand it back' }}
      </button>
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
      <form class="row" (ngSubmit)="addNote()">
        <input
          nz-input
          class="grow"
          name="note"
          aria-label="New note"
          autocomplete="off"
          maxlength="4000"
          [ngModel]="note()"
          (ngModelChange)="note.set($event)"
        />
        <button type="submit" [disabled]="!note().trim()">Add note</button>
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
    form:not(.row) {
      display: grid;
      gap: 10px;
      justify-items: start;
      margin-bottom: 20px;
    }
    form label {
      width: 100%;
      font-size: 15px;
    }
    .grow {
      flex: 1;
    }
    .note {
      margin: 4px 0;
    }
  `,
})
export class Return {
  protected readonly store = inject(SheetStore);
  protected readonly proved = computed(() => provedOf(this.store.repair()!));
  protected readonly inSentence = inSentence;
  private readonly shop = inject(ShopStore);
  protected readonly names = STATION_NAMES;
  protected readonly sheet = computed(() => this.store.sheet()!);
  protected readonly route = computed(() => chosenRoute(this.sheet()));
  protected readonly stored = computed(() => chosenReturn(this.sheet()), SAME_VALUE);
  protected readonly draft = linkedSignal<ReturnChoice>(() => this.stored() ?? NOTHING_SAID);
  protected readonly note = signal('');
  private readonly version = computed(() => versionOfChoice(this.sheet(), choiceKey.returned));
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly kept = keptDraft(
    () => `hand-over:${this.sheet().job.id}`,
    { draft: this.draft, note: this.note },
    { untouched: () => ({ draft: this.stored() ?? NOTHING_SAID, note: '' }), rests: { readAt: this.readAt } },
  );
  protected readonly problems = signal<readonly string[]>([]);
  protected readonly holds = computed(() => this.store.repair()?.holds ?? []);
  protected readonly otherHazards = computed(() => this.sheet().job.hazards.filter((h) => !LICENSED_HAZARDS.includes(h)));

  protected readonly span = spanWords;
  protected readonly words = provedWords;

  protected both = (mm: number): string => {
    const unit = this.store.unit();
    return `${formatLength(mm, unit)} ${unit}, ${formatLength(mm, otherUnit(unit))} ${otherUnit(unit)}`;
  };

  protected who(id: string): string {
    return this.shop.personName(id);
  }

  /** Whether something is held that this reason would let pass, or the reason is on record. */
  protected needs(field: 'unproved' | 'undone' | 'beforeUse'): boolean {
    return this.holds().some((h) => h.passedBy === field) || this.draft()[field] !== '';
  }

  protected more(what: Partial<ReturnChoice>): void {
    this.draft.update((d) => ({ ...d, ...what }));
  }

  protected pass(passed: boolean): void {
    this.draft.update((d) => ({ ...d, outcome: passed ? 'passed' : 'not-passed' }));
  }

  protected save(): void {
    const given = this.draft();
    const lesson = given.lesson.trim() ? [] : ['Write one lesson: it is what the next repair of this thing starts from.'];
    this.problems.set([...lesson, ...stillHeld(this.holds(), given).map((h) => h.message)]);
    if (this.problems().length) return;
    void this.store
      .putChoice(choiceKey.returned, 'the hand-over', given, '', true, this.readAt())
      .then((saved) => saved && this.kept.done())
      .catch(this.store.bug);
  }

  protected async addNote(): Promise<void> {
    const added = await this.store.addNote({ station: 'return', text: this.note() }).catch(this.store.or(null));
    if (added) this.note.set('');
  }
}
