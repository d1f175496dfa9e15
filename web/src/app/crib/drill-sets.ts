import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { check, drillSetInput, routes, type DrillSetInput } from '@iron-patch/contract';
import { DRILL_KINDS, formatLength, toInchFraction, type DrillKind, type DrillSet, type LengthUnit, type Problem } from '@iron-patch/core';
import { Api, ApiProblem, keptDraft, newId, NO_ANSWER, ShopStore } from '../data';
import { ChooseField, DraftNote, LengthInput, type Option } from '../show';

const KIND_WORDS: Readonly<Record<DrillKind, string>> = {
  fraction: 'Inch fractions',
  number: 'Number drills',
  letter: 'Letter drills',
  metric: 'Metric drills',
};
const EMPTY: DrillSetInput = { kind: 'metric', fromMm: 1, toMm: 13, stepMm: 0.5, removed: false };
/** What a fresh row of a kind starts from. */
const STARTS: Readonly<Record<DrillKind, Pick<DrillSetInput, 'fromMm' | 'toMm' | 'stepMm'>>> = {
  fraction: { fromMm: 25.4 / 16, toMm: 12.7, stepMm: 25.4 / 64 },
  number: { fromMm: 0.0135 * 25.4, toMm: 0.228 * 25.4, stepMm: null },
  letter: { fromMm: 0.234 * 25.4, toMm: 0.413 * 25.4, stepMm: null },
  metric: { fromMm: 1, toMm: 13, stepMm: 0.5 },
};

/** The drills that hang in the crib: they are offered first wherever a drill is chosen. */
@Component({
  selector: 'ip-drill-sets',
  imports: [ChooseField, LengthInput, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h2>Drills</h2>
      <span class="quiet">Those that hang here are offered first wherever a drill is chosen.</span>
      <button type="button" [class.on]="adding()" (click)="adding.set(!adding())">Add drills</button>
    </header>
    @if (adding()) {
      <form (submit)="$event.preventDefault(); add()" novalidate>
        <ip-draft-note [kept]="kept" />
        <div class="grid4">
          <ip-choose label="Which drills" name="drillKind" [options]="kinds" [value]="draft().kind" (valueChange)="setKind($event)" />
          <ip-length
            label="Smallest"
            [mm]="draft().fromMm"
            [unit]="unitOf(draft().kind)"
            path="fromMm"
            [problems]="problems()"
            (mmChange)="set({ fromMm: $event ?? 0 })"
          />
          <ip-length
            label="Largest"
            [mm]="draft().toMm"
            [unit]="unitOf(draft().kind)"
            path="toMm"
            [problems]="problems()"
            (mmChange)="set({ toMm: $event ?? 0 })"
          />
          <ip-length
            label="Up by (empty: all that are sold)"
            [mm]="draft().stepMm"
            [unit]="unitOf(draft().kind)"
            [optional]="true"
            path="stepMm"
            [problems]="problems()"
            (mmChange)="set({ stepMm: $event })"
          />
        </div>
        <div class="row end">
          <button type="button" (click)="adding.set(false)">Leave it</button>
          <button type="submit" class="next" [disabled]="busy()">Save drills</button>
        </div>
      </form>
    }
    @if (message()) {
      <p class="said bad" role="alert">{{ message() }}</p>
    }
    <ul>
      @for (s of sets(); track s.id) {
        <li>
          <b>{{ words(s) }}</b>
          <button type="button" class="plain" [attr.aria-label]="'Take off ' + words(s)" [disabled]="busy()" (click)="takeOff(s)">
            Take off
          </button>
        </li>
      } @empty {
        <li class="quiet">None are listed: every drill that is sold counts alike.</li>
      }
    </ul>
  `,
  styles:
    ':host { display: block; margin-top: 28px; } header { display: flex; align-items: center; gap: 18px; } header button { margin-left: auto; } h2 { font-size: 20px; } ul { list-style: none; padding: 0; margin: 8px 0 0; } li { display: flex; align-items: center; gap: 18px; min-height: 48px; border-bottom: 1px solid var(--hairline); } li button { margin-left: auto; } li b { font-weight: 500; } form { padding: 12px 0; display: grid; gap: 8px; } .grid4 { display: grid; grid-template-columns: repeat(4, 1fr); gap: 10px 18px; } .end { justify-content: flex-end; }',
})
export class DrillSets {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  protected readonly kinds: readonly Option[] = DRILL_KINDS.map((k) => [k, KIND_WORDS[k]] as const);
  protected readonly sets = computed(() => this.shop.shop().drillSets);
  protected readonly adding = signal(false);
  protected readonly draft = signal<DrillSetInput>(EMPTY);
  protected readonly busy = signal(false);
  protected readonly message = signal('');
  private readonly attempted = signal(false);
  /** One id for what is being typed: pressed twice, it is stored once. */
  private readonly id = signal(newId());
  protected readonly kept = keptDraft(() => 'drills', { adding: this.adding, draft: this.draft, id: this.id });
  protected readonly problems = computed<readonly Problem[]>(() => {
    const checked = check(drillSetInput, this.draft());
    return checked.ok || !this.attempted() ? [] : checked.problems;
  });

  protected unitOf(kind: DrillKind): LengthUnit {
    return kind === 'metric' ? 'mm' : 'in';
  }

  /** `Metric drills 1 to 13 mm, by 0.5 mm`. */
  protected words({ kind, fromMm, toMm, stepMm }: DrillSet): string {
    const unit = this.unitOf(kind);
    const show = (mm: number): string => (kind === 'fraction' ? toInchFraction(mm).text : String(Number(formatLength(mm, unit, 4))));
    return `${KIND_WORDS[kind]} ${show(fromMm)} to ${show(toMm)} ${unit}, ${stepMm === null ? 'all that are sold' : `by ${show(stepMm)} ${unit}`}`;
  }

  protected set(change: Partial<DrillSetInput>): void {
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected setKind(kind: string): void {
    this.set({ kind: kind as DrillKind, ...STARTS[kind as DrillKind] });
  }

  protected async add(): Promise<void> {
    this.attempted.set(true);
    if (this.problems().length) return;
    if (!(await this.store(this.id(), this.draft(), 0))) return;
    this.id.set(newId());
    this.draft.set(EMPTY);
    this.attempted.set(false);
    this.adding.set(false);
    this.kept.done();
  }

  protected async takeOff({ id, version, kind, fromMm, toMm, stepMm }: DrillSet): Promise<void> {
    await this.store(id, { kind, fromMm, toMm, stepMm, removed: true }, version);
  }

  private async store(id: string, input: DrillSetInput, version: number): Promise<boolean> {
    this.busy.set(true);
    this.message.set('');
    try {
      await this.api.put(routes.drillSet(id), input, version);
      return true;
    } catch (e) {
      this.message.set(
        e instanceof ApiProblem
          ? e.details.status === 412
            ? 'Somebody else changed these drills in the meantime: look again.'
            : `${e.details.title} ${e.details.detail}`
          : NO_ANSWER,
      );
      return false;
    } finally {
      await this.shop.load().catch(() => this.message.set('The server does not answer: the list may be old.'));
      this.busy.set(false);
    }
  }
}
