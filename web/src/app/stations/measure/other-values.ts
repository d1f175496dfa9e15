import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { PLACE_KINDS, formatLength, QUANTITIES, type PlaceFinding, type Quantity, type QuantityFinding } from '@iron-patch/core';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';

interface Line {
  readonly quantity: Quantity;
  readonly name: string;
  readonly value: QuantityFinding | null;
}

/** What is read of a place that is no diameter: each thing with its value, its band, and what follows from it. */
@Component({
  selector: 'ip-other-values',
  imports: [FigureButton, StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table class="plain">
      <thead>
        <tr>
          <th>What</th>
          <th class="num">size</th>
          <th class="num">95 %</th>
          <th class="num">readings</th>
          <th><span class="sr-only">Read it</span></th>
        </tr>
      </thead>
      <tbody>
        @for (l of lines(); track l.quantity) {
          <tr>
            <td>{{ l.name }}</td>
            <td class="num">
              @if (l.value) {
                <ip-figure [figure]="l.value.mean" [size]="24" [strong]="true" [withOther]="true" />
              } @else {
                <span class="quiet">not yet</span>
              }
            </td>
            <td class="num">{{ l.value ? '±' + show(l.value.plusMinusMm) : '' }}</td>
            <td class="num">{{ l.value ? l.value.readings.length : '' }}</td>
            <td class="right">
              <button type="button" class="plain" [attr.aria-label]="'Read it: ' + l.name" (click)="read(l)">Read it</button>
            </td>
          </tr>
        }
      </tbody>
    </table>
    @if (finding().depth; as d) {
      <p class="said" [class.bad]="!d.agree">
        <ip-state [state]="d.agree ? 'fits' : 'out'" [size]="18" />
        By the ring the wall lies at <b class="fig">{{ show(d.byRingMm) }}</b>, {{ show(abs(d.differenceMm)) }}
        {{ d.differenceMm < 0 ? 'less' : 'more' }} than measured directly; the ring's room and both instruments allow
        {{ show(d.allowedMm) }}. {{ d.agree ? 'They agree.' : 'One of them is wrong: measure both again.' }}
      </p>
    }
    @if (finding().groove ?? finding().keyseat; as b) {
      <p class="said" [class.bad]="!b.asInBook"><ip-state [state]="b.asInBook ? 'fits' : 'close'" [size]="18" />{{ b.words }}</p>
    }
    @if (finding().thread; as t) {
      <p>
        pitch <ip-figure [figure]="t.pitch" [size]="20" [strong]="true" />
        @if (t.answer; as a) {
          <b>{{ a.matches[0]?.thread?.name }}</b> {{ a.words }}
        } @else {
          <span class="quiet">With the major diameter it can be named.</span>
        }
        @if (t.pitchDiameter; as e) {
          pitch diameter <ip-figure [figure]="e" [size]="20" [strong]="true" />
        }
        @if (t.wireProblem; as w) {
          <span class="quiet">{{ w }}</span>
        }
      </p>
    }
  `,
  styles:
    ':host { display: grid; gap: 10px; } .right { text-align: right; } td { vertical-align: middle !important; } .said ip-state { margin-right: 8px; }',
})
export class OtherValues {
  protected readonly store = inject(SheetStore);
  readonly finding = input.required<PlaceFinding>();
  protected readonly lines = computed<Line[]>(() =>
    PLACE_KINDS[this.finding().place.kind].quantities.map((quantity) => ({
      quantity,
      name: QUANTITIES[quantity].name,
      value: this.finding().values.find((v) => v.quantity === quantity) ?? null,
    })),
  );

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected abs(mm: number): number {
    return Math.abs(mm);
  }

  protected read(l: Line): void {
    const { place } = this.finding();
    this.store.select({
      spanId: place.id,
      stationMm: place.stationsMm[0] ?? 0,
      clockDeg: place.clocksDeg[0] ?? 0,
      quantity: l.quantity,
    });
    document.getElementById('reading')?.focus();
  }
}
