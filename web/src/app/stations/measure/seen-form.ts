import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { check, choiceInput } from '@iron-patch/contract';
import { choiceKey, chosenSeen, versionOfChoice, type FeatureFinding, type Problem, type SeenChoice } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { keptDraft, SAME_VALUE } from '../../data';
import { ChooseField, DraftNote, type Option, TextField } from '../../show';

const SCALES: readonly Option[] = [
  ['HRC', 'HRC'],
  ['HB', 'HB'],
  ['HV', 'HV'],
];

const numberOrNull = (text: string): number | null => (text.trim() === '' ? null : Number(text.trim().replace(',', '.')));

/** What is seen or tried rather than measured: surface in words, hardness, clock position to another place. */
@Component({
  selector: 'ip-seen-form',
  imports: [TextField, ChooseField, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); save()" novalidate>
      <ip-draft-note [kept]="kept" />
      <ip-text
        label="Surface, in words"
        name="surface"
        placeholder="scored along 90°, blued, pitted"
        [value]="draft().surface"
        path="value.surface"
        [problems]="problems()"
        (valueChange)="set({ surface: $event })"
      />
      <ip-text
        label="Hardness"
        name="hardness"
        inputmode="decimal"
        [value]="hardness()"
        path="value.hardness"
        [problems]="problems()"
        (valueChange)="hardness.set($event)"
      />
      <ip-choose label="Scale" name="scale" [options]="scales" [value]="draft().scale" (valueChange)="setScale($event)" />
      <ip-text
        label="Clock position, °"
        name="clockPosition"
        inputmode="decimal"
        [value]="clock()"
        path="value.clockDeg"
        [problems]="problems()"
        (valueChange)="clock.set($event)"
      />
      <ip-choose
        label="Told from"
        name="timedTo"
        [options]="others()"
        [value]="draft().timedToFeatureId ?? ''"
        (valueChange)="set({ timedToFeatureId: $event || null })"
      />
      <button type="submit">Keep</button>
    </form>
  `,
  styles: 'form { display: grid; grid-template-columns: 2fr 1fr 90px 1fr 1fr auto; gap: 14px; align-items: end; }',
})
export class SeenForm {
  private readonly store = inject(SheetStore);
  readonly finding = input.required<FeatureFinding>();
  protected readonly scales = SCALES;
  private readonly id = computed(() => this.finding().feature.id);
  private readonly stored = computed(() => chosenSeen(this.store.sheet()!, this.id()), SAME_VALUE);
  private readonly untouched = computed<SeenChoice>(
    () => this.stored() ?? { surface: '', hardness: null, scale: 'HRC', clockDeg: null, timedToFeatureId: null },
  );
  protected readonly draft = linkedSignal<SeenChoice>(() => this.untouched());
  protected readonly hardness = linkedSignal(() => String(this.stored()?.hardness ?? ''));
  protected readonly clock = linkedSignal(() => String(this.stored()?.clockDeg ?? ''));
  private readonly version = computed(() => versionOfChoice(this.store.sheet()!, choiceKey.seen(this.id())));
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly kept = keptDraft(
    () => `seen:${this.id()}`,
    { draft: this.draft, hardness: this.hardness, clock: this.clock },
    {
      untouched: () => ({
        draft: this.untouched(),
        hardness: String(this.stored()?.hardness ?? ''),
        clock: String(this.stored()?.clockDeg ?? ''),
      }),
      rests: { readAt: this.readAt },
    },
  );
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly others = computed<readonly Option[]>(() => [
    ['', 'nothing'],
    ...this.store
      .sheet()!
      .features.filter((f) => f.id !== this.id())
      .map((f) => [f.id, f.name] as const),
  ]);

  protected set(change: Partial<SeenChoice>): void {
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected setScale(scale: string): void {
    this.set({ scale: scale as SeenChoice['scale'] });
  }

  protected save(): void {
    const value = { ...this.draft(), hardness: numberOrNull(this.hardness()), clockDeg: numberOrNull(this.clock()) };
    const key = choiceKey.seen(this.id());
    const checked = check(choiceInput(key)!, { value, reason: '' });
    this.problems.set(checked.ok ? [] : checked.problems);
    if (checked.ok)
      void this.store
        .putChoice(key, `what was seen of ${this.finding().feature.name.toLowerCase()}`, value, '', true, this.readAt())
        .then((saved) => saved && this.kept.done())
        .catch(() => undefined);
  }
}
