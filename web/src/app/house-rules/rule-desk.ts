import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { check, houseRuleInput, routes, type HouseRuleInput, type HouseRulePreview } from '@iron-patch/contract';
import { roundStart, type HouseRuleChange, type HouseRuleRecord, type MovedJob } from '@iron-patch/core';
import { Api, newId, ShopStore, Told } from '../data';
import { RecordForm } from '../form';

/** What the rule itself says; why it is changed is asked when it is accepted. */
export type RuleFields = Omit<HouseRuleInput, 'removed' | 'because'>;

const NEW: RuleFields = { name: '', baseMm: 0.03, ratePerDiameter: 0.001, mostPlayFactor: 2, grade: 'IT6', reason: '' };

const fieldsOf = ({ name, baseMm, ratePerDiameter, mostPlayFactor, grade, reason }: RuleFields): RuleFields => ({
  ...{ name, baseMm, ratePerDiameter, mostPlayFactor, grade, reason },
});

/** One house rule being changed: what it would move, why it is changed, its history, and somebody else's change in the way. */
@Injectable()
export class RuleDesk {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private readonly shop = inject(ShopStore);
  readonly rules = computed(() => this.shop.shop().houseRules);
  readonly id = signal('');
  /** Version that the draft started from; 0 is a new rule. */
  readonly version = signal(0);
  /** It is to be withdrawn. */
  readonly removed = signal(false);
  readonly moved = signal<readonly MovedJob[] | null>(null);
  readonly history = signal<readonly HouseRuleChange[]>([]);
  readonly theirs = signal<HouseRuleChange | null>(null);
  /** What was just done. */
  readonly done = signal('');
  /** How far the weighing is, while it is under way. */
  readonly weighed = signal<Pick<HouseRulePreview, 'weighed' | 'open'> | null>(null);
  /** Counts weighings: another one, or a number typed, ends the one before. */
  private round = 0;

  private readonly inForce = computed(() => this.rules().find((r) => r.id === this.id()));
  readonly form = new RecordForm<RuleFields>({
    keptAs: () => (this.inForce() ? `rule:${this.id()}` : 'rule:new'),
    start: NEW,
    check: (v) => check(houseRuleInput, this.inputOf(v, 'to see')),
    rests: { id: this.id, version: this.version },
    // Looking stores nothing: the form stays as it is.
    save: () => this.preview().then(() => null),
  });
  readonly why = new RecordForm<{ readonly because: string }>({
    keptAs: () => `rule:${this.id()}:because`,
    start: { because: '' },
    check: ({ because }) => check(houseRuleInput, this.inputOf(this.form.value(), because)),
    save: ({ because }) => this.accept(because),
    theirs: (current) => {
      this.theirs.set(current as HouseRuleChange);
      return '';
    },
    next: () => ({ because: '' }),
  });
  readonly changed = computed(() => {
    const now = this.inForce();
    return !now || JSON.stringify(fieldsOf(now)) !== JSON.stringify(fieldsOf(this.form.value()));
  });

  constructor() {
    // Anything typed makes what was shown to move out of date.
    effect(() => {
      this.form.value();
      untracked(() => this.forget());
    });
  }

  open(rule: HouseRuleRecord): void {
    this.start(rule.id, fieldsOf(rule), rule.version);
    void this.loadHistory();
  }

  openNew(): void {
    if (this.id() && !this.inForce()) return;
    this.start(newId(), { ...NEW, baseMm: roundStart(this.shop.shop().card.unit, 0.03, 0.001) }, 0);
    this.history.set([]);
  }

  bringBack(change: HouseRuleChange): void {
    if (!change.rule) return;
    this.form.set(fieldsOf(change.rule));
    this.why.set({ because: `Back to version ${change.version}.` });
  }

  /** Shows what withdrawing it moves. */
  withdraw(): void {
    this.removed.set(true);
    void this.told.doing(() => this.weigh());
  }

  private async preview(): Promise<void> {
    this.removed.set(false);
    if (this.changed()) await this.weigh();
    else this.done.set('Nothing of it is changed yet.');
  }

  /** Weighs the open jobs, some at a time; what is typed meanwhile, or another rule, ends it. */
  private async weigh(): Promise<void> {
    const round = ++this.round;
    const input = this.inputOf(this.form.value(), 'to see');
    const moved: MovedJob[] = [];
    this.done.set('');
    try {
      for (let last: string | null = ''; last !== null;) {
        const some: HouseRulePreview = await this.api.post(`${routes.houseRulePreview(this.id())}?after=${last}`, input);
        if (this.round !== round) return;
        moved.push(...some.moved);
        this.weighed.set(some.last === null ? null : some);
        last = some.last;
      }
      this.moved.set(moved);
    } finally {
      if (this.round === round) this.weighed.set(null);
    }
  }

  /** Ends the weighing, and takes what was shown back: nothing was changed by it. */
  forget(): void {
    this.round += 1;
    this.weighed.set(null);
    this.moved.set(null);
    this.removed.set(false);
  }

  private async accept(because: string): Promise<HouseRuleChange> {
    const input = this.inputOf(this.form.value(), because);
    const stored = await this.api.put<HouseRuleChange>(routes.houseRule(this.id()), input, this.version());
    await this.shop.load();
    this.version.set(stored.version);
    this.forget();
    this.theirs.set(null);
    this.form.kept.done();
    this.done.set(stored.rule ? `${stored.rule.name} is in force.` : 'The rule is withdrawn. Its history stays.');
    await this.loadHistory();
    return stored;
  }

  /** Somebody changed it meanwhile: save over theirs, now that it was seen. */
  keepMine(): void {
    this.version.set(this.theirs()!.version);
    this.theirs.set(null);
    void this.why.submit();
  }

  async takeTheirs(): Promise<void> {
    await this.shop.load();
    const rule = this.rules().find((r) => r.id === this.id());
    if (rule) this.open(rule);
    else this.openNew();
  }

  private inputOf(fields: RuleFields, because: string): HouseRuleInput {
    return { ...fieldsOf(fields), removed: this.removed(), because };
  }

  private start(id: string, fields: RuleFields, version: number): void {
    this.id.set(id);
    this.version.set(version);
    this.form.open(fields);
    this.why.open({ because: '' });
    this.forget();
    this.theirs.set(null);
    this.done.set('');
  }

  private async loadHistory(): Promise<void> {
    const id = this.id();
    const history = await this.api.get<HouseRuleChange[]>(routes.houseRuleHistory(id)).catch(this.told.or([]));
    if (id === this.id()) this.history.set(history);
  }
}
