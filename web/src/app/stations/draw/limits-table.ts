import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import {
  capital,
  formatLength,
  parseLimits,
  spanWords,
  unitBehind,
  writtenDimension,
  writtenValue,
  type Compared,
  type DimensionFinding,
  type LimitsFrom,
  type Part,
} from '@iron-patch/core';
import { TextField } from '../../form';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';

const FROM_WORDS: Readonly<Record<LimitsFrom, string>> = {
  fit: 'its fit',
  typed: 'typed',
  book: 'the book',
  general: 'general',
  finished: 'finished',
  none: 'none yet',
};

/** Every dimension with its limits and where they come from; limits are typed in any usual way. */
@Component({
  selector: 'ip-limits-table',
  imports: [FigureButton, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table class="plain">
      <thead>
        <tr>
          <th>Dimension</th>
          @if (compared().size) {
            <th class="num">found</th>
            <th class="num">was</th>
          }
          <th class="num">{{ compared().size ? 'new' : 'size' }}</th>
          <th class="num">limits</th>
          <th>from</th>
          <th>Own limits, ±0.02, +0.02 -0, H7</th>
        </tr>
      </thead>
      <tbody>
        @for (d of rows(); track d.dimension.key) {
          <tr [class.bare]="d.from === 'none'">
            <td>{{ capital(d.dimension.label) }}</td>
            @if (compared().size) {
              <td class="num">{{ foundWords(d) }}</td>
              <td class="num">{{ wasWords(d) }}</td>
            }
            <td class="num">
              @if (isLength(d)) {
                <ip-figure [figure]="d.figure" [size]="17" />
              } @else {
                {{ size(d) }}
              }
            </td>
            <td class="num">{{ d.limits ? written(d) : '' }}</td>
            <td [title]="d.words">{{ from[d.from] }}</td>
            <td>
              @if (d.from !== 'fit' && isLength(d) && !d.dimension.own && !d.dimension.before) {
                <ip-text
                  [label]="'Limits of ' + d.dimension.label"
                  class="bare-label"
                  name="limits"
                  [value]="typed(d.dimension.key)"
                  [path]="d.dimension.key"
                  [problems]="problems()"
                  (valueChange)="type(d, $event)"
                />
              }
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    td {
      vertical-align: middle !important;
    }
    tr.bare td:first-child {
      box-shadow: inset 4px 0 0 var(--accent);
      padding-left: 10px;
    }
    ip-text ::ng-deep label {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
    ip-text {
      position: relative;
      display: block;
      min-width: 120px;
    }
  `,
})
export class LimitsTable {
  protected readonly store = inject(SheetStore);
  readonly part = input.required<Part>();
  readonly dimensions = input.required<readonly DimensionFinding[]>();
  /** Found and was, by key of the dimension, for what was drawn from a place. */
  readonly compared = input<ReadonlyMap<string, Compared>>(new Map());
  readonly changed = output<Part['limits']>();
  protected readonly from = FROM_WORDS;
  protected readonly capital = capital;
  /** What was typed and says no limits, by key. */
  private readonly unread = signal<Readonly<Record<string, { readonly text: string; readonly message: string }>>>({});
  /** What has no limits yet comes first. A row stays where it is while somebody types in it: the order is made anew only with other rows. */
  private readonly order = linkedSignal<readonly DimensionFinding[], readonly string[]>({
    source: this.dimensions,
    computation: (now, before) => {
      const keys = now.map((d) => d.dimension.key);
      if (before && before.value.length === keys.length && before.value.every((k) => keys.includes(k))) return before.value;
      const bare = (d: DimensionFinding): boolean => d.from === 'none';
      return [...now.filter(bare), ...now.filter((d) => !bare(d))].map((d) => d.dimension.key);
    },
  });
  protected readonly rows = computed(() => {
    const byKey = new Map(this.dimensions().map((d) => [d.dimension.key, d]));
    return this.order().flatMap((key) => byKey.get(key) ?? []);
  });
  protected readonly problems = computed(() =>
    Object.entries(this.unread()).map(([path, { message }]) => ({ code: 'limits', path, message })),
  );

  protected foundWords(d: DimensionFinding): string {
    const found = this.compared().get(d.dimension.key)?.foundMm;
    const show = (mm: number): string => formatLength(mm, this.store.unit());
    return found ? spanWords(show(found[0]), show(found[1])) : '';
  }
  protected wasWords(d: DimensionFinding): string {
    const was = this.compared().get(d.dimension.key)?.wasMm ?? null;
    return was === null ? '' : formatLength(was, this.store.unit());
  }
  protected isLength = (d: DimensionFinding): boolean => d.figure.measure === 'length';
  protected size = (d: DimensionFinding): string => writtenValue(d, d.dimension.value, this.store.unit()) + unitBehind(d);
  /** An angle goes without its limits, as on the sheet. */
  protected written = (d: DimensionFinding): string => (d.dimension.what === 'angle' ? '' : writtenDimension(d, this.store.unit()));
  protected typed = (key: string): string => this.unread()[key]?.text ?? this.part().limits[key]?.text ?? '';

  protected type(d: DimensionFinding, text: string): void {
    const { key, value } = d.dimension;
    const { [key]: _old, ...others } = this.part().limits;
    const { [key]: _was, ...unread } = this.unread();
    if (text.trim() === '') {
      this.unread.set(unread);
      return this.changed.emit(others);
    }
    const read = parseLimits(text, value, this.store.unit());
    this.unread.set(read.ok ? unread : { ...unread, [key]: { text, message: read.problems[0]!.message } });
    if (read.ok) this.changed.emit({ ...others, [key]: read.value });
  }
}
