import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { calledOff, choiceKey, versionOfChoice } from '@iron-patch/core';
import { FormFrame, inValue, RecordForm, TextField } from '../../form';
import { SheetStore } from '../../sheet-data';

const SCHEMA = choiceInput(choiceKey.calledOff)!;

/** Puts a job away that was made by mistake or that the customer took back, and takes it up again; nothing of it is lost. */
@Component({
  selector: 'ip-call-off',
  imports: [ReactiveFormsModule, FormFrame, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (open()) {
      <form
        ip-form
        [formGroup]="form.group"
        [of]="form"
        [save]="off() === null ? 'Call it off' : 'Take it up again'"
        (left)="open.set(false)"
      >
        <ip-text
          [label]="off() === null ? 'Why is it called off?' : 'Why is it taken up again?'"
          name="whyOff"
          placeholder="made twice, the customer took it back"
          formControlName="why"
        />
      </form>
    } @else {
      <button type="button" (click)="open.set(true)">{{ off() === null ? 'Call this job off' : 'Take this job up again' }}</button>
    }
  `,
})
export class CallOff {
  private readonly store = inject(SheetStore);
  protected readonly off = computed(() => calledOff(this.store.sheet()!));
  protected readonly open = signal(false);
  protected readonly form = new RecordForm<{ readonly why: string }>({
    keptAs: () => `called-off:${this.store.sheet()!.job.id}`,
    start: { why: '' },
    check: ({ why }) => inValue(check(SCHEMA, { value: { off: true, why }, reason: '' })),
    save: ({ why }) => {
      const sheet = this.store.sheet()!;
      const value = { off: this.off() === null, why };
      return this.store.putChoice(choiceKey.calledOff, 'called off', value, '', true, versionOfChoice(sheet, choiceKey.calledOff));
    },
    close: () => {
      this.form.open({ why: '' });
      this.open.set(false);
    },
  });
}
