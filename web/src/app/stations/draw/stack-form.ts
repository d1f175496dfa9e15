import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import {
  asksOf,
  choiceKey,
  chosenStacks,
  formatWithUnit,
  likelyWalls,
  movedTo,
  parseStack,
  shoulderMoved,
  stackFaces,
  stackFinding,
  stackLines,
  versionOfChoice,
  type AxialStack,
  type StackFace,
} from '@iron-patch/core';
import { ChooseField, FormFrame, inValue, LengthInput, RecordForm, TextField, type Option } from '../../form';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';

/** As its fields have it: what sits there one thing a line, play in mm. */
interface StackFields {
  readonly shoulder: string;
  readonly grooveId: string;
  readonly pieces: string;
  readonly leastMm: number | null;
  readonly mostMm: number | null;
}

/** Each wall once, though it may keep something on either side. */
const optionsOf = (faces: readonly StackFace[]): Option[] => [...new Map(faces.map((f) => [f.id, f.name])).entries()];

const SCHEMA = choiceInput(choiceKey.stack('any'))!;
/** What is usually left to a bearing beside its ring, mm. */
const USUAL = { leastMm: 0, mostMm: 0.2 };

/** What sits between two walls, the end play that leaves, and where what keeps it or the shoulder must lie for the play that is wanted. */
@Component({
  selector: 'ip-stack-form',
  imports: [ChooseField, FigureButton, FormFrame, LengthInput, ReactiveFormsModule, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (keepers().length) {
      <details [open]="stored() !== null">
        <summary>{{ asked() }}</summary>
        <form ip-form [formGroup]="form.group" [of]="form" save="Reckon the play" [closable]="false">
          <div class="fields">
            <ip-choose label="It leans on" [name]="'stackShoulder' + number()" [options]="leaning()" formControlName="shoulder" />
            <ip-choose label="Kept by" [name]="'stackGroove' + number()" [options]="keepers()" formControlName="grooveId" />
            <ip-length label="End play, at least" [unit]="store.unit()" formControlName="leastMm" />
            <ip-length label="At most" [unit]="store.unit()" formControlName="mostMm" />
          </div>
          <ip-text
            label="What sits there, one thing a line: 6205, or Spacer: 12 ±0.05"
            [name]="'stackPieces' + number()"
            [rows]="3"
            formControlName="pieces"
          />
        </form>
        @if (finding(); as f) {
          @if (f.ok) {
            <p>
              End play as drawn <ip-figure [figure]="f.value.play" [size]="20" [strong]="true" />, from
              <ip-figure [figure]="f.value.least" [size]="16" /> to <ip-figure [figure]="f.value.most" [size]="16" /> with everything off by
              its whole tolerance.
            </p>
            @if (f.value.good) {
              <p role="status">All that may come is wanted.</p>
            } @else {
              <div class="said bad">
                @if (f.value.tooWideMm > 0) {
                  <p>
                    The tolerances alone are {{ length(f.value.tooWideMm) }} wider than the play that is wanted: hold the lengths between
                    closer, measure what sits there, or shim.
                  </p>
                }
                <p class="row">
                  <span>{{ keptAt(f.value.atMm) }}</span>
                  @if (moved(); as part) {
                    <button type="button" (click)="store.draft(part, true)">{{ moveWords() }}</button>
                  }
                </p>
                @if (f.value.shoulderMm !== null) {
                  <p class="row">
                    <span>Or its shoulder {{ length(f.value.shoulderMm) }} from the zero face.</span>
                    @if (stepped(); as part) {
                      <button type="button" (click)="store.draft(part, true)">Move the shoulder there</button>
                    }
                  </p>
                }
              </div>
            }
            <p class="quiet">How far a ring’s thickness is off is not counted; a split pin’s is.</p>
          } @else {
            <p class="said bad">{{ f.problems[0]?.message }}</p>
          }
        }
      </details>
    }
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1fr);
      gap: 0 18px;
    }
    @media (max-width: 700px) {
      .fields {
        grid-template-columns: minmax(0, 1fr);
      }
    }
    summary {
      cursor: pointer;
      min-height: 40px;
      align-content: center;
      color: var(--blue);
    }
    p {
      max-width: 84ch;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 16px;
      align-items: center;
    }
  `,
})
export class StackForm {
  protected readonly store = inject(SheetStore);
  private readonly part = computed(() => {
    const found = this.store.repair()?.part;
    return found && !found.part.block && !found.problems.length ? found.part : null;
  });
  /** Which of the places on the item where something sits. */
  readonly number = input(1);
  private readonly faces = computed(() => {
    const part = this.part();
    return part ? stackFaces(part) : [];
  });
  protected readonly keepers = computed(() => optionsOf(this.faces().filter((f) => f.feature)));
  protected readonly leaning = computed(() => optionsOf(this.faces()));
  protected readonly asked = computed(() => {
    if (this.stored()) return 'What sits between shoulder and ring';
    return this.number() > 1
      ? 'Does something else sit there, between other walls?'
      : 'Does something sit between a shoulder and a ring or pin?';
  });
  private readonly itemId = computed(() => this.store.item()?.id ?? '');
  protected readonly stored = computed(() => {
    const sheet = this.store.sheet();
    return (sheet && chosenStacks(sheet, this.itemId()).find((s) => s.number === this.number())?.stack) ?? null;
  });
  private readonly key = computed(() => choiceKey.stack(this.itemId(), this.number()));
  private readonly version = computed(() => versionOfChoice(this.store.sheet()!, this.key()));
  /** Of what was read before anything was typed: what somebody else says meanwhile is asked about, not written over. */
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly form = new RecordForm<StackFields>({
    keptAs: () => `${this.store.sheet()!.job.id}:${this.key()}`,
    start: this.fields(),
    check: (v) => {
      const lines = parseStack(v.pieces, this.store.unit());
      return lines.ok ? inValue(check(SCHEMA, { value: this.stack(v), reason: '' })) : lines;
    },
    untouched: () => this.fields(),
    rests: { readAt: this.readAt },
    save: (v) => this.store.putChoice(this.key(), 'what sits on the shaft', this.stack(v), '', true, this.readAt()),
  });
  protected readonly finding = computed(() => {
    const [part, stack] = [this.part(), this.stored()];
    return part && stack ? stackFinding(part, stack) : null;
  });
  private readonly keeper = computed(() => this.faces().find((f) => f.id === this.stored()?.grooveId)?.feature ?? null);
  /** The drawing with what keeps it where it has to lie; null where that does not go. */
  protected readonly moved = computed(() => {
    const [part, f] = [this.part(), this.finding()];
    const ask = part && asksOf(part).find((a) => a.id === `${this.keeper()?.id}.atMm`);
    return part && ask && f?.ok && f.value.atMm >= 0 ? movedTo(part, ask, f.value.atMm) : null;
  });
  protected readonly stepped = computed(() => {
    const [part, f] = [this.part(), this.finding()];
    return part && f?.ok && f.value.shoulderMm !== null ? shoulderMoved(part, this.stored()!.shoulder, f.value.shoulderMm) : null;
  });
  protected readonly moveWords = computed(() => (this.keeper()?.kind === 'cross-hole' ? 'Move the hole there' : 'Move the groove there'));

  protected keptAt(atMm: number): string {
    const at = this.length(atMm);
    return this.keeper()?.kind === 'cross-hole'
      ? `Its middle ${at} from the left end of its stretch brings the play to the middle.`
      : `Its left wall ${at} from the left end of its seat brings the play to the middle.`;
  }

  protected length = (mm: number): string => formatWithUnit(mm, this.store.unit());

  private fields(): StackFields {
    const stack = this.stored();
    const part = this.part();
    const likely = stack ?? (part && likelyWalls(part));
    return {
      shoulder: likely?.shoulder ?? this.leaning()[0]?.[0] ?? '',
      grooveId: likely?.grooveId ?? this.keepers()[0]?.[0] ?? '',
      pieces: stackLines(stack?.pieces ?? [], this.store.unit()),
      leastMm: stack?.leastMm ?? USUAL.leastMm,
      mostMm: stack?.mostMm ?? USUAL.mostMm,
    };
  }

  private stack({ pieces, leastMm, mostMm, ...rest }: StackFields): AxialStack {
    const read = parseStack(pieces, this.store.unit());
    return { ...rest, pieces: read.ok ? read.value : [], leastMm: leastMm ?? Number.NaN, mostMm: mostMm ?? Number.NaN };
  }
}
