import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { Router } from '@angular/router';
import {
  ACT_KINDS,
  ACTS,
  atStake,
  choiceKey,
  type ActChoice,
  type ActKind,
  type AtStake,
  type PointOfNoReturn,
  type Verdict,
  inSentence,
} from '@iron-patch/core';
import { keptDraft, newId } from '../../data';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { ChooseField, DraftNote, type Option, TextField } from '../../form';

const STATE_WORDS: Readonly<Record<PointOfNoReturn['state'], string>> = {
  held: 'Not yet: record these first',
  overridden: 'Goes ahead, with a reason',
  clear: 'Everything is on record: go ahead',
  done: 'Done',
};
const STATE_MARK: Readonly<Record<PointOfNoReturn['state'], Verdict>> = { held: 'out', overridden: 'close', clear: 'fits', done: 'fits' };

/** Acts that destroy evidence: what each takes with it, and what of that must still be measured before it is done. */
@Component({
  selector: 'ip-no-return',
  imports: [ChooseField, TextField, StateMark, DraftNote],
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
    <form (submit)="$event.preventDefault(); plan()">
      <h2>Plan an act that cannot be undone</h2>
      <div class="grid4">
        <ip-choose label="What is done" name="actKind" [options]="kinds" [value]="kind()" (valueChange)="setKind($event)" />
        <ip-choose label="To which component" name="actComponent" [options]="components()" [value]="to()" (valueChange)="to.set($event)" />
        <ip-choose label="Which place of it" name="actPlace" [options]="places()" [value]="place()" (valueChange)="place.set($event)" />
        <ip-text label="Where" name="actWhere" [value]="where()" (valueChange)="where.set($event)" />
      </div>
      @if (preview().length) {
        <p class="quiet">{{ preview().length }} thing{{ preview().length > 1 ? 's' : '' }} would be lost that are not on record yet.</p>
      }
      <button type="submit" [disabled]="!to()">Put it on the plan</button>
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
    .grid4 {
      display: grid;
      grid-template-columns: repeat(4, 1fr);
      gap: 10px 18px;
      margin: 6px 0 10px;
    }
  `,
})
export class NoReturn {
  protected readonly store = inject(SheetStore);
  private readonly router = inject(Router);
  /** The component that somebody means to do something to; empty for the first. */
  readonly meant = input('');
  protected readonly acts = ACTS;
  protected readonly words = STATE_WORDS;
  protected readonly marks = STATE_MARK;
  protected readonly kinds: readonly Option[] = ACT_KINDS.map((k) => [k, ACTS[k].name] as const);
  protected readonly points = computed(() => this.store.repair()?.pointsOfNoReturn ?? []);
  protected readonly components = computed<readonly Option[]>(() =>
    (this.store.sheet()?.components ?? []).map((c) => [c.id, c.name] as const),
  );
  protected readonly kind = signal<ActKind>('saw');
  protected readonly to = linkedSignal(() => this.meant() || (this.components()[0]?.[0] ?? ''));
  protected readonly places = computed<readonly Option[]>(() => [
    ['', 'All of it'],
    ...(this.store.sheet()?.places ?? []).filter((f) => f.componentId === this.to()).map((f) => [f.id, f.name] as const),
  ]);
  protected readonly place = linkedSignal({ source: this.to, computation: () => '' });
  protected readonly where = signal('');
  protected readonly reasons = signal<Readonly<Record<string, string>>>({});
  protected readonly kept = keptDraft(() => `acts:${this.store.sheet()!.job.id}`, { where: this.where, reasons: this.reasons });
  protected readonly preview = computed<AtStake[]>(() => {
    const [sheet, repair] = [this.store.shown(), this.store.repair()];
    const about = { componentId: this.to(), placeId: this.place() || null };
    return sheet && repair && this.to() ? atStake(sheet, about, repair.places).filter((s) => !s.onRecord) : [];
  });

  protected setKind(kind: string): void {
    this.kind.set(kind as ActKind);
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

  protected plan(): void {
    const act: ActChoice = {
      componentId: this.to(),
      placeId: this.place() || null,
      kind: this.kind(),
      where: this.where().trim(),
      state: 'planned',
      override: '',
      removed: false,
    };
    void this.store
      .putChoice(choiceKey.act(newId()), 'the plan', act)
      .then(() => {
        this.where.set('');
        this.kept.done();
      })
      .catch(this.store.bug);
  }

  protected measure(s: AtStake): void {
    this.store.select({ spanId: s.placeId, stationMm: null, clockDeg: null, quantity: null });
    void this.router.navigate(['/jobs', this.store.sheet()!.job.id, 'measure']);
  }
}
