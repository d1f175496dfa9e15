import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput, routes } from '@iron-patch/contract';
import { choiceKey, type ChoiceRecord, type UrgencyChoice } from '@iron-patch/core';
import type { RunJob } from '@iron-patch/core/repair/order';
import { Api, SAME_VALUE, Told } from '../data';
import { CheckBox, DateField, FormFrame, inValue, RecordForm, TextField } from '../form';
import { RunOrderStore } from './run-order-store';

const AS_USUAL: UrgencyChoice = { urgent: false, notBefore: null, why: '' };

/** How one job stands among the others: whether somebody stands still without it, and from which day on it can be worked on. */
@Component({
  selector: 'ip-job-urgency',
  imports: [ReactiveFormsModule, CheckBox, DateField, FormFrame, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ job().number }} {{ job().title }}</h2>
    <form ip-form [formGroup]="form.group" [of]="form" save="Keep" [closable]="false" [next]="false">
      <div class="row">
        <ip-check label="Urgent: before the others" name="urgent" formControlName="urgent" />
        <ip-text label="Who stands still without it" name="why" formControlName="why" />
        <ip-date label="Not before" name="notBefore" formControlName="notBefore" />
      </div>
    </form>
  `,
  styles: `
    ip-text {
      flex: 1;
      min-width: 170px;
    }
    ip-date {
      width: 170px;
    }
  `,
})
export class JobUrgency {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private readonly store = inject(RunOrderStore);
  readonly job = input.required<RunJob>();
  private readonly said = computed<UrgencyChoice>(() => ({ ...this.job().toDo.urgency }), SAME_VALUE);
  private readonly version = linkedSignal(() => this.job().toDo.urgencyVersion);
  protected readonly form = new RecordForm<UrgencyChoice>({
    keptAs: () => `urgency.${this.job().id}`,
    start: AS_USUAL,
    untouched: this.said,
    check: (value) => inValue(check(choiceInput(choiceKey.urgency)!, { value, reason: '' })),
    rests: { version: this.version },
    save: async (value) => {
      const { id, number } = this.job();
      const stored = await this.api.put<ChoiceRecord>(routes.choice(id, choiceKey.urgency), { value, reason: '' }, this.version());
      await this.store.load();
      this.told.say(value.urgent ? `${number} goes before the others once it is put in order.` : `${number}: kept.`);
      return stored;
    },
    theirs: (current) => {
      this.version.set((current as ChoiceRecord | null)?.version ?? 0);
      return 'Somebody else said so in the meantime. Keep it again to put yours over theirs.';
    },
  });
}
