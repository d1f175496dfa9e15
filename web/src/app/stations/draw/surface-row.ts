import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import {
  FEATURE_KINDS,
  formatLength,
  inSentence,
  kindOf,
  parseTaper,
  SURFACE_KINDS,
  taperWords,
  type DimensionFinding,
  type FeatureKindId,
  type Problem,
  type Surface,
  type SurfaceKind,
} from '@iron-patch/core';
import { ChooseField, LengthInput, TextField, type Option } from '../../form';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';

/** One stretch of the part, outside or in a bore: its size or the fit that gives it, and what is cut into it. */
@Component({
  selector: 'ip-surface-row',
  imports: [ChooseField, FigureButton, LengthInput, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset #row [class.on]="picked()" [attr.aria-current]="picked() || null">
      <legend>{{ surface().name || 'Surface' }}</legend>
      <ip-text
        label="Name"
        name="surface"
        [value]="surface().name"
        [path]="path() + '.name'"
        [problems]="problems()"
        (valueChange)="change({ name: $event })"
      />
      @if (hasLength()) {
        <ip-length
          label="Length"
          [mm]="surface().lengthMm"
          [unit]="store.unit()"
          [allowZero]="false"
          [path]="path() + '.lengthMm'"
          [problems]="problems()"
          (mmChange)="change({ lengthMm: $event ?? 0 })"
        />
      } @else {
        <p class="through quiet">Through: takes what is left of the length.</p>
      }
      @if (fitted(); as d) {
        <div class="fitted">
          <span class="label">Diameter, from the fit</span>
          <ip-figure [figure]="d.figure" [size]="20" [strong]="true" />
          <span class="quiet fig small">{{ band(d) }}</span>
        </div>
      } @else {
        <ip-length
          [label]="surface().kind === 'taper' ? 'Diameter, first end' : 'Diameter'"
          [mm]="surface().diameterMm"
          [unit]="store.unit()"
          [allowZero]="false"
          [path]="path() + '.diameterMm'"
          [problems]="problems()"
          (mmChange)="change({ diameterMm: $event ?? 0 })"
        />
      }
      @if (surface().kind === 'taper') {
        <ip-length
          label="Diameter, other end"
          [mm]="surface().farDiameterMm"
          [unit]="store.unit()"
          [allowZero]="false"
          [path]="path() + '.farDiameterMm'"
          [problems]="problems()"
          (mmChange)="change({ farDiameterMm: $event ?? 0 })"
        />
        @if (hasLength()) {
          <div>
            <ip-text
              label="or its taper"
              placeholder="1:20, 5/8 per ft, Morse 3"
              name="taper"
              [value]="taperTyped()"
              path="taper"
              [problems]="taperProblems()"
              (valueChange)="taper($event)"
            />
            <p class="quiet fig small">{{ taperIs() }}</p>
          </div>
        }
      }
      <ip-choose
        label="Shape"
        name="shape"
        [options]="shapes()"
        [value]="surface().kind"
        [path]="path() + '.kind'"
        [problems]="problems()"
        (valueChange)="shape($event)"
      />
      <div class="acts">
        @if (mates().length) {
          <span class="group" role="group" [attr.aria-label]="surface().name + ' fits'">
            <span class="label">Fits</span>
            @for (m of mates(); track m[0]) {
              <button type="button" [attr.aria-pressed]="has(m[0])" [class.on]="has(m[0])" (click)="toggle(m[0])">{{ m[1] }}</button>
            }
          </span>
        }
        @for (n of [adds()]; track n) {
          <ip-choose class="add" [label]="'Cut into ' + inWords()" name="add" [options]="kinds()" value="" (valueChange)="add($event)" />
        }
        <button type="button" class="plain" [attr.aria-label]="'Remove ' + surface().name" [disabled]="only()" (click)="removed.emit()">
          Remove
        </button>
      </div>
    </fieldset>
  `,
  styles: `
    fieldset {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: 4px 14px;
      border: 0;
      border-top: 1px solid var(--hairline);
      padding: 8px 0 4px;
      margin: 0;
      min-width: 0;
    }
    fieldset.on {
      box-shadow: inset 4px 0 0 var(--blue);
      padding-left: 12px;
    }
    legend {
      font: 600 16px var(--label);
      padding: 0 8px 0 0;
    }
    .fitted {
      display: flex;
      flex-direction: column;
      align-items: flex-start;
    }
    .label {
      font-size: 15px;
    }
    .small {
      font-size: 14px;
    }
    .through {
      align-self: center;
      font-size: 14px;
    }
    .acts {
      grid-column: 1 / -1;
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      align-items: end;
    }
    .group {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
      padding-bottom: 22px;
    }
    .acts button {
      min-height: 40px;
      padding: 4px 12px;
    }
    .acts > button {
      margin-bottom: 22px;
    }
    button.on {
      background: var(--blue-soft);
      box-shadow: inset 0 0 0 1px var(--blue);
    }
    .add {
      width: 220px;
    }
  `,
})
export class SurfaceRow {
  protected readonly store = inject(SheetStore);
  private readonly row = viewChild<ElementRef<HTMLElement>>('row');
  protected readonly picked = computed(() => this.store.selection().spanId === this.surface().id);
  readonly surface = input.required<Surface>();
  readonly side = input.required<'outside' | 'inside'>();
  /** Where it stands in the drawing: `outside.2`. */
  readonly path = input.required<string>();
  /** False for the last diameter of a through bore. */
  readonly hasLength = input(true);
  /** The only one of its row: it cannot go. */
  readonly only = input(false);
  readonly found = input<DimensionFinding | null>(null);
  readonly mates = input<readonly Option[]>([]);
  readonly problems = input<readonly Problem[]>([]);
  readonly changed = output<Surface>();
  readonly removed = output();
  readonly added = output<FeatureKindId>();
  /** A fresh list for each thing that was added: it stands at its first line again. */
  protected readonly adds = signal(0);
  protected readonly fitted = computed(() => (this.found()?.from === 'fit' ? this.found() : null));
  protected readonly inWords = computed(() => inSentence(this.surface().name) || 'it');
  protected readonly shapes = computed<readonly Option[]>(() =>
    (Object.entries(SURFACE_KINDS) as [SurfaceKind, string][]).filter(([k]) => k !== 'head' || this.side() === 'outside'),
  );
  protected readonly kinds = computed<readonly Option[]>(() => [
    ['', 'add …'],
    ...(Object.keys(FEATURE_KINDS) as FeatureKindId[])
      .filter((k) => kindOf(k).sides.includes(this.side()))
      .map((k): Option => [k, kindOf(k).name])
      .sort((p, q) => p[1].localeCompare(q[1])),
  ]);

  constructor() {
    // Picked by an arrow the row comes in sight; while the line below asks for its numbers the picture stays.
    effect(() => {
      if (this.picked() && this.store.selection().asked === undefined) this.row()?.nativeElement.scrollIntoView?.({ block: 'nearest' });
    });
  }

  protected band({ limits }: DimensionFinding): string {
    const unit = this.store.unit();
    return limits ? `${formatLength(limits.lowerMm, unit)} to ${formatLength(limits.upperMm, unit)}` : '';
  }

  /** What was typed as a taper; its words below say what it is now. */
  protected readonly taperTyped = signal('');
  protected readonly taperProblems = signal<readonly Problem[]>([]);
  protected readonly taperIs = computed(() => {
    const { diameterMm, farDiameterMm, lengthMm } = this.surface();
    return farDiameterMm === null || lengthMm <= 0 || diameterMm === farDiameterMm
      ? ''
      : taperWords((diameterMm - farDiameterMm) / lengthMm);
  });

  /** The other end from the first one, the length and the taper; it goes on narrowing, or widening, as it did. */
  protected taper(text: string): void {
    this.taperTyped.set(text);
    const read = parseTaper(text);
    this.taperProblems.set(read.ok || text.trim() === '' ? [] : read.problems.map((p) => ({ ...p, path: 'taper' })));
    if (!read.ok) return;
    const { diameterMm, farDiameterMm, lengthMm } = this.surface();
    const widens = farDiameterMm !== null && farDiameterMm > diameterMm ? 1 : -1;
    this.change({ farDiameterMm: Number((diameterMm + widens * read.value * lengthMm).toFixed(6)) });
  }

  protected has = (mateId: string): boolean => this.surface().fitsPlaceIds.includes(mateId);

  protected toggle(mateId: string): void {
    const { fitsPlaceIds } = this.surface();
    this.change({ fitsPlaceIds: this.has(mateId) ? fitsPlaceIds.filter((m) => m !== mateId) : [...fitsPlaceIds, mateId] });
  }

  protected change(change: Partial<Surface>): void {
    this.changed.emit({ ...this.surface(), ...change });
  }

  protected shape(kind: string): void {
    this.change({ kind: kind as SurfaceKind, farDiameterMm: kind === 'taper' ? this.surface().diameterMm : null });
  }

  protected add(kind: string): void {
    if (kind === '') return;
    this.added.emit(kind as FeatureKindId);
    this.adds.update((n) => n + 1);
  }
}
