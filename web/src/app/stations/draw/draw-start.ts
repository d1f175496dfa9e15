import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  countOf,
  formatWithUnit,
  isBlockShape,
  materialOf,
  mayGoInto,
  newPart,
  originalSizeMm,
  PART_KINDS,
  partLengthMm,
  readAcrossMm,
  readLengthMm,
  roundStart,
  type EvidenceDrawing,
  type Part,
  type PartKind,
  type Surface,
} from '@iron-patch/core';
import { LengthInput, type Option } from '../../form';
import { SheetStore } from '../../sheet-data';
import { CopyDrawing } from './copy-drawing';
import { ProfileFile } from './profile-file';

/** How a drawing begins: out of the readings where they tell enough, else from a usual shape. */
@Component({
  selector: 'ip-draw-start',
  imports: [CopyDrawing, LengthInput, ProfileFile],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (read(); as e) {
      <section class="start" aria-labelledby="fromReadings">
        <h2 id="fromReadings">From the readings</h2>
        <div class="row">
          <button type="button" class="next" (click)="drawn.emit(e.part)">Draw from the readings</button>
          <span class="quiet">{{ told() }}</span>
        </div>
        @if (e.doubts.length) {
          <p class="head">What they do not tell, to be read or said yet</p>
          <ul class="doubts">
            @for (d of e.doubts; track d) {
              <li>{{ d }}</li>
            }
          </ul>
        }
      </section>
    }
    <section class="start">
      <h2>{{ read() ? 'Or from a usual shape' : 'What is being made?' }}</h2>
      <div class="kinds" role="group" aria-label="Kind of part">
        @for (k of kinds; track k[0]) {
          <button type="button" [attr.aria-pressed]="kind() === k[0]" [class.on]="kind() === k[0]" (click)="kind.set(k[0])">
            {{ k[1] }}
          </button>
        }
      </div>
      <div class="row sizes">
        <ip-length
          label="Overall length"
          [mm]="length()"
          [unit]="store.unit()"
          [allowZero]="false"
          (mmChange)="lengthTyped.set($event ?? 0)"
        />
        <ip-length [label]="acrossWords()" [mm]="body()" [unit]="store.unit()" [allowZero]="false" (mmChange)="bodyTyped.set($event)" />
        <button type="button" [class.next]="!read()" [disabled]="!(length() > 0 && body() > 0)" (click)="begin()">Draw it</button>
      </div>
      <p class="quiet">It starts with usual proportions; every size can be changed{{ follows() }}.</p>
    </section>
    <section class="start">
      <h2>Or from another job</h2>
      <ip-copy-drawing (taken)="drawn.emit($event)" />
    </section>
    <section class="start">
      <h2>Or from a drawing file</h2>
      <ip-profile-file (drawn)="drawn.emit($event)" />
    </section>
  `,
  styles: `
    .start + .start {
      border-top: 1px solid var(--hairline);
      margin-top: 16px;
      padding-top: 10px;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 14px;
      align-items: center;
      margin-top: 8px;
    }
    .head {
      margin: 14px 0 4px;
      font-weight: 600;
    }
    .doubts {
      margin: 0;
      padding-left: 18px;
      max-width: 76ch;
    }
    .doubts li {
      padding: 2px 0;
    }
    .kinds {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      margin: 10px 0;
    }
    button.on {
      background: var(--blue-soft);
      box-shadow: inset 0 0 0 1px var(--blue);
    }
    .sizes {
      align-items: flex-end;
    }
    .sizes button {
      margin-bottom: 22px;
    }
  `,
})
export class DrawStart {
  protected readonly store = inject(SheetStore);
  /** The drawing as the readings have it; null where they tell too little. */
  readonly read = input.required<EvidenceDrawing | null>();
  /** Mates that stay: holes for the body, shafts for a bore. */
  readonly holes = input.required<readonly Option[]>();
  readonly shafts = input.required<readonly Option[]>();
  readonly drawn = output<Part>();
  protected readonly kinds = Object.entries(PART_KINDS) as [PartKind, string][];
  protected readonly kind = signal<PartKind>('headed-pin');
  protected readonly acrossWords = computed(() => {
    const kind = this.kind();
    if (kind === 'block') return 'Width and height, about';
    return isBlockShape(kind) ? 'Width, about' : 'Body diameter, about';
  });
  protected readonly lengthTyped = signal<number | null>(null);
  /** As it was read, unless another is typed. */
  protected readonly length = computed(() => {
    const { places } = this.store.repair() ?? { places: [] };
    return this.lengthTyped() ?? readLengthMm(places, this.store.item()?.componentIds ?? []) ?? roundStart(this.store.unit(), 100, 4);
  });
  protected readonly follows = computed(() => (isBlockShape(this.kind()) || !this.near().length ? '' : ', and the body follows its fit'));
  protected readonly bodyTyped = signal<number | null>(null);
  protected readonly body = computed(() => {
    const { places, fits } = this.store.repair() ?? { places: [], fits: [] };
    const own = this.store.item()?.componentIds ?? [];
    const isOwn = (id: string): boolean => !own.length || own.includes(id);
    const worn = places.find((f) => f.component.role === 'worn' && f.place.land === 'worn' && isOwn(f.component.id));
    const read = (): number | null => readAcrossMm(places, own);
    return this.bodyTyped() ?? (worn && originalSizeMm(worn)) ?? fits[0]?.target?.aimMm ?? read() ?? 25;
  });
  /** Holes that a body of about that size may go into: all that are not known to ask for another. */
  private readonly near = computed(() => {
    const fits = new Map(this.store.repair()?.fits.map((f) => [f.hole.place.id, f]));
    return this.holes().filter(([id]) => {
      const fit = fits.get(id);
      return !fit || mayGoInto(fit, this.body());
    });
  });
  protected readonly told = computed(() => {
    const part = this.read()!.part;
    const bored = part.bores.reduce((n, b) => n + b.surfaces.length, 0);
    return [
      countOf(part.outside.length, 'diameter'),
      ...(bored ? [countOf(bored, 'bore')] : []),
      ...(part.features.length ? [countOf(part.features.length, 'cut')] : []),
      `${formatWithUnit(partLengthMm(part), this.store.unit())} over all`,
    ].join(', ');
  });

  protected begin(): void {
    const sheet = this.store.sheet()!;
    const { componentIds, name } = this.store.item()!;
    const worn = sheet.components.find((c) => componentIds.includes(c.id));
    const fresh = newPart(this.kind(), name, this.body(), this.length());
    // What the old part was made of is offered for the new one, where somebody knows it.
    const part = worn && materialOf(worn.materialId) ? { ...fresh, materialId: worn.materialId } : fresh;
    const fitting = (s: Surface, mates: readonly Option[]): Surface => ({ ...s, fitsPlaceIds: mates.map(([id]) => id) });
    // A blank follows its thread, no fit.
    const threaded = new Set(part.features.flatMap((f) => (f.kind === 'thread' ? [f.on] : [])));
    this.drawn.emit({
      ...part,
      outside: part.outside.map((s) => (s.id === 'body' && !threaded.has(s.id) ? fitting(s, this.near()) : s)),
      bores: part.bores.map((b) => ({ ...b, surfaces: b.surfaces.map((s) => fitting(s, this.shafts())) })),
    });
  }
}
