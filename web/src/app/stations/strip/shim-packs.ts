import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { LengthUnit, StripChoice } from '@iron-patch/core';
import { FormField, LengthInput, TextField } from '../../form';

type Packs = StripChoice['shims'];

/** Shim packs by side, each with its thickness. */
@Component({
  selector: 'ip-shim-packs',
  imports: [TextField, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (s of packs(); track $index; let i = $index) {
      <div class="shim">
        <ip-text
          label="Shim pack on which side"
          [name]="'shimSide' + i"
          [value]="s.side"
          [path]="i + '.side'"
          [problems]="told()"
          (valueChange)="change(i, { side: $event })"
        />
        <ip-length
          label="Thickness"
          [mm]="s.thicknessMm || null"
          [unit]="unit()"
          [allowZero]="false"
          [path]="i + '.thicknessMm'"
          [problems]="told()"
          (mmChange)="change(i, { thicknessMm: $event ?? 0 })"
        />
        <button type="button" class="plain" [attr.aria-label]="'Remove shim pack ' + (i + 1)" (click)="remove(i)">Remove</button>
      </div>
    }
    <button type="button" (click)="add()">Add a shim pack</button>
  `,
  styles:
    ':host { display: grid; gap: 10px; justify-items: start; } .shim { display: grid; grid-template-columns: 1fr 1fr auto; gap: 20px; align-items: start; width: 100%; } .shim button { margin-top: 22px; }',
})
export class ShimPacks extends FormField<Packs> {
  readonly unit = input.required<LengthUnit>();
  protected readonly packs = computed(() => this.held() ?? []);

  protected add(): void {
    this.hand([...this.packs(), { side: '', thicknessMm: 0 }]);
  }

  protected change(i: number, change: Partial<Packs[number]>): void {
    this.hand(this.packs().map((s, k) => (k === i ? { ...s, ...change } : s)));
  }

  protected remove(i: number): void {
    this.hand(this.packs().filter((_, k) => k !== i));
  }
}
