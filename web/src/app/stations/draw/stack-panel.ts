import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import {
  asksOf,
  choiceKey,
  chosenStack,
  formatWithUnit,
  movedTo,
  outsideRings,
  parseStack,
  shoulderFaces,
  stackFinding,
  stackLines,
  versionOfChoice,
  type AxialStack,
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

const SCHEMA = choiceInput(choiceKey.stack('any'))!;
/** What is usually left to a bearing beside its ring, mm. */
const USUAL = { leastMm: 0, mostMm: 0.2 };

/** What sits between a shoulder and a ring, the end play that leaves, and where the groove must lie for the play that is wanted. */
@Component({
  selector: 'ip-stack-panel',
  imports: [ChooseField, FigureButton, FormFrame, LengthInput, ReactiveFormsModule, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shoulders().length && grooves().length) {
      <details [open]="stored() !== null">
        <summary>{{ stored() ? 'What sits between shoulder and ring' : 'Does something sit between a shoulder and a ring?' }}</summary>
        <form ip-form [formGroup]="form.group" [of]="form" save="Reckon the play" [closable]="false">
          <div class="fields">
            <ip-choose label="Against the shoulder" name="stackShoulder" [options]="shoulders()" formControlName="shoulder" />
            <ip-choose label="Held by" name="stackGroove" [options]="grooves()" formControlName="grooveId" />
            <ip-length label="End play, at least" [unit]="store.unit()" formControlName="leastMm" />
            <ip-length label="At most" [unit]="store.unit()" formControlName="mostMm" />
          </div>
          <ip-text
            label="What sits there, one thing a line: 6205, or Spacer: 12 ±0.05"
            name="stackPieces"
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
                    The tolerances alone are {{ length(f.value.tooWideMm) }} wider than the play that is wanted: hold the groove’s place and
                    the lengths closer, measure what sits there, or shim.
                  </p>
                }
                <p class="row">
                  <span>Its left wall {{ length(f.value.atMm) }} from the left end of its seat brings the play to the middle.</span>
                  @if (movable()) {
                    <button type="button" (click)="move(f.value.atMm)">Move the groove there</button>
                  }
                </p>
              </div>
            }
            <p class="quiet">The ring is the book’s; how far its thickness is off is not counted.</p>
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
export class StackPanel {
  protected readonly store = inject(SheetStore);
  private readonly part = computed(() => {
    const found = this.store.repair()?.part;
    return found && !found.part.block && !found.problems.length ? found.part : null;
  });
  protected readonly shoulders = computed<readonly Option[]>(() => {
    const part = this.part();
    return part ? shoulderFaces(part).map((f) => [f.id, f.name]) : [];
  });
  protected readonly grooves = computed<readonly Option[]>(() => {
    const part = this.part();
    return part ? outsideRings(part).map((f) => [f.id, f.name]) : [];
  });
  private readonly itemId = computed(() => this.store.item()?.id ?? '');
  protected readonly stored = computed(() => {
    const sheet = this.store.sheet();
    return sheet && chosenStack(sheet, this.itemId());
  });
  private readonly version = computed(() => versionOfChoice(this.store.sheet()!, choiceKey.stack(this.itemId())));
  /** Of what was read before anything was typed: what somebody else says meanwhile is asked about, not written over. */
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly form = new RecordForm<StackFields>({
    keptAs: () => `stack:${this.store.sheet()!.job.id}:${this.itemId()}`,
    start: this.fields(),
    check: (v) => {
      const lines = parseStack(v.pieces, this.store.unit());
      return lines.ok ? inValue(check(SCHEMA, { value: this.stack(v), reason: '' })) : lines;
    },
    untouched: () => this.fields(),
    rests: { readAt: this.readAt },
    save: (v) => this.store.putChoice(choiceKey.stack(this.itemId()), 'what sits on the shaft', this.stack(v), '', true, this.readAt()),
  });
  protected readonly finding = computed(() => {
    const [part, stack] = [this.part(), this.stored()];
    return part && stack ? stackFinding(part, stack) : null;
  });
  /** Whether the drawing holds with the groove where it would be moved. */
  protected readonly movable = computed(() => {
    const f = this.finding();
    return f?.ok ? this.moved(f.value.atMm) !== null : false;
  });

  private moved(atMm: number) {
    const part = this.part();
    const ask = part && asksOf(part).find((a) => a.id === `${this.stored()?.grooveId}.atMm`);
    return part && ask && atMm >= 0 ? movedTo(part, ask, atMm) : null;
  }

  protected move(atMm: number): void {
    const part = this.moved(atMm);
    if (part) this.store.draft(part, true);
  }

  protected length = (mm: number): string => formatWithUnit(mm, this.store.unit());

  private fields(): StackFields {
    const stack = this.stored();
    return {
      shoulder: stack?.shoulder ?? this.shoulders()[0]?.[0] ?? '',
      grooveId: stack?.grooveId ?? this.grooves()[0]?.[0] ?? '',
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
