import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { formatWithUnit, type WiresAt } from '@iron-patch/core';
import { LengthInput } from '../../form';
import { SheetStore } from '../../sheet-data';

/** What three wires told of a thread: with what it was tried, and the pitch diameter, mm. */
export interface ByWires {
  readonly tool: string;
  readonly pitchMm: number;
}

/** A thread over three wires: the wire, what it measures over them, and the pitch diameter that is. */
@Component({
  selector: 'ip-over-wires',
  imports: [LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <ip-length label="Wires" [mm]="wire()" [unit]="store.unit()" [allowZero]="false" (mmChange)="wire.set($event)" />
      <ip-length label="Over three wires, cold" [mm]="over()" [unit]="store.unit()" [allowZero]="false" (mmChange)="over.set($event)" />
      @if (problem(); as p) {
        <p class="problem" role="alert">{{ p }}</p>
      } @else if (told(); as t) {
        <p class="told" role="status">
          Pitch diameter <b class="fig">{{ show(t.pitchMm) }}</b>
        </p>
        <button type="button" (click)="take.emit(t)">Take it</button>
      }
    </div>
    <p class="quiet">
      Best wire {{ show(wires().bestWireMm) }}.
      @if (wires().atCutMm; as mm) {
        It read {{ show(mm) }} over it when it was cut.
      }
    </p>
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 14px;
      align-items: center;
    }
    ip-length {
      width: 220px;
    }
    .told {
      font-size: 20px;
      margin: 0;
    }
    .problem {
      color: var(--out);
      max-width: 380px;
      margin: 0;
    }
    p.quiet {
      margin: 0 0 8px;
    }
  `,
})
export class OverWiresForm {
  protected readonly store = inject(SheetStore);
  readonly wires = input.required<WiresAt>();
  readonly take = output<ByWires>();
  /** The best one, until another is typed. */
  protected readonly wire = linkedSignal<number, number | null>({ source: () => this.wires().bestWireMm, computation: (mm) => mm });
  protected readonly over = signal<number | null>(null);

  private readonly sum = computed(() => {
    const [wire, over] = [this.wire(), this.over()];
    return wire === null || over === null ? null : this.wires().pitch(wire, over);
  });
  protected readonly problem = computed(() => {
    const sum = this.sum();
    return sum && !sum.ok ? sum.problems[0]!.message : '';
  });
  protected readonly told = computed((): ByWires | null => {
    const sum = this.sum();
    return sum?.ok ? { tool: `wires of ${this.show(this.wire()!)}, ${this.show(this.over()!)} over them`, pitchMm: sum.value } : null;
  });

  protected show(mm: number): string {
    return formatWithUnit(mm, this.store.unit());
  }
}
