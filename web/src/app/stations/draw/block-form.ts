import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  blockLines,
  cutFieldsOf,
  cutKindOf,
  edgesOf,
  FACE_OPTIONS,
  freshName,
  oppositeOf,
  type Block,
  type BlockCut,
  type BlockCutId,
  type DimensionFinding,
  type Face,
  type FieldSpec,
  type Problem,
} from '@iron-patch/core';
import { newId } from '../../data';
import { ChooseField, LengthInput, type Option } from '../../form';
import { BLOCK_VIEWS, ScenePicture } from '../../picture';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';
import { FeatureRow } from './feature-row';

const SIZES = [
  ['lengthMm', 'Length, left to right'],
  ['widthMm', 'Width, front to back'],
  ['heightMm', 'Height'],
] as const;

const ADD_WORDS: Readonly<Record<BlockCutId, string>> = {
  hole: 'Add a hole',
  slot: 'Add a slot',
  step: 'Add a step',
  'angled-face': 'Add an angled face',
  'half-round': 'Add a half-round seat',
};

/** A box and what is cut into it: its sizes, its three views, each cut with the face that it is on. */
@Component({
  selector: 'ip-block-form',
  imports: [ChooseField, FeatureRow, FigureButton, LengthInput, ScenePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length) {
      <ip-scene-picture [lines]="lines()" [label]="label" />
    }
    <div class="sizes">
      @for (s of sizes; track s[0]) {
        <ip-length
          [label]="s[1]"
          [mm]="block()[s[0]]"
          [unit]="store.unit()"
          [allowZero]="false"
          [path]="'block.' + s[0]"
          [problems]="problems()"
          (mmChange)="size(s[0], $event)"
        />
      }
    </div>
    @for (c of block().cuts; track c.id; let i = $index) {
      <section [attr.aria-label]="c.name">
        <ip-feature-row
          [feature]="c"
          [kindName]="kindName(c)"
          [fields]="fields(c)"
          [path]="'block.cuts.' + i"
          [problems]="problems()"
          (changed)="cut(i, $any($event))"
          (removed)="remove(c.id)"
        >
          <ip-choose label="Cut into the" name="face" [options]="faces" [value]="c.on" (valueChange)="turn(i, $event)" />
        </ip-feature-row>
        <div class="under">
          @if (c.kind === 'hole' && shafts().length) {
            <span class="fits" role="group" [attr.aria-label]="c.name + ' fits'">
              Fits
              @for (m of shafts(); track m[0]) {
                <button type="button" [attr.aria-pressed]="has(c, m[0])" [class.on]="has(c, m[0])" (click)="toggle(i, m[0])">
                  {{ m[1] }}
                </button>
              }
            </span>
          }
          @for (axis of againAlong(c, i); track axis) {
            <button type="button" (click)="again(c, axis)">Again from the {{ opposite(c, axis) }} edge</button>
          }
          @if (fitted(c); as d) {
            <span class="quiet">diameter from its fit <ip-figure [figure]="d.figure" [size]="18" [strong]="true" /></span>
          }
        </div>
      </section>
    }
    <div class="row">
      @for (k of kinds; track k[0]) {
        <button type="button" (click)="add(k[0])">{{ k[1] }}</button>
      }
    </div>
  `,
  styles: `
    .sizes {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
      gap: 4px 14px;
      margin-top: 12px;
    }
    section {
      border-top: 1px solid var(--hairline);
      padding-top: 6px;
    }
    .under {
      margin-left: 17px;
      display: flex;
      flex-wrap: wrap;
      gap: 8px 18px;
      align-items: center;
    }
    .fits {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    button.on {
      background: var(--blue-soft);
      box-shadow: inset 0 0 0 1px var(--blue);
    }
    .row {
      margin-top: 10px;
    }
  `,
})
export class BlockForm {
  protected readonly store = inject(SheetStore);
  readonly block = input.required<Block>();
  readonly problems = input.required<readonly Problem[]>();
  /** Shafts that a hole can fit: id and name of their places. */
  readonly shafts = input.required<readonly Option[]>();
  /** The dimension of that key, with its fit where it has one. */
  readonly found = input.required<(key: string) => DimensionFinding | null>();
  readonly changed = output<Block>();
  protected readonly sizes = SIZES;
  protected readonly faces = FACE_OPTIONS;
  protected readonly kinds = Object.entries(ADD_WORDS) as [BlockCutId, string][];
  /** Sizes that are none have no picture. */
  protected readonly label = BLOCK_VIEWS;
  protected readonly lines = computed(() => (this.problems().length ? [] : blockLines(this.block())));

  protected kindName = (c: BlockCut): string => cutKindOf(c.kind).name;
  /** On a face that is chosen it is known which edges places count from; a diameter that a fit gives is not asked for. */
  protected fields(c: BlockCut): Readonly<Record<string, FieldSpec>> {
    const [u, v] = edgesOf(c.on);
    const counts = 'way' in c ? { middleMm: `Middle line from the ${c.way === 'along' ? v : u} edge` } : {};
    const centre = c.kind === 'hole' ? { atMm: `Centre from the ${u} edge`, upMm: `Centre from the ${v} edge` } : {};
    const labels = new Map<string, string>(Object.entries({ ...counts, ...centre }));
    const labelled = ([field, spec]: [string, FieldSpec]): [string, FieldSpec] => [
      field,
      { ...spec, label: labels.get(field) ?? spec.label },
    ];
    const asked = Object.entries(cutFieldsOf(c.kind)).filter(([field]) => field !== 'diameterMm' || !this.fitted(c));
    return Object.fromEntries(asked.map(labelled));
  }
  protected fitted(c: BlockCut): DimensionFinding | null {
    const d = this.found()(c.id);
    return d?.from === 'fit' ? d : null;
  }
  protected has = (c: BlockCut, placeId: string): boolean => c.kind === 'hole' && c.fitsPlaceIds.includes(placeId);

  protected size(field: (typeof SIZES)[number][0], mm: number | null): void {
    this.changed.emit({ ...this.block(), [field]: mm ?? 0 });
  }

  protected cut(index: number, c: BlockCut): void {
    this.changed.emit({ ...this.block(), cuts: this.block().cuts.map((o, i) => (i === index ? c : o)) });
  }

  protected turn(index: number, face: string): void {
    this.cut(index, { ...this.block().cuts[index]!, on: face as Face });
  }

  protected toggle(index: number, placeId: string): void {
    const c = this.block().cuts[index]!;
    if (c.kind !== 'hole') return;
    const fitsPlaceIds = c.fitsPlaceIds.includes(placeId) ? c.fitsPlaceIds.filter((id) => id !== placeId) : [...c.fitsPlaceIds, placeId];
    this.cut(index, { ...c, fitsPlaceIds });
  }

  protected add(kind: BlockCutId): void {
    const block = this.block();
    const fits = kind === 'hole' ? { fitsPlaceIds: [] } : {};
    const added = {
      ...cutKindOf(kind).start(block, 'top'),
      ...fits,
      id: newId().slice(0, 8),
      kind,
      on: 'top',
      name: freshName(block.cuts, cutKindOf(kind).name),
    };
    this.changed.emit({ ...block, cuts: [...block.cuts, added as unknown as BlockCut] });
  }

  /** The axes of its face along which the same on the other side is another one, and right. */
  protected againAlong(c: BlockCut, index: number): readonly ('u' | 'v')[] {
    if (this.problems().some((p) => p.path.startsWith(`block.cuts.${index}.`))) return [];
    const is = (o: BlockCut): string => JSON.stringify({ ...o, id: '', name: '' });
    const there = new Set(this.block().cuts.map(is));
    return (['u', 'v'] as const).filter((axis) => !there.has(is(this.across(c, axis))));
  }
  protected opposite = (c: BlockCut, axis: 'u' | 'v'): string => oppositeOf(c.on, axis);

  /** The same cut as far from the opposite edge, as one more. */
  protected again(c: BlockCut, axis: 'u' | 'v'): void {
    const added = { ...this.across(c, axis), id: newId().slice(0, 8), name: freshName(this.block().cuts, c.name.replace(/ \d+$/, '')) };
    this.changed.emit({ ...this.block(), cuts: [...this.block().cuts, added] });
  }

  private across = (c: BlockCut, axis: 'u' | 'v'): BlockCut => cutKindOf(c.kind).across(c, this.block(), axis) as BlockCut;

  protected remove(id: string): void {
    this.changed.emit({ ...this.block(), cuts: this.block().cuts.filter((c) => c.id !== id) });
  }
}
