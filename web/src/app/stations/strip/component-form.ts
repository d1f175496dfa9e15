import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { check, componentInput, type ComponentInput } from '@iron-patch/contract';
import type { COMPONENT_VERDICTS, ComponentRecord } from '@iron-patch/core';
import { keptDraft, newId } from '../../data';
import { SheetStore } from '../../sheet-data';
import { ChooseField, DraftNote, LengthInput, MATERIAL_OPTIONS, TextField, type Option } from '../../show';

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

const EMPTY: ComponentInput = {
  parentId: null,
  name: '',
  role: 'worn',
  materialId: 'steel-c45',
  axisOffsetMm: 0,
  verdict: null,
  asFound: '',
};

/** One component: what it is, how it was found, what becomes of it. */
@Component({
  selector: 'ip-component-form',
  imports: [TextField, ChooseField, DraftNote, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); save()" novalidate>
      <ip-draft-note [kept]="kept" />
      <div class="grid2">
        <ip-text
          label="Component"
          name="name"
          [value]="draft().name"
          path="name"
          [problems]="problems()"
          (valueChange)="set({ name: $event })"
        />
        <ip-choose label="What it is" name="role" [options]="roles" [value]="draft().role" (valueChange)="setRole($event)" />
        <ip-choose
          label="Material"
          name="material"
          [options]="materials"
          [value]="draft().materialId"
          path="materialId"
          [problems]="problems()"
          (valueChange)="set({ materialId: $event })"
        />
        <ip-choose label="Verdict" name="verdict" [options]="verdicts" [value]="draft().verdict ?? ''" (valueChange)="setVerdict($event)" />
        <ip-length
          label="Its zero face lies along the worn part at"
          [mm]="draft().axisOffsetMm"
          [unit]="store.unit()"
          [allowNegative]="true"
          path="axisOffsetMm"
          [problems]="problems()"
          (mmChange)="set({ axisOffsetMm: $event ?? 0 })"
        />
        <ip-choose
          label="It came out of"
          name="parent"
          [options]="parents()"
          [value]="draft().parentId ?? ''"
          path="parentId"
          [problems]="problems()"
          (valueChange)="set({ parentId: $event || null })"
        />
        <ip-text
          label="As found, in words"
          name="asFound"
          [rows]="1"
          [value]="draft().asFound"
          path="asFound"
          [problems]="problems()"
          (valueChange)="set({ asFound: $event })"
        />
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
  protected readonly draft = signal<ComponentInput>(EMPTY);
  protected readonly busy = signal(false);
  private readonly attempted = signal(false);
  private readonly key = signal(newId());
  /** The record as it was opened: its version goes with the save. */
  private readonly opened = signal<ComponentRecord | null>(null);
  protected readonly kept = keptDraft(() => `component:${this.record()?.id ?? `new:${this.store.sheet()!.job.id}`}`, {
    draft: this.draft,
    opened: this.opened,
    key: this.key,
  });
  protected readonly problems = computed(() => {
    const checked = check(componentInput, this.draft());
    return checked.ok || !this.attempted() ? [] : checked.problems;
  });

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    if (opened) {
      const { parentId, name, role, materialId, axisOffsetMm, verdict, asFound } = opened;
      this.draft.set({ parentId, name, role, materialId, axisOffsetMm, verdict, asFound });
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

  protected setRole(role: string): void {
    this.set({ role: role as ComponentInput['role'] });
  }

  protected setVerdict(verdict: string): void {
    this.set({ verdict: (verdict || null) as ComponentInput['verdict'] });
  }

  protected set(change: Partial<ComponentInput>): void {
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected async save(): Promise<void> {
    this.attempted.set(true);
    if (this.problems().length) return;
    this.busy.set(true);
    try {
      const opened = this.opened();
      const saved = opened ? await this.store.saveComponent(opened, this.draft()) : await this.store.addComponent(this.draft(), this.key());
      if (!saved) return;
      this.kept.done();
      this.closed.emit();
    } catch {
      // The store has told why; the form stays as it is.
    } finally {
      this.busy.set(false);
    }
  }
}
