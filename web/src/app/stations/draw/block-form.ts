import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  BLOCK_KINDS,
  blockLines,
  cutKindOf,
  FACE_OPTIONS,
  type Block,
  type BlockCut,
  type BlockCutId,
  type DimensionFinding,
  type Face,
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
  protected readonly kinds = (Object.keys(BLOCK_KINDS) as BlockCutId[]).map((id) => [id, `Add ${article(BLOCK_KINDS[id].name)}`] as const);
  /** Sizes that are none have no picture. */
  protected readonly label = BLOCK_VIEWS;
  protected readonly lines = computed(() => (this.problems().length ? [] : blockLines(this.block())));

  protected kindName = (c: BlockCut): string => cutKindOf(c.kind).name;
  protected fields(c: BlockCut): (typeof BLOCK_KINDS)[BlockCutId]['fields'] {
    const { fields } = BLOCK_KINDS[c.kind];
    if (!this.fitted(c)) return fields;
    const { diameterMm: _, ...rest } = fields as Record<string, unknown>;
    return rest as typeof fields;
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
    const { name } = cutKindOf(kind);
    const like = block.cuts.filter((c) => c.kind === kind).length;
    const fits = kind === 'hole' ? { fitsPlaceIds: [] } : {};
    const added = {
      ...cutKindOf(kind).start(block, 'top'),
      ...fits,
      id: newId().slice(0, 8),
      kind,
      on: 'top',
      name: like ? `${name} ${like + 1}` : name,
    };
    this.changed.emit({ ...block, cuts: [...block.cuts, added as unknown as BlockCut] });
  }

  protected remove(id: string): void {
    this.changed.emit({ ...this.block(), cuts: this.block().cuts.filter((c) => c.id !== id) });
  }
}

const article = (name: string): string => `${/^[AEIOU]/.test(name) ? 'an' : 'a'} ${name.toLowerCase()}`;
