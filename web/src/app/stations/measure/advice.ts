import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { PlaceInput } from '@iron-patch/contract';
import { isDiameter, type PlaceFinding, type PlanAdvice } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { inputOf } from '../strip/place-input';

/** What the readings so far ask for beyond the plan, each added by one touch; and what they cannot show. */
@Component({
  selector: 'ip-advice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (a of finding().advice; track a.text) {
      <p class="said">
        {{ a.text }}
        @if (a.addClocksDeg.length || a.addStationsMm.length) {
          <button type="button" (click)="add(a)">Add to the plan</button>
        }
      </p>
    }
    @if (finding().cannotShow.length) {
      <h3>What these readings cannot show</h3>
      @for (s of finding().cannotShow; track s) {
        <p class="quiet">{{ s }}</p>
      }
    }
    @if (finding().open.length && finding().place.land === 'worn' && diameter() && finding().shape === null && asFound()) {
      <p class="quiet">{{ finding().plan.unworn }}</p>
    }
  `,
  styles:
    ':host { display: grid; gap: 4px; } .said button { margin-left: 12px; } h3 { font-size: 15px; margin-top: 6px; } p { font-size: 15px; }',
})
export class Advice {
  private readonly store = inject(SheetStore);
  readonly finding = input.required<PlaceFinding>();
  protected readonly diameter = computed(() => isDiameter(this.finding().place.kind));
  protected readonly asFound = computed(() => this.finding().state.actId === null);

  protected add(a: PlanAdvice): void {
    const { place } = this.finding();
    const now = inputOf(place);
    const input: PlaceInput = {
      ...now,
      stationsMm: [...new Set([...now.stationsMm, ...a.addStationsMm])].sort((p, q) => p - q),
      clocksDeg: [...new Set([...now.clocksDeg, ...a.addClocksDeg])].sort((p, q) => p - q),
    };
    void this.store.savePlace(place, input).catch(this.store.bug);
  }
}
