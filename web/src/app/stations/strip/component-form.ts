import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { check, componentInput, type ComponentInput } from '@iron-patch/contract';
import type { COMPONENT_VERDICTS } from '@iron-patch/core';
import { MATERIALS, type ComponentRecord } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { newId, SheetStore } from '../../data';
import { Field, LengthInput } from '../../show';

export const VERDICT_WORDS: Readonly<Record<(typeof COMPONENT_VERDICTS)[number], string>> = {
  reuse: 'Reuse',
  'clean-up': 'Clean up',
  repair: 'Repair',
  remake: 'Remake',
  buy: 'Buy',
  'customer-supplies': 'Customer supplies',
};
export const ROLE_WORDS = {
  worn: 'The worn part, to be remade',
  mate: 'What it runs in (the mate)',
  other: 'Something else that came along',
} as const;

const EMPTY: ComponentInput = { name: '', role: 'worn', materialId: 'steel-c45', axisOffsetMm: 0, verdict: null, asFound: '' };

/** One component: what it is, how it was found, what becomes of it. */
@Component({
  selector: 'ip-component-form',
  imports: [FormsModule, NzInputModule, Field, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (ngSubmit)="save()" novalidate>
      <div class="grid2">
        <ip-field label="Component" path="name" [problems]="problems()" #name>
          <input
            nz-input
            name="name"
            autocomplete="off"
            [id]="name.id"
            [attr.aria-invalid]="name.bad()"
            [attr.aria-describedby]="name.id + '-said'"
            [ngModel]="draft().name"
            (ngModelChange)="set({ name: $event })"
          />
        </ip-field>
        <ip-field label="What it is" #role>
          <select name="role" [id]="role.id" [ngModel]="draft().role" (ngModelChange)="set({ role: $event })">
            @for (r of roles; track r[0]) {
              <option [value]="r[0]">{{ r[1] }}</option>
            }
          </select>
        </ip-field>
        <ip-field label="Material" #mat>
          <select name="material" [id]="mat.id" [ngModel]="draft().materialId" (ngModelChange)="set({ materialId: $event })">
            @for (m of materials; track m.id) {
              <option [value]="m.id">{{ m.name }}</option>
            }
          </select>
        </ip-field>
        <ip-field label="Verdict" #ver>
          <select name="verdict" [id]="ver.id" [ngModel]="draft().verdict ?? ''" (ngModelChange)="set({ verdict: $event || null })">
            <option value="">not yet</option>
            @for (v of verdicts; track v[0]) {
              <option [value]="v[0]">{{ v[1] }}</option>
            }
          </select>
        </ip-field>
        <ip-length
          label="Its zero face lies along the worn part at"
          [mm]="draft().axisOffsetMm"
          [unit]="store.unit()"
          [allowNegative]="true"
          path="axisOffsetMm"
          [problems]="problems()"
          (mmChange)="set({ axisOffsetMm: $event ?? 0 })"
        />
        <ip-field label="As found: which way it faced, shims, play, earlier repairs" path="asFound" [problems]="problems()" #found>
          <textarea
            nz-input
            rows="1"
            name="asFound"
            [id]="found.id"
            [attr.aria-invalid]="found.bad()"
            [attr.aria-describedby]="found.id + '-said'"
            [ngModel]="draft().asFound"
            (ngModelChange)="set({ asFound: $event })"
          ></textarea>
        </ip-field>
      </div>
      <div class="row end">
        <button type="button" (click)="closed.emit()">Leave it</button>
        <button type="submit" class="next" [disabled]="busy()">Save component</button>
      </div>
    </form>
  `,
  styles: 'form { padding: 12px 0; } .end { justify-content: flex-end; }',
})
export class ComponentForm implements OnInit {
  protected readonly store = inject(SheetStore);
  readonly record = input<ComponentRecord | null>(null);
  readonly closed = output<void>();
  protected readonly materials = MATERIALS;
  protected readonly roles = Object.entries(ROLE_WORDS);
  protected readonly verdicts = Object.entries(VERDICT_WORDS);
  protected readonly draft = signal<ComponentInput>(EMPTY);
  protected readonly busy = signal(false);
  private readonly attempted = signal(false);
  private readonly key = newId();
  /** The record as it was opened: its version goes with the save. */
  private opened: ComponentRecord | null = null;
  protected readonly problems = computed(() => {
    const checked = check(componentInput, this.draft());
    return checked.ok || !this.attempted() ? [] : checked.problems;
  });

  ngOnInit(): void {
    this.opened = this.record();
    if (this.opened) {
      const { name, role, materialId, axisOffsetMm, verdict, asFound } = this.opened;
      this.draft.set({ name, role, materialId, axisOffsetMm, verdict, asFound });
    } else {
      const hasWorn = this.store.sheet()!.components.some((c) => c.role === 'worn');
      this.draft.set({
        ...EMPTY,
        role: hasWorn ? 'mate' : 'worn',
        verdict: hasWorn ? 'reuse' : 'remake',
        materialId: hasWorn ? 'steel-mild' : 'steel-c45',
      });
    }
  }

  protected set(change: Partial<ComponentInput>): void {
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected async save(): Promise<void> {
    this.attempted.set(true);
    if (this.problems().length) return;
    this.busy.set(true);
    try {
      const saved = this.opened
        ? await this.store.saveComponent(this.opened, this.draft())
        : await this.store.addComponent(this.draft(), this.key);
      if (saved) this.closed.emit();
    } catch {
      // The store has told why; the form stays as it is.
    } finally {
      this.busy.set(false);
    }
  }
}
