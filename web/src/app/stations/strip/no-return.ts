import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { Router } from '@angular/router';
import { check, choiceInput } from '@iron-patch/contract';
import {
  ACT_KINDS,
  ACTS,
  atStake,
  choiceKey,
  countOf,
  type ActChoice,
  type AtStake,
  type PointOfNoReturn,
  type Verdict,
  inSentence,
} from '@iron-patch/core';
import { keptDraft, newId } from '../../data';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { ChooseField, DraftNote, FormFrame, inValue, RecordForm, TextField, type Option } from '../../form';

const STATE_WORDS: Readonly<Record<PointOfNoReturn['state'], string>> = {
  held: 'Not yet: record these first',
  overridden: 'Goes ahead, with a reason',
  clear: 'Everything is on record: go ahead',
  done: 'Done',
};
const STATE_MARK: Readonly<Record<PointOfNoReturn['state'], Verdict>> = { held: 'out', overridden: 'close', clear: 'fits', done: 'fits' };

/** One more act as its form has it. */
type ActFields = Pick<ActChoice, 'kind' | 'componentId' | 'placeId' | 'where'>;
const NOTHING: ActFields = { kind: 'saw', componentId: '', placeId: null, where: '' };
const SCHEMA = choiceInput(choiceKey.act('any'))!;
const actOf = (fields: ActFields): ActChoice => ({ ...fields, where: fields.where.trim(), state: 'planned', override: '', removed: false });

