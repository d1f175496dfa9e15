import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { RouterLink } from '@angular/router';
import { routes } from '@iron-patch/contract';
import { choiceKey, comebackOf, findings, type DoneBefore, type Problem } from '@iron-patch/core';
import { dayWords } from '@iron-patch/core/terms/calendar';
import { Api, SAME_VALUE, ShopClock, Told } from '../data';
import { TextField } from '../form';
import { SheetStore } from '../sheet-data';
import { putChecked } from './put-checked';

/** Jobs like this one that the shop did before: what was done, what it took, the lesson, whether it came back; and whether this is one of them. */
@Component({
  selector: 'ip-done-before',
  imports: [RouterLink, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (all().length || comeback()) {
      <section aria-label="Done before">
        <h2>Done before</h2>
        @if (machine(); as m) {
          <p><a class="all" routerLink="/ledger" [queryParams]="{ machineOf: m }">All that this machine has had done here</a></p>
        }
        @for (d of all(); track d.jobId) {
          <article [class.on]="d.jobId === comeback()?.ofJobId">
            <p class="head">
              <a [routerLink]="['/jobs', d.jobId]"
                ><b class="fig">{{ d.number }}</b> {{ d.title }}</a
              >
              <span class="quiet"
                >{{ d.customerName }}{{ d.machine ? ', ' + d.machine : '' }};
                {{ d.returnedAt ? 'handed back ' + dayOf(d.returnedAt) : 'still here' }}</span
              >
            </p>
            <p class="quiet">{{ d.because.join('; ') }}</p>
            @if (d.cause || d.route) {
              <p data-verbatim>{{ done(d) }}</p>
            }
            @if (took(d); as t) {
              <p class="quiet">{{ t }}</p>
            }
            @if (d.cameBack.length) {
              <p class="back">
                <b>Came back</b>
                @for (c of d.cameBack; track c.jobId) {
                  <a [routerLink]="['/jobs', c.jobId]"> as {{ c.number }}</a>
                }
              </p>
            }
            @if (d.lesson) {
              <p class="lesson" data-verbatim><b>Lesson:</b> {{ d.lesson }}</p>
            }
            @if (d.jobId === comeback()?.ofJobId) {
              <p class="back">
                <b>This is that one, come back:</b> {{ comeback()!.why }}
                <button type="button" class="plain" (click)="takeBack()">It is not</button>
              </p>
            } @else if (links() && d.returnedAt && !comeback()) {
              <button type="button" class="plain" [attr.aria-label]="'It is this one, come back: ' + d.number" (click)="ask(d.jobId)">
                It is this one, come back
              </button>
            }
            @if (asking() === d.jobId) {
              <form (submit)="$event.preventDefault(); save()">
                <ip-text
                  label="What did not hold"
                  name="comebackWhy"
                  path="why"
                  [problems]="problems()"
                  [value]="why()"
                  (valueChange)="why.set($event)"
                />
                <div class="row">
                  <button type="button" (click)="asking.set('')">Cancel</button>
                  <button type="submit">Say so</button>
                </div>
              </form>
            }
          </article>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    section {
      max-width: 900px;
    }
    article {
      border-left: 3px solid var(--hairline);
      padding: 4px 0 8px 14px;
      margin: 8px 0 12px;
    }
    article.on {
      border-color: var(--out);
    }
    p {
      margin: 0 0 3px;
    }
    .head {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 12px;
      align-items: baseline;
    }
    .head a {
      font-size: 18px;
      min-height: 32px;
      text-decoration: underline;
    }
    .all {
      text-decoration: underline;
    }
    .back b {
      color: var(--out);
    }
    .back a {
      text-decoration: underline;
    }
    .lesson {
      font-size: 17px;
    }
    form {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 6px 14px;
      align-items: end;
      max-width: 700px;
    }
  `,
})
export class DoneBeforePanel {
  private readonly store = inject(SheetStore);
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private readonly clock = inject(ShopClock);
  /** Offers to say that this job is one of them come back. */
  readonly links = input(false);
  protected readonly all = signal<readonly DoneBefore[]>([]);
  protected readonly comeback = computed(() => comebackOf(this.store.sheet() ?? { choices: [] }));
  protected readonly asking = signal('');
  protected readonly why = signal('');
  protected readonly problems = signal<readonly Problem[]>([]);
  /** The job, where it says which machine it is of. */
  protected readonly machine = computed(() => {
    const job = this.store.sheet()?.job;
    return job?.machine ? job.id : null;
  });
  /** What others are held against: where it changes they are looked for anew. */
  private readonly traits = computed(() => {
    const sheet = this.store.sheet();
    if (!sheet) return null;
    const { job, readings, choices } = sheet;
    const of = [job.title, job.machine, ...findings(sheet).map((f) => f.value.findingId)].join('\n');
    return {
      id: job.id,
      of,
      readings: readings.length,
      cause: choices.find((c) => c.key === choiceKey.route)?.version ?? 0,
      back: this.comeback()?.ofJobId,
    };
  }, SAME_VALUE);

  constructor() {
    effect(() => {
      const now = this.traits();
      if (now) untracked(() => void this.look(now.id));
    });
  }

  private async look(id: string): Promise<void> {
    const found = await this.api.get<readonly DoneBefore[]>(routes.alike(id)).catch(this.told.or(null));
    if (found && this.traits()?.id === id) this.all.set(found);
  }

  protected dayOf(at: string): string {
    return dayWords(this.clock.dayOf(at));
  }

  protected done({ cause, route }: DoneBefore): string {
    return [cause && `It was: ${cause}`, route && `Done: ${route}`]
      .filter(Boolean)
      .map((t) => t.replace(/\.?$/, '.'))
      .join(' ');
  }

  protected took({ estimatedMin, tookMin }: DoneBefore): string {
    if (tookMin === null) return '';
    const hours = (min: number): string => `${(min / 60).toFixed(1)} h`;
    return `Took ${hours(tookMin)}${estimatedMin === null ? '' : `, estimated at ${hours(estimatedMin)}`}.`;
  }

  protected ask(id: string): void {
    this.why.set('');
    this.problems.set([]);
    this.asking.set(id);
  }

  protected async save(): Promise<void> {
    const value = { ofJobId: this.asking(), why: this.why() };
    const { stored, problems } = await putChecked(this.store, choiceKey.comeback, 'that it came back', value);
    this.problems.set(problems);
    if (stored) this.asking.set('');
  }

  protected takeBack(): void {
    void this.store.putChoice(choiceKey.comeback, 'that it came back', null).catch(this.store.bug);
  }
}
