import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, linkedSignal, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
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
  type CauseId,
  type FindingChoice,
  type FindingId,
  type Item,
} from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { keptDraft, SAME_VALUE, newId } from '../../data';
import { PlacePicker } from '../../picture';
import { SheetStore } from '../../sheet-data';
import { ChooseField, DraftNote, LengthInput, type Option } from '../../form';
import { DoneBeforePanel } from '../done-before';
import { QuoteDesk } from './quote-desk';
import { RoutesDesk } from './routes-desk';

const SHOWN_REASONS = 3;

/** What was found and where, the likely causes with what speaks for them, the root cause, and what is done against it. */
@Component({
  selector: 'ip-diagnosis',
  imports: [FormsModule, NzInputModule, ChooseField, LengthInput, DraftNote, RoutesDesk, QuoteDesk, DoneBeforePanel],
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
  protected readonly adding = signal(false);
  protected readonly findingId = signal<string>('tight-then-loose');
  protected readonly componentId = linkedSignal(() => this.components()[0]?.[0] ?? '');
  protected readonly atMm = signal<number | null>(null);
  private readonly stored = computed(() => {
    const sheet = this.store.sheet();
    return sheet ? chosenRoute(sheet) : null;
  }, SAME_VALUE);
  protected readonly cause = linkedSignal(() => this.stored()?.cause ?? '');
  protected readonly route = linkedSignal(() => this.stored()?.route ?? '');
  protected readonly causeId = linkedSignal<string>(() => this.stored()?.causeId ?? '');
  protected readonly cure = linkedSignal(() => this.stored()?.cure ?? '');
  protected readonly cures = computed(() => (this.causeId() ? CAUSES[this.causeId() as CauseId].cures : []));
  protected readonly routes = computed(() => routesOf(this.store.sheet() ?? { choices: [] }));
  protected readonly problem = signal('');
  private readonly version = computed(() => versionOfChoice(this.store.sheet()!, choiceKey.route));
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly kept = keptDraft(
    () => `diagnosis:${this.store.sheet()!.job.id}`,
    { cause: this.cause, route: this.route, causeId: this.causeId, cure: this.cure },
    {
      untouched: () => {
        const { cause = '', route = '', causeId = '', cure = '' } = this.stored() ?? {};
        return { cause, route, causeId, cure };
      },
      rests: { readAt: this.readAt },
    },
  );

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
    this.causeId.set(id);
    if (id && !this.cause().trim()) this.cause.set(CAUSES[id as CauseId].name);
  }

  protected addTo(field: 'cure' | 'route', words: string): void {
    const text = this[field]();
    if (!text.includes(words)) this[field].set(text.trim() ? `${text.trim()}; ${words}` : words);
  }

  protected save(): void {
    if (!this.cause().trim() || !this.route().trim()) return this.problem.set('Write down both: why it wore, and what is done.');
    this.problem.set('');
    const value = { cause: this.cause(), route: this.route(), causeId: this.causeId(), cure: this.cure() };
    void this.store
      .putChoice(choiceKey.route, 'cause and route', value, '', true, this.readAt())
      .then((saved) => saved && this.kept.done())
      .catch(this.store.bug);
  }
}
