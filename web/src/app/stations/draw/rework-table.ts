import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import {
  choiceOf,
  formatLength,
  isDiameter,
  parseLimits,
  spanWords,
  type ItemCut,
  type PlaceFinding,
  type Problem,
} from '@iron-patch/core';
import { keptDraft, SAME_VALUE } from '../../data';
import { DraftNote, LengthInput, TextField } from '../../form';
import { FigureButton } from '../../show';
import { SheetStore } from '../../sheet-data';

/** A component that stays: its diameters as found, and those that are cut to another size, with their limits. */
@Component({
  selector: 'ip-rework-table',
  imports: [DraftNote, FigureButton, LengthInput, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length) {
      <table class="plain">
        <thead>
          <tr>
            <th>Place</th>
            <th class="num">found</th>
            <th>Cut to</th>
            <th>Limits, ±0.02, +0.02 -0, H7</th>
            <th class="num">made to</th>
          </tr>
        </thead>
        <tbody>
          @for (r of rows(); track r.f.place.id) {
            <tr>
              <td>
                <b>{{ r.f.place.name }}</b>
              </td>
              <td class="num">{{ found(r.f) }}</td>
              <td>
                <ip-length
                  class="bare-label"
                  [label]="'Cut ' + r.f.place.name + ' to'"
                  [unit]="store.unit()"
                  [mm]="r.cut?.sizeMm ?? null"
                  [optional]="true"
                  (mmChange)="size(r.f, $event)"
                />
                @if (r.decidedMm !== null && (r.cut?.sizeMm ?? null) === null) {
                  <small class="quiet">as decided: {{ show(r.decidedMm) }}</small>
                }
              </td>
              <td>
                @if (r.sizeMm !== null) {
                  <ip-text
                    class="bare-label"
                    [label]="'Limits of ' + r.f.place.name"
                    name="limits"
                    [value]="unread()[r.f.place.id]?.text ?? r.cut?.limits?.text ?? ''"
                    [path]="r.f.place.id"
                    [problems]="problems()"
                    (valueChange)="limits(r.f, r.sizeMm, $event)"
                  />
                }
              </td>
              <td class="num">
                @if (r.dimension?.limits && !changed()) {
                  <ip-figure [figure]="r.dimension!.figure" [size]="20" [strong]="true" />
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
      <ip-draft-note [kept]="kept" />
      <p class="row">
        <button type="button" [class.next]="changed()" [disabled]="!changed() || problems().length > 0" (click)="save()">
          Save what is cut
        </button>
      </p>
    } @else {
      <p class="quiet">
        No diameter of it is on record. What is done without a size, step by step, stands in the item: touch “Change item” above.
      </p>
    }
  `,
  styles: `
    td {
      vertical-align: middle !important;
    }
    small {
      font-size: 14px;
    }
    .bare-label ::ng-deep label {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
    .bare-label {
      position: relative;
      display: block;
      min-width: 120px;
    }
  `,
})
export class ReworkTable {
  protected readonly store = inject(SheetStore);
  private readonly item = computed(() => this.store.item()!);
  private readonly stored = computed(() => this.item().cuts, SAME_VALUE);
  /** What is cut, as it stands in the fields. */
  protected readonly cuts = linkedSignal<readonly ItemCut[]>(() => this.stored());
  private readonly readAt = linkedSignal(() => this.item().version);
  protected readonly kept = keptDraft(
    () => `cuts:${this.item().key}:${this.store.sheet()!.job.id}`,
    { cuts: this.cuts },
    { untouched: () => ({ cuts: this.stored() }), rests: { readAt: this.readAt } },
  );
  protected readonly changed = computed(() => JSON.stringify(this.cuts()) !== JSON.stringify(this.stored()));
  protected readonly rows = computed(() => {
    const { componentIds } = this.item();
    const byKey = new Map(this.store.repair()?.part?.dimensions.map((d) => [d.dimension.key, d]));
    return (this.store.repair()?.places ?? [])
      .filter((f) => componentIds.includes(f.component.id) && isDiameter(f.place.kind))
      .map((f) => {
        const cut = this.cuts().find((c) => c.placeId === f.place.id) ?? null;
        const dimension = byKey.get(f.place.id) ?? null;
        const decidedMm =
          dimension && !this.stored().some((c) => c.placeId === f.place.id && c.sizeMm !== null) ? dimension.dimension.value : null;
        return { f, cut, dimension, decidedMm, sizeMm: cut?.sizeMm ?? decidedMm };
      });
  });
  /** What was typed and says no limits, by place. */
  protected readonly unread = signal<Readonly<Record<string, { readonly text: string; readonly message: string }>>>({});
  protected readonly problems = computed<readonly Problem[]>(() =>
    Object.entries(this.unread()).map(([path, { message }]) => ({ code: 'limits', path, message })),
  );

  protected show = (mm: number): string => formatLength(mm, this.store.unit());

  protected found({ shape }: PlaceFinding): string {
    return shape ? spanWords(this.show(shape.smallestMm), this.show(shape.largestMm)) : 'not measured';
  }

  protected size({ place }: PlaceFinding, sizeMm: number | null): void {
    const limits = this.cuts().find((c) => c.placeId === place.id)?.limits ?? null;
    this.set(place.id, sizeMm === null && !limits ? null : { placeId: place.id, sizeMm, limits });
  }

  protected limits({ place }: PlaceFinding, sizeMm: number, text: string): void {
    const { [place.id]: _was, ...unread } = this.unread();
    const before = this.cuts().find((c) => c.placeId === place.id) ?? { placeId: place.id, sizeMm: null, limits: null };
    if (text.trim() === '') {
      this.unread.set(unread);
      return this.set(place.id, before.sizeMm === null ? null : { ...before, limits: null });
    }
    const read = parseLimits(text, sizeMm, this.store.unit());
    this.unread.set(read.ok ? unread : { ...unread, [place.id]: { text, message: read.problems[0]!.message } });
    if (read.ok) this.set(place.id, { ...before, limits: read.value });
  }

  protected save(): void {
    const item = this.item();
    void this.store
      .putItem({ ...item, version: this.readAt() }, { ...choiceOf(item), cuts: this.cuts() })
      .then((saved) => saved && this.kept.done())
      .catch(this.store.bug);
  }

  private set(placeId: string, cut: ItemCut | null): void {
    const others = this.cuts().filter((c) => c.placeId !== placeId);
    this.cuts.set(cut ? [...others, cut] : others);
  }
}
