import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { routes } from '@iron-patch/contract';
import { dayWords, formatLength, isOut, MACHINE_WORDS, usualMachines, type Machine, type UsualMachine } from '@iron-patch/core';
import { ShopClock, ShopStore, Told } from '../data';
import { MachineForm } from './machine-form';
import { inputOf, typedMachine } from './typed-machine';

/** A unit in a sentence: “in” alone would be read as the word. */
const DIAL_WORDS = { mm: 'mm', in: 'inch' } as const;

/** The machines: a lathe's dials and speeds are what every set-up is worked out from. */
@Component({
  selector: 'ip-machines',
  imports: [MachineForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul class="rows">
      @for (m of machines(); track m.id) {
        <li>
          <span class="what"
            ><b>{{ m.name }}</b
            ><span class="quiet">{{ words(m) }}</span></span
          >
          <span class="acts">
            <button type="button" class="plain" [attr.aria-label]="'Change ' + m.name" (click)="open(m.id)">Change</button>
            <button type="button" class="plain" [attr.aria-label]="'Remove ' + m.name" (click)="remove(m)">Remove</button>
          </span>
        </li>
        @if (opened() === m.id) {
          <li class="form"><ip-machine-form [record]="m" (closed)="opened.set('')" /></li>
        }
      } @empty {
        <li class="quiet">No machine yet. Without a lathe nothing can be planned or cut.</li>
      }
    </ul>
    @if (like(); as l) {
      <ip-machine-form [like]="l" (closed)="like.set(null)" />
    } @else {
      <p class="pick" role="group" aria-label="Add a machine">
        <span class="label">Add one like</span>
        @for (u of usual(); track u.name) {
          <button type="button" (click)="like.set(u)">{{ u.name }}</button>
        }
      </p>
    }
  `,
  styles:
    '.what { display: grid; } .pick { display: flex; flex-wrap: wrap; gap: 8px; align-items: center; margin-top: 10px; } .pick .label { font-size: 15px; margin-right: 6px; }',
})
export class Machines {
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  private readonly clock = inject(ShopClock);
  protected readonly machines = computed(() => this.shop.shop().machines);
  protected readonly usual = computed(() => usualMachines(this.shop.shop().card.unit));
  protected readonly opened = signal('');
  protected readonly like = signal<UsualMachine | null>(null);

  protected open(id: string): void {
    this.opened.update((now) => (now === id ? '' : id));
  }

  /** `Lathe, swings 340 mm, 1000 mm between centres, 8 speeds, inch dials`. */
  protected words(m: Machine): string {
    const { unit } = this.shop.shop().card;
    const size = (mm: number): string => `${formatLength(mm, unit, unit === 'mm' ? 0 : 1)} ${unit}`;
    const said: string[] = [MACHINE_WORDS[m.kind]];
    if (m.lathe) {
      const { swingMm, centresMm, gearsRpm, cross, readout } = m.lathe;
      said.push(`swings ${size(swingMm)}`, `${size(centresMm)} between centres`, `${gearsRpm.length} speeds`);
      said.push(readout ? `readout in ${DIAL_WORDS[readout.unit]}` : `${DIAL_WORDS[cross.unit]} dial that reads ${cross.reads}`);
    }
    if (m.mill)
      said.push(
        `travels ${size(m.mill.longMm)} by ${size(m.mill.crossMm)}`,
        m.mill.readout ? `readout in ${DIAL_WORDS[m.mill.readout.unit]}` : `${DIAL_WORDS[m.mill.dial.unit]} dials`,
      );
    if (m.capacityMm !== null) said.push(`takes ${size(m.capacityMm)}`);
    if (m.tonnes !== null) said.push(`${m.tonnes} t`);
    if (m.powerKw !== null) said.push(`${m.powerKw} kW`);
    if (isOut(m, this.clock.today())) said.push(`out of order until ${dayWords(m.backOn!, 'weekday')}`);
    if (m.note) said.push(m.note);
    return said.join(', ');
  }

  protected remove(m: Machine): Promise<void> {
    const put = (removed: boolean, version: number): Promise<Machine> =>
      this.shop.save(routes.machine(m.id), inputOf(typedMachine(m, this.shop.shop().card.unit), removed), version);
    return this.told.doing(async () => {
      const stored = await put(true, m.version);
      this.told.say(`${m.name} is off the list.`, () => put(false, stored.version));
    });
  }
}
