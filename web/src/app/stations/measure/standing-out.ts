import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, formatPlace, othersShow, rightKey, type PlaceFinding, type ReadingRecord } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';

interface OddReading {
  readonly id: string;
  readonly record: ReadingRecord;
}

interface Odd {
  readonly key: string;
  readonly message: string;
  readonly readings: readonly OddReading[];
}

/** Readings that stand out from the others of their place, until somebody reads again, takes one out or says that it is right. */
@Component({
  selector: 'ip-standing-out',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (o of odd(); track o.key) {
      <section class="said bad" role="alert">
        <h3>{{ o.message }}</h3>
        @for (r of o.readings; track r.id) {
          <p>
            <b class="fig big">{{ show(r.record.valueMm) }}</b>
            <span class="quiet">typed {{ r.record.text }}</span>
            <button type="button" (click)="again(r.record)">Go to it</button>
            <button type="button" (click)="out(r.record)">Take it out</button>
            <button type="button" (click)="right(r.record)">It is right</button>
          </p>
        }
      </section>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
    :host:not(:empty) {
      margin-bottom: 14px;
    }
    p {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 12px;
      margin: 6px 0 0;
    }
    .big {
      font-size: 26px;
    }
  `,
})
export class StandingOutNote {
  protected readonly store = inject(SheetStore);
  readonly finding = input.required<PlaceFinding>();
  protected readonly odd = computed<Odd[]>(() => {
    const { standOut, readings } = this.finding();
    const byId = new Map(readings.map((r) => [r.id, r]));
    const told = (ids: readonly string[]): OddReading[] =>
      ids.flatMap((id) => {
        const record = byId.get(id);
        return record ? [{ id, record }] : [];
      });
    return [
      ...standOut.suspects.map((s) => ({
        key: s.id,
        message: `A reading stands out: ${othersShow(s.against, this.show(s.expectedMm))}${s.slip ? `. ${s.slip.why}?` : ''}`,
        readings: told([s.id]),
      })),
      ...standOut.repeats.map((r) => ({
        key: `${r.first.id}${r.second.id}`,
        message: `Two readings of one spot, ${formatPlace(r.first.stationMm, this.store.unit())} ${this.store.unit()} at ${r.first.clockDeg}°, differ by ${this.show(r.differenceMm)}; the instrument allows ${this.show(r.allowedMm)}. A third would tell`,
        readings: told([r.first.id, r.second.id]),
      })),
    ];
  });

  protected show(mm: number): string {
    const unit = this.store.unit();
    return `${formatLength(mm, unit)} ${unit}`;
  }

  protected again(r: ReadingRecord): void {
    this.store.select({ spanId: r.placeId, stationMm: r.stationMm, clockDeg: r.clockDeg, quantity: r.quantity });
    document.getElementById('reading')?.focus();
  }

  protected out(r: ReadingRecord): void {
    this.store.withdraw(r);
  }

  protected right(r: ReadingRecord): void {
    void this.store.putChoice(rightKey(this.finding().place.id, r.id), 'a reading that is right', { believed: r.id }).catch(this.store.bug);
  }
}
