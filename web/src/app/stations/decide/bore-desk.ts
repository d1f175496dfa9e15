import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { formatLength, ownBore, truedTooLarge, type BoreFinding, type BoreOption } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { LengthInput, startsAs } from '../../form';

/** A school picked for a shaft that is kept or turned true. */
export interface PickedBore {
  readonly option: BoreOption;
  readonly hole: 'keep' | 'true';
  /** Size that the shaft is turned to, mm; null for the largest usual one that cleans up. */
  readonly truedMm: number | null;
}

interface Row {
  /** The own row stays the same row while its size is typed. */
  readonly key: string;
  readonly option: BoreOption;
  readonly bore: string;
  readonly play: string;
  readonly trued: string;
}

/** The hole of the new part for a shaft that stays, by every school, and one's own. */
@Component({
  selector: 'ip-bore-desk',
  imports: [LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="truing">
      <ip-length label="Shaft turned true to" [mm]="truedMm()" [unit]="unit()" [allowZero]="false" (mmChange)="turn($event)" />
      <p class="quiet" [class.problem]="tooLarge()">{{ tooLarge() ?? 'It cleans up from ' + show(bore().cleanUpMm!) + ' down.' }}</p>
    </div>
    <table class="plain" [attr.aria-label]="'Holes for ' + bore().shaft.place.name">
      <thead>
        <tr>
          <th>Fit</th>
          <th class="num">shaft kept: bore, play</th>
          <th class="num">turned to {{ show(truedMm()) }}</th>
        </tr>
      </thead>
      <tbody>
        @for (r of rows(); track r.key) {
          <tr [class.on]="using(r.option)">
            <th scope="row">
              @if (r.option.school.kind === 'own') {
                <ip-length
                  spoken="Own target: smallest the bore may be"
                  [mm]="ownMm()"
                  [unit]="unit()"
                  [allowZero]="false"
                  (mmChange)="setOwn($event)"
                  (keydown.enter)="pickOwn(r.option)"
                />
              } @else {
                {{ r.option.name }}
                @if (r.option.barred) {
                  <small class="quiet">{{ r.option.barred }}</small>
                }
              }
            </th>
            <td class="num">
              <button
                type="button"
                class="pick"
                [attr.aria-pressed]="is(r.option, 'keep')"
                [class.on]="is(r.option, 'keep')"
                [disabled]="r.option.barred"
                (click)="pick(r.option, 'keep')"
              >
                <span class="sr-only">{{ r.option.name }}, keep the shaft, bore </span><b>{{ r.bore }}</b> <small>{{ r.play }}</small>
              </button>
            </td>
            <td class="num">
              @if (r.trued) {
                <button
                  type="button"
                  class="pick"
                  [attr.aria-pressed]="is(r.option, 'true')"
                  [class.on]="is(r.option, 'true')"
                  [disabled]="r.option.barred"
                  (click)="pick(r.option, 'true')"
                >
                  <span class="sr-only">{{ r.option.name }}, turn the shaft true, bore </span><b>{{ r.trued }}</b>
                </button>
              }
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    .truing {
      display: flex;
      gap: 16px;
      align-items: end;
      margin-bottom: 6px;
    }
    .problem {
      color: var(--out);
    }
    td,
    th[scope='row'] {
      vertical-align: middle;
    }
    th[scope='row'] {
      min-width: 150px;
      text-align: left;
      font: 400 16px var(--label);
      color: var(--ink);
    }
    th small {
      display: block;
      font-size: 14px;
    }
    tr.on {
      background: var(--blue-soft);
    }
    .pick {
      border: 1px solid var(--hairline);
      color: var(--ink);
      font: 400 17px var(--figures);
      min-height: 40px;
      min-width: 150px;
      padding: 2px 10px;
      text-align: right;
    }
    .pick small {
      display: block;
      color: var(--quiet);
      font-size: 14px;
    }
    .pick.on {
      background: var(--blue-soft);
      border: 2px solid var(--blue);
    }
    .pick:disabled {
      color: var(--quiet);
    }
  `,
})
export class BoreDesk {
  private readonly store = inject(SheetStore);
  readonly bore = input.required<BoreFinding>();
  readonly picked = output<PickedBore>();
  protected readonly unit = computed(() => this.store.unit());
  protected readonly truedMm = startsAs<number>(() => this.bore().truedMm!);
  protected readonly tooLarge = computed(() => truedTooLarge(this.bore(), this.truedMm(), this.unit()));
  /** Smallest that an own bore may be, mm: starts where the target stands. */
  protected readonly ownMm = startsAs<number>(() => {
    const { choice, target, shaft } = this.bore();
    return (choice?.hole === 'true' ? null : target?.lowerMm) ?? shaft.shape!.largestMm;
  });
  private readonly own = computed(() => ownBore(this.bore(), this.ownMm()));
  protected readonly rows = computed<Row[]>(() => {
    const own = this.own();
    return [...(own ? [own] : []), ...this.bore().options.filter((o) => o.school.kind !== 'own')].flatMap((option) => this.row(option));
  });

  private row(option: BoreOption): Row[] {
    const { kept } = option;
    if (!kept.ok) return [];
    const t = kept.value;
    const trued = option.school.kind !== 'own' && option.trued.ok && !this.tooLarge() ? this.show(option.trued.value.lowerMm) : '';
    const [least, most] = [this.show(t.playAtLargestMm), this.show(t.playAtSmallestMm)];
    const play = least === most ? least : `${least} to ${most}`;
    return [
      {
        key: option.school.kind === 'own' ? 'own' : option.id,
        option,
        bore: `${this.show(t.lowerMm)} to ${this.show(t.upperMm)}`,
        play,
        trued,
      },
    ];
  }

  protected show(mm: number): string {
    return formatLength(mm, this.unit());
  }

  protected turn(mm: number | null): void {
    if (mm !== null) this.truedMm.set(mm);
  }

  protected setOwn(mm: number | null): void {
    if (mm !== null) this.ownMm.set(mm);
  }

  protected using(o: BoreOption): boolean {
    const { choice, target } = this.bore();
    if (choice) return choice.schoolId === o.id;
    return target !== null && o.kept.ok && o.kept.value === target;
  }

  protected is(o: BoreOption, hole: 'keep' | 'true'): boolean {
    const { choice, truedMm } = this.bore();
    return choice?.schoolId === o.id && choice.hole === hole && (hole === 'keep' || truedMm === this.truedMm());
  }

  /** Enter behind a typed target takes it. */
  protected pickOwn(option: BoreOption): void {
    if (!option.barred) this.pick(option, 'keep');
  }

  protected pick(option: BoreOption, hole: 'keep' | 'true'): void {
    const own = hole === 'true' && this.truedMm() !== this.bore().cleanUpMm;
    this.picked.emit({ option, hole, truedMm: own ? this.truedMm() : null });
  }
}
