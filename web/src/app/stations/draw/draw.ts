import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, HostListener, inject, signal } from '@angular/core';
import { check, choiceInput, routes } from '@iron-patch/contract';
import {
  addedBore,
  addedFeature,
  addedSurface,
  askedHere,
  asksOf,
  copied,
  deepened,
  drawingDoubts,
  hostsFor,
  otherEndOn,
  removed,
  withoutBore,
  type Added,
  choiceKey,
  countOf,
  chosenPart,
  comparedWith,
  converted,
  fieldsOf,
  inSentence,
  kindOf,
  mirrored,
  placeAll,
  standsWords,
  type AskedHere,
  type Bore,
  type DimensionFinding,
  type FeatureKindId,
  type Part,
  type PartFeature,
  type Problem,
  type Surface,
} from '@iron-patch/core';
import type { Thread } from '@iron-patch/core/book/threads';
import { newId } from '../../data';
import { DrawnEvidence, SheetStore } from '../../sheet-data';
import { ChooseField, MATERIAL_OPTIONS, TextField, type Option } from '../../form';
import { FigureButton, MetalHint } from '../../show';
import { BlockForm } from './block-form';
import { DrawStart } from './draw-start';
import { DrawingHistory } from './drawing-history';
import { FeatureRow } from './feature-row';
import { LimitsTable } from './limits-table';
import { OtherThread } from './other-thread';
import { PartActs } from './part-acts';
import { ReworkTable } from './rework-table';
import { StackPanel } from './stack-panel';
import { StrengthPanel } from './strength-panel';
import { SurfaceRow } from './surface-row';
import { Unlimited } from './unlimited';

const NOTHING = { outside: [], bores: [] };

/** Kinds that are left- or right-handed. */
const HANDED: readonly FeatureKindId[] = ['thread', 'knurl', 'oil-groove'];

/** Paths of the drawing that have a field on this screen; what is said of others stands in one block. */
const FIELDS = /^(name|why|block\.\w+|block\.cuts\.\d+\.(?!on$)\w+|(outside\.\d+|bores\.\d+\.surfaces\.\d+|features\.\d+)\.(?!on$)\w+)$/;