/** Acts that destroy evidence: what each takes with it, and what of that must still be measured before it is done. */
@Component({
  selector: 'ip-no-return',
  imports: [ChooseField, DraftNote, FormFrame, ReactiveFormsModule, StateMark, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (p of points(); track p.act.id) {
      <article [class.held]="p.state === 'held'">
        <header>
          <ip-state [state]="marks[p.state]" [size]="20" />
          <h2>{{ acts[p.act.value.kind].name }}: {{ p.componentName }}</h2>
          <span class="quiet">{{ p.act.value.where }}</span>
          <b class="push">{{ words[p.state] }}</b>
        </header>
        <p class="quiet">Takes with it {{ acts[p.act.value.kind].destroys }}. {{ acts[p.act.value.kind].caution }}</p>
        <ul>
          @for (s of p.atStake; track s.what) {
            <li>
              <ip-state [state]="s.onRecord ? 'fits' : 'unknown'" [size]="15" />
              <span>{{ s.what }}</span>
              @if (!s.onRecord && s.placeId && p.state !== 'done') {
                <button type="button" class="plain" [attr.aria-label]="'Measure it: ' + s.what" (click)="measure(s)">Measure it</button>
              }
            </li>
          }
        </ul>
        @if (p.act.value.override) {
          <p class="said">Goes ahead because: {{ p.act.value.override }}</p>
        }
        @if (p.state !== 'done') {
          <div class="row">
            @if (p.state === 'held') {
              <label
                >Why it goes ahead all the same (kept)
                <input
                  class="text"
                  [attr.name]="'override-' + p.act.id"
                  maxlength="200"
                  [value]="reasons()[p.act.id] ?? ''"
                  (input)="reason(p, $event)"
                />
              </label>
              <button type="button" [disabled]="!reasons()[p.act.id]?.trim()" (click)="override(p)">Go ahead without</button>
            }
            <span class="push"></span>
            <button type="button" class="plain" (click)="put(p, { removed: true })">Remove from the plan</button>
            <button type="button" class="next" [disabled]="p.state === 'held'" (click)="put(p, { state: 'done' })">It is done</button>
          </div>
        }
      </article>
    }
    <ip-draft-note [kept]="kept" />
    <form ip-form [formGroup]="form.group" [of]="form" save="Put it on the plan" [closable]="false" [next]="false">
      <h2>Plan an act that cannot be undone</h2>
      <div class="grid4">
        <ip-choose label="What is done" name="actKind" [options]="kinds" formControlName="kind" />
        <ip-choose label="To which component" name="actComponent" [options]="components()" formControlName="componentId" />
        <ip-choose label="Which place of it" name="actPlace" [options]="places()" [orNull]="true" formControlName="placeId" />
        <ip-text label="Where" name="actWhere" formControlName="where" />
      </div>
      @if (preview().length) {
        <p class="quiet">{{ countOf(preview().length, 'thing') }} would be lost that are not on record yet.</p>
      }
    </form>
  `,
  styles: `
    :host {
      display: grid;
      gap: 16px;
    }
    article {
      border-left: 4px solid var(--hairline);
      padding: 2px 0 6px 14px;
    }
    article.held {
      border-color: var(--out);
    }
    header {
      display: flex;
      gap: 12px;
      align-items: center;
      min-height: 40px;
    }
    .push {
      margin-left: auto;
    }
    li {
      display: flex;
      gap: 10px;
      align-items: center;
      min-height: 32px;
    }
    label {
      font-size: 15px;
      flex: 1;
      max-width: 420px;
    }
    .row {
      align-items: flex-end;
      margin-top: 6px;
    }
  `,
})
export class NoReturn {
  protected readonly store = inject(SheetStore);
  private readonly router = inject(Router);
  /** The component that somebody means to do something to; empty for the first. */
  readonly meant = input('');
  protected readonly countOf = countOf;
  protected readonly acts = ACTS;
  protected readonly words = STATE_WORDS;
  protected readonly marks = STATE_MARK;
  protected readonly kinds: readonly Option[] = ACT_KINDS.map((k) => [k, ACTS[k].name] as const);
  protected readonly points = computed(() => this.store.repair()?.pointsOfNoReturn ?? []);
  protected readonly components = computed<readonly Option[]>(() =>
    (this.store.sheet()?.components ?? []).map((c) => [c.id, c.name] as const),
  );
  private readonly id = signal(newId());
  /** The component that is meant, else the first. */
  private readonly start = computed((): ActFields => ({ ...NOTHING, componentId: this.meant() || (this.components()[0]?.[0] ?? '') }));
  protected readonly form = new RecordForm<ActFields>({
    keptAs: () => `act:${this.store.sheet()!.job.id}`,
    start: NOTHING,
    untouched: this.start,
    check: (v) => inValue(check(SCHEMA, { value: actOf(v), reason: '' })),
    rests: { id: this.id },
    save: (v) => this.store.putChoice(choiceKey.act(this.id()), 'the plan', actOf(v)),
    next: () => {
      this.id.set(newId());
      return this.start();
    },
  });
  protected readonly places = computed<readonly Option[]>(() => [
    ['', 'All of it'],
    ...(this.store.sheet()?.places ?? [])
      .filter((f) => f.componentId === this.form.value().componentId)
      .map((f) => [f.id, f.name] as const),
  ]);
  protected readonly reasons = signal<Readonly<Record<string, string>>>({});
  /** Reasons as they are being typed. */
  protected readonly kept = keptDraft(() => `acts:${this.store.sheet()!.job.id}`, { reasons: this.reasons });
  protected readonly preview = computed<AtStake[]>(() => {
    const [sheet, repair] = [this.store.shown(), this.store.repair()];
    const { componentId, placeId } = this.form.value();
    return sheet && repair && componentId ? atStake(sheet, { componentId, placeId }, repair.places).filter((s) => !s.onRecord) : [];
  });

  constructor() {
    // Who came here to saw something means that, whatever stood here.
    effect(() => {
      const meant = this.meant();
      if (meant) untracked(() => this.form.set({ componentId: meant }));
    });
    // A place is one of its component: with another component it is all of that.
    let before = '';
    this.form.group.controls['componentId']!.valueChanges.pipe(takeUntilDestroyed()).subscribe((now: string) => {
      if (before && now !== before) this.form.set({ placeId: null });
      before = now;
    });
  }

  protected reason(p: PointOfNoReturn, event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.reasons.update((all) => ({ ...all, [p.act.id]: text }));
  }

  protected override(p: PointOfNoReturn): void {
    this.put(p, { override: this.reasons()[p.act.id]!.trim() });
  }

  protected put(p: PointOfNoReturn, change: Partial<ActChoice>): void {
    const what = `${ACTS[p.act.value.kind].name.toLowerCase()}, ${inSentence(p.componentName)}`;
    void this.store.putChoice(p.act.key, what, { ...p.act.value, ...change }).catch(this.store.bug);
  }

  protected measure(s: AtStake): void {
    this.store.select({ spanId: s.placeId, stationMm: null, clockDeg: null, quantity: null });
    void this.router.navigate(['/jobs', this.store.sheet()!.job.id, 'measure']);
  }
}
