import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  capital,
  choiceKey,
  formatLength,
  type Problem,
  type TrialBounds,
  type Trial,
  type TrialChoice,
  type TrialFeel,
  type TriedFinding,
  trialWords,
} from '@iron-patch/core';
import { keptDraft, newId, ShopStore, ShopTimePipe } from '../data';
import { ChooseField, DraftNote, LengthInput, signedNumber, TextField, type Option } from '../form';
import { SheetStore } from '../sheet-data';
import { putChecked } from './put-checked';

const FEELS: readonly (readonly [TrialFeel, string])[] = [
  ['will-not-enter', 'Does not go in'],
  ['binds', 'Goes in and binds'],
  ['slides', 'Slides, no shake'],
  ['shakes', 'Slides and shakes'],
];
const FACES: readonly Option[] = [
  ['start', 'the zero face'],
  ['end', 'the far face'],
];
/** No measured place: the nut, or another part. */
const OTHER = '';

/** Tried with its mate: how it went, and what that says of the size. */
@Component({
  selector: 'ip-tried-fit',
  imports: [ChooseField, DraftNote, LengthInput, ShopTimePipe, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div aria-live="polite">
      @if (tried().against; as a) {
        <p class="said"><b>Does not agree.</b> {{ a }}</p>
      }
      @if (!tried().against && tried().bound && !tried().sentences.includes(tried().bound!)) {
        <p class="said">{{ tried().bound }}</p>
      }
      @if (tried().canBe; as c) {
        <p class="can">
          <span class="label">Can be</span> <b class="fig">{{ ends(c) }}</b> {{ store.unit() }}
        </p>
      }
      @for (s of tried().sentences; track s) {
        <p>{{ s }}</p>
      }
    </div>
    @if (tried().trials.length) {
      <ul>
        @for (t of tried().trials; track t.id) {
          <li>
            {{ words(t) }}<span class="quiet">{{ told(t) }}, {{ t.triedAt | shopTime }}</span>
            @if (t.remark) {
              <span data-verbatim>{{ t.remark }}</span>
            }
            <button type="button" class="plain" [attr.aria-label]="'Withdraw: ' + words(t)" (click)="withdraw(t)">Withdraw</button>
          </li>
        }
      </ul>
    }
    <ip-draft-note [kept]="kept" />
    @if (shown()) {
      <div class="form" role="group" [attr.aria-label]="tried().nut ? 'Tried with the nut' : 'Tried with its mate'">
        <div class="feels" role="group" aria-label="How it went">
          @for (f of feels; track f[0]) {
            <button type="button" [class.on]="feel() === f[0]" [attr.aria-pressed]="feel() === f[0]" (click)="feel.set(f[0])">
              {{ f[1] }}
            </button>
          }
        </div>
        <div class="row">
          @if (tried().mates.length) {
            <ip-choose label="Tried in" name="mate" [options]="places()" [value]="mate()" (valueChange)="picked.set($event)" />
          }
          @if (feel() === 'binds') {
            <ip-length
              label="How far it went in"
              path="wentInMm"
              [problems]="problems()"
              [mm]="wentIn()"
              [unit]="store.unit()"
              [allowZero]="false"
              (mmChange)="wentIn.set($event)"
            />
          }
          @if (mate()) {
            <ip-choose label="In from" name="from" [options]="faces" [value]="from()" (valueChange)="from.set(face($event))" />
            <ip-text
              label="Part, °C, if it is warm"
              name="part-c"
              inputmode="decimal"
              path="partTempC"
              [problems]="problems()"
              [value]="warm()"
              (valueChange)="warm.set($event)"
            />
          }
          <ip-text class="remark" label="Remark" name="tried-remark" [value]="remark()" (valueChange)="remark.set($event)" />
        </div>
        @for (p of elsewhere(); track p.code) {
          <p class="bad" role="alert">{{ p.message }}</p>
        }
        <div class="row">
          <button type="button" class="next" [disabled]="!feel()" (click)="keep()">Keep it</button>
          <button type="button" class="plain" (click)="close()">Close</button>
        </div>
      </div>
    } @else {
      <button type="button" class="plain" (click)="begin()">
        {{ tried().nut ? 'Tried with the nut' : 'Tried with its mate' }}
      </button>
    }
  `,
  styles: `
    p {
      margin: 4px 0;
      font-size: 17px;
    }
    .can .fig {
      font-size: 26px;
    }
    .label {
      font-size: 16px;
    }
    ul {
      list-style: none;
      padding: 0;
      margin: 4px 0;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      align-items: center;
      font-size: 17px;
      min-height: 44px;
    }
    .feels {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 6px 0 10px;
    }
    .feels button {
      min-height: 52px;
      font-size: 17px;
    }
    .feels .on {
      background: var(--blue-soft);
      border-bottom-width: 4px;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      align-items: start;
    }
    .row + .row {
      margin-top: 8px;
    }
    .remark {
      flex: 1 1 260px;
    }
    .bad {
      color: var(--out);
    }
  `,
})
export class TriedFit {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  readonly tried = input.required<TriedFinding>();
  /** What was tried: a surface, or a thread over its wires. */
  readonly segmentId = input.required<string>();
  protected readonly feels = FEELS;
  protected readonly faces = FACES;
  protected readonly open = signal(false);
  protected readonly feel = signal<TrialFeel | null>(null);
  /** What was begun and left comes back opened. */
  protected readonly shown = computed(() => this.open() || this.feel() !== null);
  protected readonly picked = signal<string | null>(null);
  protected readonly wentIn = signal<number | null>(null);
  protected readonly from = signal<TrialChoice['from']>('start');
  protected readonly warm = signal('');
  protected readonly remark = signal('');
  protected readonly kept = keptDraft(
    () => `trial:${this.store.sheet()!.job.id}:${this.store.atPiece().itemId}:${this.store.atPiece().piece}:${this.segmentId()}`,
    { feel: this.feel, wentIn: this.wentIn, warm: this.warm, remark: this.remark },
  );
  protected readonly problems = signal<readonly Problem[]>([]);
  /** What is said beside no field of its own. */
  protected readonly elsewhere = computed(() => this.problems().filter((p) => p.path !== 'wentInMm' && p.path !== 'partTempC'));
  protected readonly mate = computed(() => this.picked() ?? this.tried().mates[0]?.place.id ?? OTHER);
  protected readonly places = computed((): readonly Option[] => [
    ...this.tried().mates.map((m): Option => [m.place.id, m.place.name]),
    [OTHER, 'another part'],
  ]);

  protected face = (value: string): TrialChoice['from'] => (value === 'end' ? 'end' : 'start');

  protected words(t: Trial): string {
    const said = trialWords(t, this.store.unit());
    const where = this.tried().mates.find((m) => m.place.id === t.placeId)?.place.name;
    return `${capital(said)}${where ? ` (${where})` : ''}`;
  }

  protected told(t: Trial): string {
    const who = this.shop.personName(t.personId);
    return [who, t.partTempC === null ? '' : `at ${t.partTempC} °C`].filter(Boolean).join(', ');
  }

  protected ends({ atLeastMm, atMostMm }: TrialBounds): string {
    const show = (mm: number): string => formatLength(mm, this.store.unit());
    if (atLeastMm !== null && atMostMm !== null) return `${show(atLeastMm)} to ${show(atMostMm)}`;
    return atLeastMm !== null ? `${show(atLeastMm)} or more` : `${show(atMostMm!)} or less`;
  }

  protected close(): void {
    this.feel.set(null);
    this.open.set(false);
  }

  protected begin(): void {
    this.problems.set([]);
    this.open.set(true);
  }

  protected keep(): void {
    const { itemId, piece } = this.store.atPiece();
    const feel = this.feel();
    if (!feel || itemId === null) return;
    const value: TrialChoice = {
      ...{ itemId, piece, segmentId: this.segmentId(), placeId: this.mate() || null, feel },
      ...{
        wentInMm: feel === 'binds' ? this.wentIn() : null,
        from: this.from(),
        partTempC: this.mate() && this.warm().trim() ? signedNumber(this.warm()) : null,
      },
      ...{ remark: this.remark().trim(), triedAt: new Date().toISOString(), removed: false },
    };
    void this.put(newId(), value).then((stored) => {
      if (!stored) return;
      this.wentIn.set(null);
      for (const s of [this.remark, this.warm]) s.set('');
      this.close();
    });
  }

  protected withdraw({ id, personId: _, ...value }: Trial): void {
    void this.put(id, { ...value, removed: true });
  }

  private async put(id: string, value: TrialChoice): Promise<boolean> {
    const { stored, problems } = await putChecked(this.store, choiceKey.trial(id), 'what was tried', value);
    this.problems.set(problems);
    return stored;
  }
}