/** The replacement: surfaces along the axis, bores, what is cut into them; diameters that fit a mate follow their fit. */
@Component({
  selector: 'ip-draw',
  imports: [
    NgTemplateOutlet,
    BlockForm,
    TextField,
    ChooseField,
    FigureButton,
    DrawStart,
    DrawingHistory,
    FeatureRow,
    LimitsTable,
    MetalHint,
    OtherThread,
    PartActs,
    ReworkTable,
    StackPanel,
    StrengthPanel,
    SurfaceRow,
    Unlimited,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './draw.html',
  styles: `
    :host {
      display: block;
      padding: 12px 18px 24px;
    }
    .top {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
      gap: 16px;
      align-items: end;
      margin-bottom: 10px;
    }
    .facts {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 14px;
      align-items: center;
      min-height: 44px;
      max-width: 310px;
      white-space: nowrap;
    }
    .bore {
      border-top: 2px solid var(--hairline);
      margin-top: 6px;
      padding-top: 6px;
    }
    .boretop {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      align-items: center;
    }
    .boretop h3 {
      font: 600 17px var(--label);
      margin: 0 8px 0 0;
    }
    .boretop button {
      min-height: 40px;
      padding: 4px 12px;
    }
    button.on {
      background: var(--blue-soft);
      box-shadow: inset 0 0 0 1px var(--blue);
    }
    .push {
      flex: 1;
    }
    .row {
      margin-top: 10px;
    }
    .keep {
      align-items: end;
    }
    .keep ip-text {
      width: 260px;
    }
    .limits {
      border-top: 1px solid var(--hairline);
      margin-top: 14px;
      padding-top: 10px;
    }
    .asked {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    .asked li {
      display: flex;
      gap: 14px;
      align-items: center;
      padding: 3px 0;
    }
    .asked button {
      flex: none;
    }
    .doubts {
      margin: 4px 0 10px;
    }
    .doubts summary {
      cursor: pointer;
      min-height: 40px;
      align-content: center;
      color: var(--blue);
    }
    .doubts ul {
      margin: 0;
      padding-left: 18px;
      max-width: 76ch;
    }
    .facts ip-figure {
      white-space: nowrap;
    }
    @media (max-width: 700px) {
      .top {
        grid-template-columns: minmax(0, 1fr);
        gap: 0;
      }
    }
  `,
})
export class Draw {
  protected readonly store = inject(SheetStore);
  protected readonly materials = MATERIAL_OPTIONS;
  protected readonly part = computed(() => {
    const sheet = this.store.shown();
    const item = this.store.item();
    return sheet && item ? chosenPart(sheet, item.partKey) : null;
  });
  protected readonly found = computed(() => this.store.repair()?.part ?? null);
  private readonly byKey = computed(() => new Map(this.found()?.dimensions.map((d) => [d.dimension.key, d])));
  protected readonly holes = computed<readonly Option[]>(() =>
    (this.store.repair()?.fits ?? []).map((f) => [f.hole.place.id, f.hole.place.name]),
  );
  protected readonly shafts = computed<readonly Option[]>(() =>
    (this.store.repair()?.bores ?? []).map((b) => [b.shaft.place.id, b.shaft.place.name]),
  );
  protected readonly read = inject(DrawnEvidence).read;
  protected readonly compared = computed(() => comparedWith(this.found()?.dimensions ?? [], this.store.repair()?.places ?? []));
  /** Why the drawing is as it is now; goes with it when it is saved. */
  protected readonly why = signal('');
  /** What core and the contract say against the drawing, core's first. */
  protected readonly problems = computed<readonly Problem[]>(() => {
    const part = this.part();
    if (!part) return [];
    const shape = check(choiceInput(choiceKey.part)!, { value: part, reason: this.why().trim() });
    const told = shape.ok ? [] : shape.problems.map((p) => ({ ...p, path: p.path.replace(/^value\./, '').replace(/^reason$/, 'why') }));
    const own = this.found()?.problems ?? [];
    return [...own, ...told.filter((p) => !own.some((o) => o.path === p.path))];
  });
  protected readonly asked = computed(() => {
    const found = this.found();
    return found && !found.problems.length ? askedHere(found, this.store.repair()!, this.store.unit()) : [];
  });
  /** What can be made as drawn, and is usually a slip. */
  protected readonly doubts = computed(() => {
    const part = this.part();
    return part && !this.problems().length ? drawingDoubts(part, this.store.unit()) : [];
  });
  protected readonly general = computed(() => this.problems().filter((p) => !FIELDS.test(p.path)));
  protected readonly freeEnds = computed(() => (['near', 'far'] as const).filter((end) => !this.part()!.bores.some((b) => b.from === end)));
  private readonly ofItem = computed(() => `?item=${this.store.item()?.id ?? ''}`);
  protected readonly svg = computed(() => routes.drawing(this.store.sheet()!.job.id) + this.ofItem());
  protected readonly pdf = computed(() => routes.drawingPdf(this.store.sheet()!.job.id) + this.ofItem());
  protected readonly dxf = computed(() => routes.drawingDxf(this.store.sheet()!.job.id) + this.ofItem());

  protected readonly fieldsOf = fieldsOf;
  protected readonly countOf = countOf;
  protected kindName = (f: PartFeature): string => kindOf(f.kind).name;
  protected dimension = (key: string): DimensionFinding | null => this.byKey().get(key) ?? null;

  protected featuresOn(surfaceId: string): { feature: PartFeature; index: number }[] {
    return this.part()!
      .features.map((feature, index) => ({ feature, index }))
      .filter(({ feature }) => feature.on === surfaceId);
  }

  /** What is cut into the part, to be named by a relation. */
  protected readonly cutThings = computed<readonly Option[]>(() =>
    (this.part()?.features ?? []).filter((f) => f.kind !== 'relation').map((f) => [f.id, f.name]),
  );
  protected readonly allSurfaces = computed<readonly Option[]>(() => placeAll(this.part() ?? NOTHING).map((s) => [s.id, s.name]));

  protected readonly stands = standsWords;
  protected clocked(but: string): readonly Option[] {
    return this.part()!.features.flatMap((f): Option[] => (f.id !== but && 'clockDeg' in f ? [[f.id, f.name]] : []));
  }

  protected change(change: Partial<Part>): void {
    this.store.draft({ ...this.part()!, ...change });
  }

  /** Arrows walk along the axis, from surface to surface, while no field has the keys. */
  @HostListener('document:keydown.arrowright', ['$event', '1'])
  @HostListener('document:keydown.arrowleft', ['$event', '-1'])
  protected walk(event: Event, step: 1 | -1): void {
    const row = this.part()?.outside ?? [];
    if (!row.length || (event.target as HTMLElement).closest('input, select, textarea, [role=dialog], [role=tablist], [role=radiogroup]'))
      return;
    const at = row.findIndex((s) => s.id === this.store.selection().spanId);
    const next = row[at < 0 ? (step > 0 ? 0 : row.length - 1) : Math.min(Math.max(at + step, 0), row.length - 1)]!;
    event.preventDefault();
    this.store.select({ spanId: next.id, stationMm: null, clockDeg: null });
  }

  /** What has a hand, once the part was mirrored here; empty before. */
  protected readonly handed = signal<readonly string[]>([]);
  protected readonly otherHand = computed(() => this.store.sheet()?.job.changes.includes('other-hand') ?? false);

  protected mirror(): void {
    const part = mirrored(this.part()!);
    this.handed.set(part.features.filter((f) => HANDED.includes(f.kind)).map((f) => inSentence(f.name)));
    this.store.draft(part, true);
  }

  protected outside(index: number, s: Surface): void {
    this.change({ outside: this.part()!.outside.map((o, i) => (i === index ? s : o)) });
  }

  protected inside(index: number, step: number, s: Surface): void {
    this.bore(index, { surfaces: this.part()!.bores[index]!.surfaces.map((o, j) => (j === step ? s : o)) });
  }

  protected bore(index: number, change: Partial<Bore>): void {
    this.change({ bores: this.part()!.bores.map((b, i) => (i === index ? { ...b, ...change } : b)) });
  }

  protected feature(index: number, f: PartFeature): void {
    this.change({ features: this.part()!.features.map((o, i) => (i === index ? f : o)) });
  }

  private take(added: Added | null): void {
    if (!added) return;
    this.store.draft(added.part, true);
    const first = asksOf(added.part).find((a) => a.ownerId === added.ownerId);
    if (first) this.store.select({ spanId: first.surfaceId, stationMm: null, clockDeg: null, asked: first.id });
  }

  protected addSurface(): void {
    this.take(addedSurface(this.part()!, 'cylinder', 'Step', null, newId().slice(0, 8), this.store.unit()));
  }

  protected addBore(from: Bore['from']): void {
    this.take(addedBore(this.part()!, from, newId().slice(0, 8), this.store.unit()));
  }

  protected deepen(boreId: string): void {
    this.take(deepened(this.part()!, boreId, newId().slice(0, 8), this.store.unit()));
  }

  protected addFeature(on: string, kind: FeatureKindId): void {
    this.take(addedFeature(this.part()!, on, kind, newId().slice(0, 8)));
  }

  protected copy(featureId: string): void {
    this.take(copied(this.part()!, featureId, newId().slice(0, 8)));
  }

  protected readonly otherEndOn = otherEndOn;
  protected cutInto = (kind: FeatureKindId): readonly Option[] => hostsFor(this.part()!, kind).map((s) => [s.id, s.name]);
  protected put(part: Part | null): void {
    if (part) this.store.draft(part, true);
  }

  protected convert(featureId: string, to: Thread): void {
    this.put(converted(this.part()!, featureId, to));
  }

  protected removeBore(id: string): void {
    this.store.draft(withoutBore(this.part()!, id), true);
  }

  /** Takes a surface away with what is cut into it, or a feature. */
  protected remove(id: string): void {
    this.put(removed(this.part()!, id));
  }

  protected askFor({ feature }: AskedHere): void {
    this.store.draft({ ...this.part()!, features: [...this.part()!.features, { ...feature, id: newId().slice(0, 8) }] }, true);
  }

  protected async save(): Promise<void> {
    const saved = await this.store
      .putChoice(this.store.item()!.partKey, 'the drawing', this.part(), this.why().trim(), true, this.store.draftFrom())
      .catch(this.store.or(null));
    if (!saved) return;
    this.store.drawingSaved();
    this.why.set('');
  }
}
