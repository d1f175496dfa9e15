import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { CLAMPS, HOLDING_KINDS, HOLDING_WORDS, type LatheHolding, type LengthUnit } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { FormField, LengthInput, NumberField } from '../form';

type Kind = LatheHolding['kind'];

/** How a lathe holds work, the run-out of each as this shop measured it, and how fast it may turn. */
@Component({
  selector: 'ip-holdings',
  imports: [FormsModule, NzCheckboxModule, LengthInput, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset>
      <legend>How it holds work, the run-out near the jaws where you measured it, and the rpm stamped on it</legend>
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
              (mmChange)="change(k, { runOutMm: $event })"
            />
            @if (clamps.includes(k)) {
              <ip-number
                [spoken]="'Fastest for ' + words[k] + ', rpm'"
                placeholder="at most, rpm"
                [name]="'most-' + k"
                [value]="most().get(k) ?? null"
                [path]="at(k) + '.mostRpm'"
                [problems]="told()"
                (valueChange)="change(k, { mostRpm: $event })"
              />
            }
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

  protected readonly most = computed(() => new Map((this.held() ?? []).map((h) => [h.kind, h.mostRpm] as const)));
  protected readonly clamps: readonly Kind[] = CLAMPS;

  protected at(kind: Kind): number {
    return (this.held() ?? []).findIndex((h) => h.kind === kind);
  }

  protected tick(kind: Kind, on: boolean): void {
    const others = (this.held() ?? []).filter((h) => h.kind !== kind);
    this.hand(on ? [...others, { kind, runOutMm: null }] : others);
  }

  protected change(kind: Kind, what: Partial<LatheHolding>): void {
    this.hand((this.held() ?? []).map((h) => (h.kind === kind ? { ...h, ...what } : h)));
  }
}
