import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, featureInput, type FeatureInput } from '@iron-patch/contract';
import {
  defaultClocks,
  defaultStations,
  FOUR_CLOCKS,
  formatPlace,
  fromUnit,
  parseNumberList,
  type FeatureRecord,
  type Problem,
  type Side,
} from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { newId, SheetStore, ShopStore } from '../../data';
import { Field, LengthInput } from '../../show';

const CLOCK_CHOICES = [
  { words: '0°', clocks: [0] },
  { words: '0° and 90°', clocks: [0, 90] },
  { words: '0°, 60°, 120°', clocks: [0, 60, 120] },
  { words: '0°, 45°, 90°, 135°', clocks: [...FOUR_CLOCKS] },
];
const sameList = (p: readonly number[], q: readonly number[]): boolean => p.length === q.length && p.every((x, i) => x === q[i]);

/** One place to measure: where it is, what it fits, and the plan of stations and clock angles. */
@Component({
  selector: 'ip-feature-form',
  imports: [FormsModule, NzInputModule, Field, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (ngSubmit)="save()" novalidate>
      <div class="grid3">
        <ip-field label="Place" path="name" [problems]="problems()" #name>
          <input
            nz-input
            name="name"
            autocomplete="off"
            placeholder="Body, land, bore"
            [id]="name.id"
            [attr.aria-invalid]="name.bad()"
            [attr.aria-describedby]="name.id + '-said'"
            [ngModel]="draft().name"
            (ngModelChange)="set({ name: $event })"
          />
        </ip-field>
        <ip-field label="Outside or inside" #side>
          <select name="side" [id]="side.id" [ngModel]="draft().side" (ngModelChange)="setSide($event)">
            <option value="outside">Outside diameter</option>
            <option value="inside">Inside diameter</option>
          </select>
        </ip-field>
        <ip-field label="Did it wear?" #land>
          <select name="land" [id]="land.id" [ngModel]="draft().land" (ngModelChange)="set({ land: $event })">
            <option value="worn">It ran: may be worn</option>
            <option value="unworn">Never ran: tells the size</option>
          </select>
        </ip-field>
        <ip-length
          label="Starts at"
          [mm]="draft().startMm"
          [unit]="store.unit()"
          path="startMm"
          [problems]="problems()"
          (mmChange)="setPlace({ startMm: $event ?? 0 })"
        />
        <ip-length
          label="Length"
          [mm]="draft().lengthMm"
          [unit]="store.unit()"
          [allowZero]="false"
          path="lengthMm"
          [problems]="problems()"
          (mmChange)="setPlace({ lengthMm: $event ?? 0 })"
        />
        <ip-field label="Fits together with" path="matesFeatureId" [problems]="problems()" #mate>
          <select
            name="mate"
            [id]="mate.id"
            [ngModel]="draft().matesFeatureId ?? ''"
            (ngModelChange)="set({ matesFeatureId: $event || null })"
          >
            <option value="">nothing yet</option>
            @for (m of mates(); track m.id) {
              <option [value]="m.id">{{ m.name }}</option>
            }
          </select>
        </ip-field>
        <ip-field [label]="'Stations, ' + store.unit()" path="stationsMm" [problems]="problems()" #st>
          <input
            nz-input
            name="stations"
            class="fig"
            inputmode="text"
            autocomplete="off"
            [id]="st.id"
            [attr.aria-invalid]="st.bad()"
            [attr.aria-describedby]="st.id + '-said'"
            [ngModel]="stations()"
            (ngModelChange)="typeStations($event)"
          />
        </ip-field>
        <ip-field label="Clock angles" path="clocksDeg" [problems]="problems()" #cl>
          <select name="clocks" [id]="cl.id" [ngModel]="clockChoice()" (ngModelChange)="setClocks($event)">
            @for (c of clockChoices; track c.words; let i = $index) {
              <option [ngValue]="i">{{ c.words }}</option>
            }
          </select>
        </ip-field>
        <ip-field label="Instrument" #inst>
          <select name="instrument" [id]="inst.id" [ngModel]="draft().instrumentId" (ngModelChange)="set({ instrumentId: $event })">
            @for (i of shop.shop().instruments; track i.id) {
              <option [value]="i.id">{{ i.name }}</option>
            }
          </select>
        </ip-field>
      </div>
      <div class="row end">
        <button type="button" (click)="closed.emit()">Leave it</button>
        <button type="submit" class="next" [disabled]="busy()">Save place</button>
      </div>
    </form>
  `,
  styles:
    'form { padding: 12px 0; } .grid3 { display: grid; grid-template-columns: repeat(3, 1fr); gap: 10px 18px; } .end { justify-content: flex-end; }',
})
export class FeatureForm implements OnInit {
  protected readonly store = inject(SheetStore);
  protected readonly shop = inject(ShopStore);
  readonly componentId = input.required<string>();
  readonly record = input<FeatureRecord | null>(null);
  readonly closed = output<void>();
  protected readonly clockChoices = CLOCK_CHOICES;
  protected readonly draft = signal<FeatureInput>({} as FeatureInput);
  protected readonly stations = signal('');
  protected readonly busy = signal(false);
  private readonly attempted = signal(false);
  private readonly stationProblem = signal<Problem | null>(null);
  /** Stations follow the length until somebody types their own. */
  private ownStations = false;
  private opened: FeatureRecord | null = null;
  private readonly key = newId();
  protected readonly mates = computed(() =>
    this.store.sheet()!.features.filter((f) => f.side !== this.draft().side && f.componentId !== this.componentId()),
  );
  protected readonly clockChoice = computed(() =>
    Math.max(
      CLOCK_CHOICES.findIndex((c) => sameList(c.clocks, this.draft().clocksDeg)),
      0,
    ),
  );
  protected readonly problems = computed(() => {
    const own = this.stationProblem();
    const checked = check(featureInput, this.draft());
    return [
      ...(own ? [own] : []),
      ...(checked.ok || !this.attempted() ? [] : checked.problems.map((p) => ({ ...p, path: p.path.replace(/\.\d+$/, '') }))),
    ];
  });

  ngOnInit(): void {
    this.opened = this.record();
    if (this.opened) {
      const { componentId, name, side, startMm, lengthMm, land, matesFeatureId, stationsMm, clocksDeg, instrumentId } = this.opened;
      this.draft.set({
        componentId,
        name,
        side,
        startMm,
        lengthMm,
        land,
        matesFeatureId,
        stationsMm: [...stationsMm],
        clocksDeg: [...clocksDeg],
        instrumentId,
      });
      this.ownStations = true;
    } else this.draft.set(this.fresh());
    this.showStations();
  }

  protected set(change: Partial<FeatureInput>): void {
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected setSide(side: Side): void {
    this.set({ side, clocksDeg: defaultClocks(side), instrumentId: this.instrumentFor(side), matesFeatureId: null });
  }

  protected setPlace(change: Partial<FeatureInput>): void {
    this.set(change);
    const { startMm, lengthMm } = this.draft();
    if (this.ownStations || lengthMm <= 0) return;
    this.set({ stationsMm: defaultStations(startMm, lengthMm) });
    this.showStations();
  }

  protected setClocks(index: number): void {
    this.set({ clocksDeg: [...CLOCK_CHOICES[index]!.clocks] });
  }

  protected typeStations(text: string): void {
    this.ownStations = true;
    this.stations.set(text);
    const parsed = parseNumberList(text);
    this.stationProblem.set(parsed.ok ? null : { ...parsed.problems[0]!, path: 'stationsMm' });
    if (parsed.ok) this.set({ stationsMm: parsed.value.map((v) => fromUnit(v, this.store.unit())) });
  }

  protected async save(): Promise<void> {
    this.attempted.set(true);
    if (this.problems().length) return;
    this.busy.set(true);
    try {
      const saved = this.opened
        ? await this.store.saveFeature(this.opened, this.draft())
        : await this.store.addFeature(this.draft(), this.key);
      if (saved) this.closed.emit();
    } catch {
      // The store has told why; the form stays as it is.
    } finally {
      this.busy.set(false);
    }
  }

  private fresh(): FeatureInput {
    const component = this.store.sheet()!.components.find((c) => c.id === this.componentId());
    const side: Side = component?.role === 'mate' ? 'inside' : 'outside';
    const mates = this.store.sheet()!.features.filter((f) => f.side !== side && f.componentId !== this.componentId() && f.land === 'worn');
    return {
      componentId: this.componentId(),
      name: side === 'inside' ? 'Bore' : 'Body',
      side,
      startMm: 0,
      lengthMm: 40,
      land: 'worn',
      matesFeatureId: mates.length === 1 ? mates[0]!.id : null,
      stationsMm: defaultStations(0, 40),
      clocksDeg: defaultClocks(side),
      instrumentId: this.instrumentFor(side),
    };
  }

  private instrumentFor(side: Side): string {
    const wanted = side === 'inside' ? 'telescoping-gauge' : 'micrometer';
    const unit = this.store.unit();
    const fits = this.shop.shop().instruments.filter((i) => i.kind === wanted);
    return (
      (fits.find((i) => (unit === 'in' ? / in$/.test(i.name) : i.rangeLowMm === 25)) ?? fits[0] ?? this.shop.shop().instruments[0])?.id ??
      ''
    );
  }

  private showStations(): void {
    this.stations.set(
      this.draft()
        .stationsMm.map((mm) => formatPlace(mm, this.store.unit()))
        .join(', '),
    );
  }
}
