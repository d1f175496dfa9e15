import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { UNKNOWN_MATERIAL, materialName, type ComponentRecord } from '@iron-patch/core';
import { Told } from '../data';
import { ChooseField, type Option, startsAs } from '../form';
import { SheetStore } from '../sheet-data';

/** Takes a metal that was told at the bench as that of a component of the open job; how it was told goes into the job's notes. */
@Component({
  selector: 'ip-take-metal',
  imports: [ChooseField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (options().length) {
      <div class="send">
        <ip-choose label="Of which component it is" name="component" [value]="id()" [options]="options()" (valueChange)="id.set($event)" />
        <button type="button" [disabled]="busy()" (click)="take()">Take it as {{ name() }}</button>
      </div>
    }
    <p role="status">{{ said() }}</p>
  `,
  styles: '.send { display: flex; gap: 10px; align-items: end; margin-top: 16px; } ip-choose { flex: 1; }',
})
export class TakeMetal {
  private readonly sheet = inject(SheetStore);
  private readonly told = inject(Told);
  /** Of the book. */
  readonly materialId = input.required<string>();
  /** How it was told. */
  readonly text = input.required<string>();
  protected readonly name = computed(() => materialName(this.materialId()));
  /** Those that nobody knows first. */
  private readonly components = computed((): readonly ComponentRecord[] => {
    const all = this.sheet.sheet()?.components ?? [];
    const known = (c: ComponentRecord): number => Number(c.materialId !== UNKNOWN_MATERIAL);
    return [...all].sort((a, b) => known(a) - known(b));
  });
  protected readonly options = computed<readonly Option[]>(() =>
    this.components().map(
      (c) => [c.id, `${c.name}, ${c.materialId === UNKNOWN_MATERIAL ? 'not known' : materialName(c.materialId)}`] as const,
    ),
  );
  protected readonly id = startsAs(() => this.components()[0]?.id ?? '');
  protected readonly busy = signal(false);
  protected readonly said = linkedSignal<string, string>({ source: this.text, computation: () => '' });

  protected async take(): Promise<void> {
    const record = this.components().find((c) => c.id === this.id());
    if (!record) return;
    const { parentId, name, role, axisOffsetMm, verdict, asFound } = record;
    this.busy.set(true);
    try {
      const kept = await this.sheet.saveComponent(record, {
        ...{ parentId, name, role, axisOffsetMm, verdict, asFound },
        materialId: this.materialId(),
      });
      if (!kept) return;
      await this.sheet.addNote({ station: 'strip', text: this.text() });
      this.said.set(`${name} counts as ${this.name()} from now on; how it was told stands in the job’s notes.`);
    } catch (e) {
      this.told.bug(e);
    } finally {
      this.busy.set(false);
    }
  }
}
