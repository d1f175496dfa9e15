import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { choiceKey, chosenStrip, versionOfChoice, type ComponentRecord, type StripChoice } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { CheckBox, FormFrame, inValue, LengthInput, RecordForm, TextField } from '../../form';
import { ShimPacks } from './shim-packs';

const NOTHING: StripChoice = { faced: '', shims: [], endPlayMm: null, sidePlayMm: null, noPlay: false, damaged: '' };
/** What is checked does not hang on which component it is of. */
const SCHEMA = choiceInput(choiceKey.strip('any'))!;

/** Written down before it is undone: which way it faced, shim packs by side, play, what had to be damaged. */
@Component({
  selector: 'ip-as-found-form',
  imports: [ReactiveFormsModule, FormFrame, LengthInput, TextField, CheckBox, ShimPacks],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save as found" (left)="closed.emit()">
      <div class="grid2">
        <ip-text label="Which way it faced, and its match marks" name="faced" [rows]="2" formControlName="faced" />
        <ip-text label="What had to be damaged to get it open" name="damaged" [rows]="2" formControlName="damaged" />
        <ip-length label="End play as found" [unit]="store.unit()" formControlName="endPlayMm" />
        <ip-length label="Side play as found" [unit]="store.unit()" formControlName="sidePlayMm" />
      </div>
      <ip-shim-packs [unit]="store.unit()" formControlName="shims" />
      <ip-check label="It had no play or shims to measure" name="noPlay" formControlName="noPlay" />
    </form>
  `,
})
export class AsFoundForm implements OnInit {
  protected readonly store = inject(SheetStore);
  readonly component = input.required<ComponentRecord>();
  readonly closed = output<void>();
  private readonly readAt = signal(0);
  private readonly key = computed(() => choiceKey.strip(this.component().id));
  protected readonly form = new RecordForm<StripChoice>({
    keptAs: this.key,
    start: NOTHING,
    check: (value) => inValue(check(SCHEMA, { value, reason: '' })),
    rests: { readAt: this.readAt },
    save: (v) => this.store.putChoice(this.key(), `${this.component().name} as found`, v, '', true, this.readAt()),
    close: () => this.closed.emit(),
  });

  ngOnInit(): void {
    const sheet = this.store.sheet()!;
    this.form.open(chosenStrip(sheet, this.component().id) ?? NOTHING);
    this.readAt.set(versionOfChoice(sheet, this.key()));
  }
}
