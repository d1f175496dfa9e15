import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { choiceKey, chosenSeen, clockWords, inSentence, versionOfChoice, type PlaceFinding, type SeenChoice } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { SAME_VALUE } from '../../data';
import { ChooseField, FormFrame, inValue, NumberField, type Option, RecordForm, TextField } from '../../form';

const SCALES: readonly Option[] = [
  ['HRC', 'HRC'],
  ['HB', 'HB'],
  ['HV', 'HV'],
];
const NOTHING: SeenChoice = { surface: '', hardness: null, scale: 'HRC', clockDeg: null, timedToPlaceId: null };
/** What is checked does not hang on which place it is of. */
const SCHEMA = choiceInput(choiceKey.seen('any'))!;

/** What is seen or tried rather than measured: surface in words, hardness, clock position to another place. */
@Component({
  selector: 'ip-seen-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, NumberField, ChooseField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save what was seen" [closable]="false" [next]="false">
      <div class="line">
        <ip-text label="Surface, in words" name="surface" placeholder="scored along 90°, blued, pitted" formControlName="surface" />
        <ip-number label="Hardness" name="hardness" formControlName="hardness" />
        <ip-choose label="Scale" name="scale" [options]="scales" formControlName="scale" />
        <ip-number label="Clock position, °" name="clockPosition" formControlName="clockDeg" />
        <ip-choose label="Told from" name="timedTo" [options]="others()" [orNull]="true" formControlName="timedToPlaceId" />
      </div>
      @if (stands(); as words) {
        <p class="quiet" aria-live="polite">{{ words }}</p>
      }
    </form>
  `,
  styles:
    '.line { display: grid; grid-template-columns: 2fr 1fr 90px 1fr 1fr; gap: 14px; align-items: start; } @media (max-width: 900px) { .line { grid-template-columns: 1fr 1fr; } }',
})
export class SeenForm {
  private readonly store = inject(SheetStore);
  readonly finding = input.required<PlaceFinding>();
  protected readonly scales = SCALES;
  private readonly id = computed(() => this.finding().place.id);
  private readonly key = computed(() => choiceKey.seen(this.id()));
  private readonly stored = computed<SeenChoice>(() => chosenSeen(this.store.sheet()!, this.id()) ?? NOTHING, SAME_VALUE);
  private readonly version = computed(() => versionOfChoice(this.store.sheet()!, this.key()));
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly form = new RecordForm<SeenChoice>({
    keptAs: this.key,
    start: NOTHING,
    untouched: this.stored,
    check: (value) => inValue(check(SCHEMA, { value, reason: '' })),
    rests: { readAt: this.readAt },
    save: (v) => this.store.putChoice(this.key(), `what was seen of ${this.finding().place.name}`, v, '', true, this.readAt()),
  });
  /** Where it stands, as each end of the picture has it: so nobody turns it the wrong way. */
  protected readonly stands = computed(() => {
    const { clockDeg, timedToPlaceId } = this.form.value();
    if (clockDeg === null || !Number.isFinite(clockDeg)) return '';
    const other = this.store.sheet()!.places.find((f) => f.id === timedToPlaceId);
    return `It stands ${clockWords(clockDeg, other ? inSentence(other.name) : 'the top')}.`;
  });
  protected readonly others = computed<readonly Option[]>(() => [
    ['', 'nothing'],
    ...this.store
      .sheet()!
      .places.filter((f) => f.id !== this.id())
      .map((f) => [f.id, f.name] as const),
  ]);
}
