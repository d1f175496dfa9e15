import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { PlaceFinding, Figure } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';

interface Row {
  readonly finding: PlaceFinding;
  readonly figures: readonly (Figure | null)[];
}

const plain = (f: PlaceFinding): (Figure | null)[] => [f.smallest, f.largest, f.ovality, f.taper ?? f.step];

/** The states in which a place was measured: which one is looked at, and all of them side by side; they never mix. */
@Component({
  selector: 'ip-states-of-part',
  imports: [FigureButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="tabs" role="group" aria-label="State of the part">
      @for (s of states(); track s.state.actId) {
        <button
          type="button"
          [attr.aria-pressed]="s.state.actId === shown().state.actId"
          [class.on]="s.state.actId === shown().state.actId"
          (click)="pick(s)"
        >
          {{ s.state.words }} <span class="fig quiet">{{ s.readings.length }}</span>
        </button>
      }
    </div>
    @if (rows().length > 1) {
      <table class="plain">
        <thead>
          <tr>
            <th>Side by side</th>
            @for (h of heads(); track h) {
              <th class="num">{{ h }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (r of rows(); track r.finding.state.actId) {
            <tr>
              <td>{{ r.finding.state.words }}</td>
              @for (f of r.figures; track $index) {
                <td class="num">
                  @if (f) {
                    <ip-figure [figure]="f" [strong]="true" />
                  } @else {
                    <span class="quiet">not read</span>
                  }
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    }
  `,
  styles: ':host { display: grid; gap: 6px; margin-bottom: 10px; }',
})
export class StatesOfPart {
  private readonly store = inject(SheetStore);
  readonly asFound = input.required<PlaceFinding>();
  readonly shown = input.required<PlaceFinding>();
  protected readonly states = computed(() => [this.asFound(), ...this.asFound().after]);
  private readonly read = computed(() => this.states().filter((s) => s.readings.length > 0));
  protected readonly heads = computed<string[]>(() => {
    const read = this.read();
    if (read.some((s) => s.shape)) return ['smallest', 'largest', 'oval', 'taper or step'];
    const total = read.find((s) => s.indicator?.figure)?.indicator?.figure;
    return total ? [total.label.split(' of ')[0]!] : [...new Set(read.flatMap((s) => s.values.map((v) => v.quantity as string)))];
  });
  protected readonly rows = computed<Row[]>(() =>
    this.read().map((finding) => {
      if (finding.shape) return { finding, figures: plain(finding) };
      if (finding.indicator) return { finding, figures: [finding.indicator.figure] };
      return { finding, figures: this.heads().map((q) => finding.values.find((v) => v.quantity === q)?.mean ?? null) };
    }),
  );

  protected pick({ state, next, planned }: PlaceFinding): void {
    const spot = next ?? planned[0];
    const { stationMm, clockDeg, quantity } = spot ?? { stationMm: null, clockDeg: null, quantity: null };
    this.store.select({ spanId: this.asFound().place.id, stationMm, clockDeg, quantity, afterActId: state.actId });
  }
}
