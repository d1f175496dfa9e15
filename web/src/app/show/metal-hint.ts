import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { UNKNOWN_MATERIAL } from '@iron-patch/core';

/** Beside a material that nobody knows: how it can be told. What it means there stands within the element. */
@Component({
  selector: 'ip-metal-hint',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (material() === unknown) {
      <p class="quiet">
        Nobody knows what it is? <a routerLink="/sums/sum/which-metal">A magnet, a file and the wheel tell much.</a>
        <ng-content />
      </p>
    }
  `,
})
export class MetalHint {
  readonly material = input.required<string>();
  protected readonly unknown = UNKNOWN_MATERIAL;
}
