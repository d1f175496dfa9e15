import { computed, inject, Injectable, signal } from '@angular/core';
import { check, houseRuleInput, routes, type HouseRuleInput, type HouseRulePreview } from '@iron-patch/contract';
import { roundStart, type HouseRuleChange, type HouseRuleRecord, type MovedJob, type Problem } from '@iron-patch/core';
import { Api, ApiProblem, keptDraft, newId, NO_ANSWER, ShopStore, Told } from '../data';

const NEW: HouseRuleInput = {
  name: '',
  baseMm: 0.03,
  ratePerDiameter: 0.001,
  mostPlayFactor: 2,
  grade: 'IT6',
  reason: '',
  removed: false,
  because: '',
};

const inputOf = ({ name, baseMm, ratePerDiameter, mostPlayFactor, grade, reason }: HouseRuleRecord): HouseRuleInput => ({
  name,
  baseMm,
  ratePerDiameter,
  mostPlayFactor,
  grade,
  reason,
  removed: false,
  because: '',
});

/** One house rule being changed: the draft, what it would move, its history, and somebody else's change in the way. */
@Injectable()
export class RuleDesk {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private readonly shop = inject(ShopStore);
  readonly rules = computed(() => this.shop.shop().houseRules);
  readonly id = signal('');
  readonly draft = signal<HouseRuleInput>(NEW);
  /** Version that the draft started from; 0 is a new rule. */
  readonly version = signal(0);
  readonly problems = signal<readonly Problem[]>([]);
  readonly moved = signal<readonly MovedJob[] | null>(null);
  readonly history = signal<readonly HouseRuleChange[]>([]);
  readonly theirs = signal<HouseRuleChange | null>(null);
  readonly message = signal<{ readonly text: string; readonly bad: boolean } | null>(null);
  readonly busy = signal(false);
  /** How far the weighing is, while it is under way. */
  readonly weighed = signal<Pick<HouseRulePreview, 'weighed' | 'open'> | null>(null);
  readonly changed = computed(() => {
    const now = this.inForce();
    return !now || JSON.stringify({ ...inputOf(now), because: '' }) !== JSON.stringify({ ...this.draft(), because: '' });
  });

  private readonly inForce = computed(() => this.rules().find((r) => r.id === this.id()));
  readonly kept = keptDraft(() => (this.inForce() ? `rule:${this.id()}` : 'rule:new'), {
    id: this.id,
    draft: this.draft,
    version: this.version,
  });

  open(rule: HouseRuleRecord): void {
    this.start(rule.id, inputOf(rule), rule.version);
    void this.loadHistory();
  }

  openNew(): void {
    if (this.id() && !this.inForce()) return;
    this.start(newId(), { ...NEW, baseMm: roundStart(this.shop.shop().card.unit, 0.03, 0.001) }, 0);
    this.history.set([]);
  }

  /** Anything typed makes what was shown to move out of date. */
  set(part: Partial<HouseRuleInput>): void {
    this.draft.update((d) => ({ ...d, ...part }));
    this.problems.set([]);
    if (Object.keys(part).some((k) => k !== 'because')) this.moved.set(null);
  }

  bringBack(change: HouseRuleChange): void {
    if (change.rule) this.set({ ...inputOf({ ...change.rule, version: 0 }), because: `Back to version ${change.version}.` });
  }

  async preview(removed = false): Promise<void> {
    this.set({ removed });
    // Why it is changed is asked for when it is accepted, not for looking.
    const looked = { ...this.draft(), because: this.draft().because.trim() || 'to see' };
    const checked = check(houseRuleInput, looked);
    if (!checked.ok) return this.problems.set(checked.problems);
    await this.run(() => this.weigh(checked.value));
  }

  /** Weighs the open jobs, some at a time; what is typed meanwhile, or another rule, ends it. */
  private async weigh(input: HouseRuleInput): Promise<void> {
    const draft = this.draft();
    const moved: MovedJob[] = [];
    for (let last: string | null = ''; last !== null;) {
      const some: HouseRulePreview = await this.api.post(`${routes.houseRulePreview(this.id())}?after=${last}`, input);
      if (this.draft() !== draft) return;
      moved.push(...some.moved);
      this.weighed.set(some.last === null ? null : some);
      last = some.last;
    }
    this.moved.set(moved);
  }

  /** Ends the weighing: nothing was changed by it. */
  stopWeighing(): void {
    this.draft.update((d) => ({ ...d }));
  }

  async accept(): Promise<void> {
    const checked = check(houseRuleInput, this.draft());
    if (!checked.ok) return this.problems.set(checked.problems);
    await this.run(async () => {
      const stored = await this.api.put<HouseRuleChange>(routes.houseRule(this.id()), checked.value, this.version());
      await this.shop.load();
      this.version.set(stored.version);
      this.moved.set(null);
      this.theirs.set(null);
      this.draft.update((d) => ({ ...d, because: '' }));
      this.kept.done();
      this.message.set({
        text: stored.rule ? `${stored.rule.name} is in force.` : 'The rule is withdrawn. Its history stays.',
        bad: false,
      });
      await this.loadHistory();
    });
  }

  /** Somebody changed it meanwhile: save over theirs, now that it was seen. */
  keepMine(): void {
    this.version.set(this.theirs()!.version);
    this.theirs.set(null);
    void this.accept();
  }

  async takeTheirs(): Promise<void> {
    await this.shop.load();
    const rule = this.rules().find((r) => r.id === this.id());
    if (rule) this.open(rule);
    else this.openNew();
  }

  private start(id: string, draft: HouseRuleInput, version: number): void {
    this.id.set(id);
    this.draft.set(draft);
    this.version.set(version);
    this.problems.set([]);
    this.moved.set(null);
    this.theirs.set(null);
    this.message.set(null);
  }

  private async loadHistory(): Promise<void> {
    const id = this.id();
    const history = await this.api.get<HouseRuleChange[]>(routes.houseRuleHistory(id)).catch(this.told.or([]));
    if (id === this.id()) this.history.set(history);
  }

  private async run(act: () => Promise<unknown>): Promise<void> {
    this.busy.set(true);
    this.message.set(null);
    try {
      await act();
    } catch (e) {
      if (e instanceof ApiProblem && e.details.status === 412) this.theirs.set(e.details.current as HouseRuleChange);
      else if (e instanceof ApiProblem) {
        this.problems.set(e.details.problems ?? []);
        this.message.set({ text: `${e.details.title} ${e.details.detail}`, bad: true });
      } else this.message.set({ text: NO_ANSWER, bad: true });
    } finally {
      this.busy.set(false);
      this.weighed.set(null);
    }
  }
}
