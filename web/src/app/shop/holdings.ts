import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { HOLDING_KINDS, HOLDING_WORDS, type LatheHolding, type LengthUnit } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { FormField, LengthInput } from '../form';

type Kind = LatheHolding['kind'];

/** How a lathe holds work, and the run-out of each as this shop measured it. */
@Component({
  selector: 'ip-holdings',
  imports: [FormsModule, NzCheckboxModule, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>How it holds work, and the run-out near the jaws where you measured it</legend>
      @for (k of kinds; track k) {
        <div>
          <label
            nz-checkbox
            [name]="'holding-' + k"
            [ngModelOptions]="{ standalone: true }"
            [ngModel]="has().has(k)"
            (ngModelChange)="tick(k, $event)"
            >{{ words[k] }}</label
          >
          @if (has().has(k)) {
            <ip-length
              [spoken]="'Run-out of ' + words[k]"
              [unit]="unit()"
              [optional]="true"
              [mm]="has().get(k)!"
              [path]="at(k) + '.runOutMm'"
              [problems]="told()"
              (mmChange)="runOut(k, $event)"
            />
          }
        </div>
      }
    </fieldset>
  `,
  styles:
    'fieldset { border: 0; padding: 0; margin: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(220px, 1fr)); gap: 4px 18px; } legend { font: 600 15px var(--label); padding: 0; margin-bottom: 2px; } label { min-height: 44px; display: inline-flex; align-items: center; }',
})
export class Holdings extends FormField<readonly LatheHolding[]> {
  readonly unit = input.required<LengthUnit>();
  protected readonly kinds = HOLDING_KINDS;
  protected readonly words = HOLDING_WORDS;
  protected readonly has = computed(() => new Map((this.held() ?? []).map((h) => [h.kind, h.runOutMm] as const)));

  protected at(kind: Kind): number {
    return (this.held() ?? []).findIndex((h) => h.kind === kind);
  }

  protected tick(kind: Kind, on: boolean): void {
    const others = (this.held() ?? []).filter((h) => h.kind !== kind);
    this.hand(on ? [...others, { kind, runOutMm: null }] : others);
  }

  protected runOut(kind: Kind, runOutMm: number | null): void {
    this.hand((this.held() ?? []).map((h) => (h.kind === kind ? { kind, runOutMm } : h)));
  }
}
