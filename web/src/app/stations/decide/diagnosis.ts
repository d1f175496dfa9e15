import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, linkedSignal, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import {
  CAUSE_IDS,
  CAUSES,
  choiceKey,
  chosenRoute,
  FINDING_IDS,
  FINDINGS,
  routesOf,
  findings,
  formatPlace,
  versionOfChoice,
  workDone,
  type CauseId,
  type FindingChoice,
  type FindingId,
  type Item,
  type RankedCause,
  type RouteChoice,
} from '@iron-patch/core';
import { newId, SAME_VALUE } from '../../data';
import { PlacePicker } from '../../picture';
import { SheetStore } from '../../sheet-data';
import { ChooseField, FormFrame, inValue, LengthInput, RecordForm, TextField, type Option, startsAs } from '../../form';
import { DoneBeforePanel } from '../done-before';
import { QuoteDesk } from './quote-desk';
import { RoutesDesk } from './routes-desk';

const SHOWN_REASONS = 3;
const STRENGTH_WORDS: Readonly<Record<RankedCause['strength'], string>> = { strong: 'strong', fair: 'fair', 'a hint': 'a hint' };

/** Cause and route as their form has them. */
type CauseFields = Required<Pick<RouteChoice, 'cause' | 'route' | 'causeId' | 'cure'>>;
const NOTHING: CauseFields = { cause: '', route: '', causeId: '', cure: '' };
const SCHEMA = choiceInput(choiceKey.route)!;

/** What was found and where, the likely causes with what speaks for them, the root cause, and what is done against it. */
@Component({
  selector: 'ip-diagnosis',
  imports: [ChooseField, DoneBeforePanel, FormFrame, LengthInput, QuoteDesk, ReactiveFormsModule, RoutesDesk, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './diagnosis.html',
  styleUrl: './diagnosis.less',
})
export class Diagnosis {
  protected readonly store = inject(SheetStore);
  protected readonly picker = inject(PlacePicker);
  protected readonly findingOptions: readonly Option[] = FINDING_IDS.map((id) => [id, FINDINGS[id].name] as const);
  protected readonly causeOptions: readonly Option[] = [['', 'none of the list'], ...CAUSE_IDS.map((id) => [id, CAUSES[id].name] as const)];
  protected readonly found = computed(() => {
    const sheet = this.store.sheet();
    return sheet ? findings(sheet) : [];
  });
  protected readonly causes = computed(() => this.store.repair()?.diagnosis.causes ?? []);
  protected readonly keptAlive = computed(() => this.store.repair()?.diagnosis.keptAlive ?? null);
  protected readonly components = computed<readonly Option[]>(() =>
    (this.store.sheet()?.components ?? []).map((c) => [c.id, c.name] as const),
  );
  protected readonly strength = STRENGTH_WORDS;
  protected readonly adding = signal(false);
  protected readonly findingId = signal<string>('tight-then-loose');
  protected readonly componentId = startsAs(() => this.components()[0]?.[0] ?? '');
  protected readonly atMm = signal<number | null>(null);
  private readonly stored = computed((): CauseFields => {
    const sheet = this.store.sheet();
    const { cause, route, causeId = '', cure = '' } = (sheet && chosenRoute(sheet)) ?? NOTHING;
    return { cause, route, causeId, cure };
  }, SAME_VALUE);
  private readonly version = computed(() => versionOfChoice(this.store.sheet()!, choiceKey.route));
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly form = new RecordForm<CauseFields>({
    keptAs: () => `diagnosis:${this.store.sheet()!.job.id}`,
    start: NOTHING,
    untouched: this.stored,
    check: (value) => inValue(check(SCHEMA, { value, reason: '' })),
    rests: { readAt: this.readAt },
    save: (v) => this.store.putChoice(choiceKey.route, 'cause and route', v, '', true, this.readAt()),
  });
  protected readonly cures = computed(() => {
    const { causeId } = this.form.value();
    return causeId ? CAUSES[causeId as CauseId].cures : [];
  });
  protected readonly routes = computed(() => [
    ...routesOf(this.store.sheet() ?? { choices: [] }),
    ...workDone(this.store.repair()?.items ?? []),
  ]);

  constructor() {
    inject(DestroyRef).onDestroy(() => this.picker.cancel());
  }

  protected nameOf(f: Item<FindingChoice>): string {
    return FINDINGS[f.value.findingId as FindingId].name;
  }

  protected where(f: Item<FindingChoice>): string {
    const component = this.store.sheet()?.components.find((c) => c.id === f.value.componentId)?.name ?? '';
    const { atMm } = f.value;
    return atMm === null ? component : `${component}, at ${formatPlace(atMm, this.store.unit())} ${this.store.unit()}`;
  }

  protected reasons(because: readonly string[]): string {
    const more = because.length > SHOWN_REASONS ? `; and ${because.length - SHOWN_REASONS} more` : '';
    return because.slice(0, SHOWN_REASONS).join('; ') + more;
  }

  protected add(): void {
    const value: FindingChoice = {
      findingId: this.findingId(),
      componentId: this.componentId(),
      placeId: null,
      atMm: this.atMm(),
      clockDeg: null,
      words: '',
      removed: false,
    };
    void this.store
      .putChoice(choiceKey.finding(newId()), FINDINGS[this.findingId() as FindingId].name.toLowerCase(), value)
      .then(() => {
        this.leave();
        this.atMm.set(null);
      })
      .catch(this.store.bug);
  }

  /** The next touch on the picture says where, along the component that it is on. */
  protected touch(button: EventTarget | null): void {
    if (this.picker.asking()) return this.picker.cancel();
    this.picker.ask((atMm) => {
      const offset = this.store.sheet()?.components.find((c) => c.id === this.componentId())?.axisOffsetMm ?? 0;
      this.atMm.set(atMm - offset);
      (button as HTMLElement | null)?.focus();
    });
  }

  protected leave(): void {
    this.picker.cancel();
    this.adding.set(false);
  }

  protected takeOff(f: Item<FindingChoice>): void {
    void this.store.putChoice(f.key, this.nameOf(f).toLowerCase(), { ...f.value, removed: true }).catch(this.store.bug);
  }

  /** Takes a likely cause over as the root cause; its words stand in for none written yet. */
  protected choose(id: string): void {
    this.form.set({ causeId: id });
    if (id && !this.form.value().cause.trim()) this.form.set({ cause: CAUSES[id as CauseId].name });
  }

  protected addTo(field: 'cure' | 'route', words: string): void {
    const text = this.form.value()[field];
    if (!text.includes(words)) this.form.set({ [field]: text.trim() ? `${text.trim()}; ${words}` : words });
  }
}
