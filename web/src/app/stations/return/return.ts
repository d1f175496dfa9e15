import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { routes } from '@iron-patch/contract';
import { choiceKey, chosenReturn, chosenRoute, formatLength, otherUnit, STATION_NAMES } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { ShopStore } from '../../data';
import { SheetStore } from '../../sheet-data';
import { StateMark } from '../../mark';
import { CautionNote } from '../../show';

/** The hand-over: the report with measured sizes, what the customer still does, and one lesson. */
@Component({
  selector: 'ip-return',
  imports: [FormsModule, NzInputModule, CautionNote, StateMark, DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (s of open(); track s.id) {
      <p class="said">
        <ip-state [state]="s.state" />&nbsp;<b>{{ names[s.id] }}</b> still waits for {{ s.waitsFor }}.
      </p>
    }
    <section>
      <h2>The report</h2>
      <table class="plain">
        <tbody>
          <tr>
            <th scope="row">Brought</th>
            <td>{{ sheet().job.complaint || 'nothing written down' }}</td>
          </tr>
          <tr>
            <th scope="row">Found</th>
            <td>{{ route()?.cause ?? 'not on record yet' }}</td>
          </tr>
          <tr>
            <th scope="row">Done</th>
            <td>{{ route()?.route ?? 'not on record yet' }}</td>
          </tr>
          @for (p of store.repair()!.proofs; track p.segment.segment.id) {
            <tr>
              <th scope="row">{{ p.segment.segment.name }}</th>
              <td class="fig">{{ p.measured ? both(p.measured.value) : 'not measured' }} <ip-state [state]="p.verdict" /></td>
            </tr>
            @for (x of p.play; track x.mate.hole.feature.id) {
              <tr>
                <th scope="row">Play in {{ x.mate.hole.feature.name.toLowerCase() }}</th>
                <td class="fig">{{ both(x.tight.value) }} to {{ both(x.loose.value) }}</td>
              </tr>
            }
          }
        </tbody>
      </table>
      <p class="papers no-print">
        <a [href]="report()" target="_blank">Report for the customer, PDF</a><a [href]="slip()" target="_blank">Job slip, PDF</a
        ><a [href]="csv()">Readings as CSV</a>
      </p>
      @for (h of sheet().job.hazards; track h) {
        <ip-caution [hazard]="h" />
      }
    </section>
    <form (ngSubmit)="save()">
      <label
        >What the customer still does: gasket, oil, run-in
        <textarea nz-input rows="2" name="todo" maxlength="4000" [ngModel]="todo()" (ngModelChange)="todo.set($event)"></textarea>
      </label>
      <label
        >One lesson for the next repair of the same thing
        <textarea nz-input rows="2" name="lesson" maxlength="4000" [ngModel]="lesson()" (ngModelChange)="lesson.set($event)"></textarea>
      </label>
      @if (problem()) {
        <p class="problem" role="alert">{{ problem() }}</p>
      }
      <button type="submit" class="next">{{ stored() ? 'Save' : 'Hand it back' }}</button>
    </form>
    <section>
      <h2>Notes</h2>
      @for (n of sheet().notes; track n.id) {
        <p class="note">
          {{ n.text }} <span class="quiet">{{ who(n.personId) }}, {{ n.at | date: 'd MMM HH:mm' }}</span>
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
    .said {
      margin-bottom: 8px;
    }
    .papers {
      display: flex;
      gap: 22px;
      margin: 12px 0;
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
  private readonly shop = inject(ShopStore);
  protected readonly names = STATION_NAMES;
  protected readonly sheet = computed(() => this.store.sheet()!);
  protected readonly route = computed(() => chosenRoute(this.sheet()));
  protected readonly stored = computed(() => chosenReturn(this.sheet()));
  protected readonly todo = linkedSignal(() => this.stored()?.stillToDo ?? '');
  protected readonly lesson = linkedSignal(() => this.stored()?.lesson ?? '');
  protected readonly note = signal('');
  protected readonly problem = signal('');
  protected readonly open = computed(() => (this.store.repair()?.stations ?? []).filter((s) => s.state !== 'done' && s.id !== 'return'));
  protected readonly report = computed(() => routes.report(this.sheet().job.id));
  protected readonly slip = computed(() => routes.slip(this.sheet().job.id));
  protected readonly csv = computed(() => routes.readingsCsv(this.sheet().job.id));

  protected both(mm: number): string {
    const unit = this.store.unit();
    return `${formatLength(mm, unit)} ${unit}, ${formatLength(mm, otherUnit(unit))} ${otherUnit(unit)}`;
  }

  protected who(id: string): string {
    return this.shop.shop().people.find((p) => p.id === id)?.name ?? '';
  }

  protected save(): void {
    if (!this.lesson().trim()) return this.problem.set('Write one lesson: it is what the next repair of this thing starts from.');
    this.problem.set('');
    void this.store
      .putChoice(choiceKey.returned, 'the hand-over', { lesson: this.lesson(), stillToDo: this.todo() })
      .catch(() => undefined);
  }

  protected async addNote(): Promise<void> {
    const added = await this.store.addNote({ station: 'return', text: this.note() }).catch(() => null);
    if (added) this.note.set('');
  }
}
