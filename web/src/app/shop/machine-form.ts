import { ChangeDetectionStrategy, Component, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, machineInput, routes } from '@iron-patch/contract';
import { MACHINE_KINDS, MACHINE_WORDS, usualMachines, type LengthUnit, type Machine, type UsualMachine } from '@iron-patch/core';
import { newId, ShopStore } from '../data';
import {
  ChooseField,
  DateField,
  FormFrame,
  LengthInput,
  NumberField,
  PickField,
  PlacesField,
  RecordForm,
  TextField,
  UNITS,
  type Option,
} from '../form';
import { Holdings } from './holdings';
import { inputOf, MACHINE_GROUPS, READOUT_OPTIONS, TAKES_A_SIZE, typedMachine, type TypedMachine } from './typed-machine';

/** A machine: its dials as they are marked, what it takes, and how it holds work. */
@Component({
  selector: 'ip-machine-form',
  imports: [ReactiveFormsModule, DateField, FormFrame, TextField, NumberField, ChooseField, PickField, LengthInput, PlacesField, Holdings],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './machine-form.html',
  styles:
    'h3 { margin: 6px 0 0; } .dial { display: grid; gap: 10px 18px; grid-template-columns: 1.3fr 1fr 1fr 1.3fr; align-items: start; } @media (max-width: 900px) { .dial { grid-template-columns: 1fr 1fr; } }',
})
export class MachineForm implements OnInit {
  private readonly shop = inject(ShopStore);
  readonly record = input<Machine | null>(null);
  /** What a new one starts from. */
  readonly like = input<UsualMachine | null>(null);
  readonly closed = output<void>();
  protected readonly kinds: readonly Option[] = MACHINE_KINDS.map((k) => [k, MACHINE_WORDS[k]] as const);
  protected readonly units = UNITS;
  protected readonly readouts: readonly Option[] = READOUT_OPTIONS;
  protected readonly reads: readonly Option[] = [
    ['radius', 'radius: 1 on the dial takes 2 off'],
    ['diameter', 'diameter: as the dial says'],
  ];
  protected readonly sized = TAKES_A_SIZE;
  protected readonly unit = (): LengthUnit => this.shop.shop().card.unit;
  private readonly opened = signal<Machine | null>(null);
  private readonly id = signal(newId());
  protected readonly form = new RecordForm<TypedMachine>({
    keptAs: () => `machine:${this.record()?.id ?? `new:${this.like()?.name ?? ''}`}`,
    start: typedMachine(usualMachines('mm')[0]!, 'mm'),
    groups: MACHINE_GROUPS,
    check: (v) => check(machineInput, inputOf(v)),
    rests: { opened: this.opened, id: this.id },
    save: (v) => this.shop.save(routes.machine(this.opened()?.id ?? this.id()), inputOf(v), this.opened()?.version ?? 0),
    close: () => this.closed.emit(),
    theirs: (current) => {
      this.opened.set(current as Machine);
      return 'Somebody else changed this machine in the meantime. Save again to put yours over theirs, or throw yours away.';
    },
  });

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    this.form.open(typedMachine(opened ?? this.like() ?? usualMachines(this.unit())[0]!, this.unit()));
  }
}
