import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { CAUTIONS, type Hazard } from '@iron-patch/core';

/** A caution: what, why, and who must decide. */
@Component({
  selector: 'ip-caution',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<p class="said">
    <b>{{ caution().what }}</b> {{ caution().why }} {{ caution().who }}
  </p>`,
  styles: ':host { display: block; } p { font-size: 15px; }',
})
export class CautionNote {
  readonly hazard = input.required<Hazard>();
  protected readonly caution = computed(() => CAUTIONS[this.hazard()]);
}
