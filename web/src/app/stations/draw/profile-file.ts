import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { partFromProfile, type LengthUnit, type Part } from '@iron-patch/core';
import { FileField, startsAs } from '../../form';
import { SheetStore } from '../../sheet-data';
import { dxfProfile } from './dxf-profile';

/** Larger files are no half outline. */
const MOST_BYTES = 5_000_000;

/** Begins with a half outline out of a drawing file. */
@Component({
  selector: 'ip-profile-file',
  imports: [FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <ip-file accept=".dxf" [busy]="busy()" (picked)="open($event[0])">Open a DXF file</ip-file>
      <span class="units" role="group" aria-label="Unit of a file that does not say its own">
        @for (u of units; track u) {
          <button type="button" [attr.aria-pressed]="unit() === u" [class.on]="unit() === u" (click)="unit.set(u)">{{ u }}</button>
        }
      </span>
      <span class="quiet">The half outline over its axis: x along it, y = 0 in the middle.</span>
    </div>
    @if (said(); as words) {
      <p class="said" [class.bad]="bad()" [attr.role]="bad() ? 'alert' : 'status'">{{ words }}</p>
    }
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 16px;
      align-items: center;
    }
    .units {
      display: flex;
      gap: 8px;
    }
    .units .on {
      background: var(--blue-soft);
      box-shadow: inset 0 0 0 1px var(--blue);
    }
  `,
})
export class ProfileFile {
  private readonly store = inject(SheetStore);
  readonly drawn = output<Part>();
  protected readonly units: readonly LengthUnit[] = ['mm', 'in'];
  protected readonly unit = startsAs<LengthUnit>(() => this.store.unit());
  protected readonly busy = signal(false);
  protected readonly said = signal('');
  protected readonly bad = signal(false);

  protected async open(file: File | undefined): Promise<void> {
    if (!file) return;
    this.busy.set(true);
    await this.read(file);
    this.busy.set(false);
  }

  private async read(file: File): Promise<void> {
    if (file.size > MOST_BYTES) return this.say('This file is too large for a half outline: 5 MB at most.', true);
    const pieces = await dxfProfile(await file.text(), this.unit());
    const read = pieces.ok ? partFromProfile(pieces.value, this.store.item()?.name ?? 'Part') : pieces;
    if (!read.ok) return this.say(read.problems[0]!.message, true);
    this.say(read.value.doubts.join(' '), false);
    this.drawn.emit(read.value.part);
  }

  private say(words: string, bad: boolean): void {
    this.said.set(words);
    this.bad.set(bad);
  }
}
