import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { check, componentInput, type ComponentInput } from '@iron-patch/contract';
import type { COMPONENT_VERDICTS, ComponentRecord } from '@iron-patch/core';
import { newId } from '../../data';
import { SheetStore } from '../../sheet-data';
import { MetalHint } from '../../show';
import { ChooseField, FormFrame, LengthInput, MATERIAL_OPTIONS, RecordForm, TextField, type Option } from '../../form';

export const VERDICT_WORDS: Readonly<Record<(typeof COMPONENT_VERDICTS)[number], string>> = {
  reuse: 'Reuse',
  'clean-up': 'Clean up',
  repair: 'Repair',
  remake: 'Remake',
  buy: 'Buy',
  'customer-supplies': 'Customer supplies',
};
const ROLE_WORDS = {
  worn: 'The worn part, to be remade',
  mate: 'What it runs in (the mate)',
  other: 'Something else that came along',
} as const;

/** What becomes of it, unless somebody says otherwise. */
const USUAL = { worn: 'remake', mate: 'reuse', other: 'reuse' } as const satisfies Record<
  keyof typeof ROLE_WORDS,
  ComponentInput['verdict']
>;

const EMPTY: ComponentInput = {
  parentId: null,
  name: '',
  role: 'worn',
  materialId: 'unknown',
  axisOffsetMm: 0,
  verdict: null,
  asFound: '',
};

/** One component: what it is, how it was found, what becomes of it. */
@Component({
  selector: 'ip-component-form',
  imports: [MetalHint, ReactiveFormsModule, FormFrame, TextField, ChooseField, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save component" (left)="closed.emit()">
      <div class="grid2">
        <ip-text label="Component" name="name" formControlName="name" />
        <ip-choose label="What it is" name="role" [options]="roles" formControlName="role" />
        <ip-choose label="Material" name="material" [options]="materials" formControlName="materialId" />
        <ip-choose label="Verdict" name="verdict" [options]="verdicts" [orNull]="true" formControlName="verdict" />
        <ip-length
          label="Its zero face lies along the worn part at"
          [unit]="store.unit()"
          [allowNegative]="true"
          formControlName="axisOffsetMm"
        />
        <ip-choose label="It came out of" name="parent" [options]="parents()" [orNull]="true" formControlName="parentId" />
        <ip-text class="wide" label="As found, in words" name="asFound" [rows]="1" formControlName="asFound" />
      </div>
      <ip-metal-hint [material]="form.value().materialId" />
    </form>
  `,
})
export class ComponentForm implements OnInit {
  protected readonly store = inject(SheetStore);
  readonly record = input<ComponentRecord | null>(null);
  readonly closed = output<void>();
  protected readonly materials = MATERIAL_OPTIONS;
  protected readonly roles = Object.entries(ROLE_WORDS);
  protected readonly verdicts: readonly Option[] = [['', 'not yet'], ...Object.entries(VERDICT_WORDS)];
  protected readonly parents = computed<readonly Option[]>(() => [
    ['', 'nothing: it stands by itself'],
    ...this.store
      .sheet()!
      .components.filter((c) => c.id !== this.record()?.id)
      .map((c) => [c.id, c.name] as const),
  ]);
  private readonly key = signal(newId());
  /** The record as it was opened: its version goes with the save. */
  private readonly opened = signal<ComponentRecord | null>(null);
  protected readonly form = new RecordForm<ComponentInput>({
    keptAs: () => `component:${this.record()?.id ?? `new:${this.store.sheet()!.job.id}`}`,
    start: EMPTY,
    check: (v) => check(componentInput, v),
    rests: { opened: this.opened, key: this.key },
    save: (v) => {
      const opened = this.opened();
      return opened ? this.store.saveComponent(opened, v) : this.store.addComponent(v, this.key());
    },
    close: () => this.closed.emit(),
  });

  constructor() {
    this.followRole();
  }

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    if (opened) {
      const { parentId, name, role, materialId, axisOffsetMm, verdict, asFound } = opened;
      return this.form.open({ parentId, name, role, materialId, axisOffsetMm, verdict, asFound });
    }
    const hasWorn = this.store.sheet()!.components.some((c) => c.role === 'worn');
    const role = hasWorn ? 'mate' : 'worn';
    this.form.open({ ...EMPTY, role, verdict: USUAL[role] });
  }

  /** The verdict goes with what it is as long as nobody picked another; not where a draft comes back as it was left. */
  private followRole(): void {
    const role = this.form.group.get('role')!;
    const verdict = this.form.group.get('verdict')!;
    let before = role.value as ComponentInput['role'];
    role.valueChanges.pipe(takeUntilDestroyed()).subscribe((now: ComponentInput['role']) => {
      const follows = !this.opened() && role.dirty && verdict.pristine && verdict.value === USUAL[before];
      before = now;
      if (follows) verdict.setValue(USUAL[now]);
    });
  }
}
