import { ChangeDetectionStrategy, Component, computed, effect, inject, output, signal, untracked } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import {
  chosenPart,
  drawingChanges,
  limitsLost,
  placeOutside,
  rescaled,
  shoulderInstead,
  stretched,
  type Outcome,
  type Part,
} from '@iron-patch/core';
import { newId } from '../../data';
import { ChooseField, FormFrame, LengthInput, PickField, RecordForm, type Option } from '../../form';
import { SheetStore } from '../../sheet-data';

interface Stretch {
  readonly surfaceId: string;
  readonly alongMm: number | null;
  readonly byMm: number | null;
}
interface Rescale {
  readonly surfaceId: string;
  readonly toMm: number | null;
}
interface Shoulder {
  readonly grooveId: string;
  readonly side: 'left' | 'right';
  readonly diameterMm: number | null;
}

const NO_PART: Part = { name: '', materialId: '', outside: [], bores: [], features: [], block: null, limits: {} };

/** Acts on the whole part: a stretch longer or shorter, another diameter with what hangs on it, a shoulder instead of a ring's groove. */
@Component({
  selector: 'ip-part-acts',
  imports: [ChooseField, FormFrame, LengthInput, PickField, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details class="no-print">
      <summary>Longer, thicker, a shoulder instead of a ring</summary>
      <section aria-labelledby="actLonger">
        <h3 id="actLonger">Longer or shorter</h3>
        <form ip-form [formGroup]="stretch.group" [of]="stretch" save="Change the length" [closable]="false" [next]="false">
          <div class="grid3">
            <ip-choose label="Which stretch" name="stretchOf" [options]="stretches()" formControlName="surfaceId" />
            <ip-length label="Parted from its left end at" [unit]="unit()" formControlName="alongMm" />
            <ip-length label="By: shorter below 0" [unit]="unit()" [allowNegative]="true" formControlName="byMm" />
          </div>
        </form>
      </section>
      <section aria-labelledby="actThicker">
        <h3 id="actThicker">Another diameter, with what hangs on it</h3>
        <form ip-form [formGroup]="rescale.group" [of]="rescale" save="Change the diameter" [closable]="false" [next]="false">
          <div class="grid3">
            <ip-choose label="Which diameter" name="rescaleOf" [options]="all()" formControlName="surfaceId" />
            <ip-length label="Its new diameter" [unit]="unit()" [allowZero]="false" formControlName="toMm" />
          </div>
        </form>
      </section>
      @if (grooves().length) {
        <section aria-labelledby="actShoulder">
          <h3 id="actShoulder">A shoulder instead of a ring</h3>
          <p class="quiet">
            What the ring held stops at the same place, and comes on from the other side. Its corner wants a radius smaller than the chamfer
            of what stands against it.
          </p>
          <form ip-form [formGroup]="shoulder.group" [of]="shoulder" save="Put the shoulder there" [closable]="false" [next]="false">
            <div class="grid3">
              <ip-choose label="Which ring’s groove" name="shoulderOf" [options]="grooves()" formControlName="grooveId" />
              <ip-pick label="It stands" [options]="sides" formControlName="side" />
              <ip-length label="Diameter of the shoulder" [unit]="unit()" [allowZero]="false" formControlName="diameterMm" />
            </div>
          </form>
        </section>
      }
    </details>
    @if (said().length) {
      <div class="said" role="status">
        <ul>
          @for (s of said(); track s) {
            <li>{{ s }}</li>
          }
        </ul>
      </div>
    }
  `,
  styles: `
    summary {
      cursor: pointer;
      min-height: 40px;
      align-content: center;
      color: var(--blue);
    }
    section {
      border-left: 3px solid var(--hairline);
      padding-left: 14px;
      margin-bottom: 12px;
    }
    h3 {
      font: 600 17px var(--label);
    }
    ul {
      margin: 8px 0;
    }
  `,
})
export class PartActs {
  private readonly store = inject(SheetStore);
  /** As it stands in the drawing just now. */
  private readonly part = computed((): Part => {
    const sheet = this.store.shown();
    const item = this.store.item();
    return (sheet && item && chosenPart(sheet, item.partKey)) || NO_PART;
  });
  readonly taken = output<Part>();
  protected readonly unit = this.store.unit;
  protected readonly sides: readonly Option[] = [
    ['right', 'right of what it holds'],
    ['left', 'left of what it holds'],
  ];
  protected readonly stretches = computed(() => this.part().outside.map((s): Option => [s.id, s.name]));
  protected readonly all = computed((): readonly Option[] => [
    ...this.stretches(),
    ...this.part().bores.flatMap((b) => b.surfaces.map((s): Option => [s.id, s.name])),
  ]);
  protected readonly grooves = computed(() => {
    const outside = new Set(this.part().outside.map((s) => s.id));
    return this.part().features.flatMap((f): Option[] => (f.kind === 'ring-groove' && outside.has(f.on) ? [[f.id, f.name]] : []));
  });
  /** What the last act changed. */
  protected readonly said = signal<readonly string[]>([]);

  private readonly first = computed(() => {
    const { spanId } = this.store.selection();
    const on = placeOutside(this.part());
    return on.find((s) => s.id === spanId) ?? on[0] ?? { id: '', fromMm: 0, toMm: 0 };
  });
  protected readonly stretch = new RecordForm<Stretch>({
    keptAs: () => this.key('stretch'),
    start: { surfaceId: '', alongMm: null, byMm: null },
    untouched: () => ({ surfaceId: this.first().id, alongMm: (this.first().toMm - this.first().fromMm) / 2, byMm: null }),
    check: (v) => stretched(this.part(), v.surfaceId, v.alongMm ?? NaN, v.byMm ?? NaN),
    save: (v) => this.take(stretched(this.part(), v.surfaceId, v.alongMm ?? NaN, v.byMm ?? NaN)),
  });
  protected readonly rescale = new RecordForm<Rescale>({
    keptAs: () => this.key('rescale'),
    start: { surfaceId: '', toMm: null },
    untouched: () => ({ surfaceId: this.first().id, toMm: null }),
    check: (v) => rescaled(this.part(), v.surfaceId, v.toMm ?? NaN),
    save: (v) => this.take(rescaled(this.part(), v.surfaceId, v.toMm ?? NaN)),
  });
  protected readonly shoulder = new RecordForm<Shoulder>({
    keptAs: () => this.key('shoulder'),
    start: { grooveId: '', side: 'right', diameterMm: null },
    untouched: () => ({ grooveId: this.grooves()[0]?.[0] ?? '', side: 'right', diameterMm: null }),
    check: (v) => shoulderInstead(this.part(), v.grooveId, v.side, v.diameterMm ?? NaN, 'new'),
    save: (v) => this.take(shoulderInstead(this.part(), v.grooveId, v.side, v.diameterMm ?? NaN, newId().slice(0, 8))),
  });

  constructor() {
    // What can be done changes with the drawing, under what is typed.
    effect(() => {
      this.part();
      untracked(() => [this.stretch, this.rescale, this.shoulder].forEach((f) => f.group.updateValueAndValidity()));
    });
  }

  private key(act: string): string {
    return `act:${act}:${this.store.sheet()!.job.id}:${this.store.item()?.id ?? ''}`;
  }

  /** Draws it, and says what became other by it; the step can be taken back. */
  private take(done: Outcome<Part>): Promise<boolean> {
    if (!done.ok) return Promise.resolve(false);
    this.said.set([...drawingChanges(this.part(), done.value, this.unit()), ...limitsLost(this.part(), done.value)]);
    this.taken.emit(done.value);
    return Promise.resolve(true);
  }
}
