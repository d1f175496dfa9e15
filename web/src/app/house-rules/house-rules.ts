import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { HOUSE_GRADES } from '@iron-patch/contract';
import {
  formatLength,
  HOUSE_DEFAULT_SCHOOL,
  houseAllowanceMm,
  type HouseRule,
  type LengthUnit,
  type MovedJob,
  type Problem,
} from '@iron-patch/core';
import { OpenJob, ShopStore, ShopTimePipe } from '../data';
import { ChooseField, DraftNote, LengthInput, signedNumber, TextField, type Option } from '../form';
import { RuleChart } from './rule-chart';
import { RuleDesk } from './rule-desk';

const EXAMPLES_MM: Readonly<Record<LengthUnit, readonly number[]>> = { mm: [10, 25, 50, 100], in: [12.7, 25.4, 50.8, 101.6] };

/** The shop's own fits with their reasons: changed only after it was seen which open jobs would move, every version kept. */
@Component({
  selector: 'ip-house-rules',
  imports: [TextField, LengthInput, ChooseField, DraftNote, RuleChart, RouterLink, ShopTimePipe],
  providers: [RuleDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './house-rules.html',
  styleUrl: './house-rules.less',
})
export class HouseRules {
  protected readonly desk = inject(RuleDesk);
  private readonly open = inject(OpenJob);
  private readonly shop = inject(ShopStore);
  protected readonly houseDefault = HOUSE_DEFAULT_SCHOOL;
  protected readonly grades: readonly Option[] = HOUSE_GRADES.map((g) => [g, g] as const);
  protected readonly unit = computed(() => this.open.unit());
  /** Texts of the two plain numbers: what is typed stands, whatever it is worth. */
  protected readonly rate = linkedSignal<string, string>({
    source: () => this.desk.id() + this.desk.version(),
    computation: () => String(this.desk.draft().ratePerDiameter),
  });
  protected readonly factor = linkedSignal<string, string>({
    source: () => this.desk.id() + this.desk.version(),
    computation: () => String(this.desk.draft().mostPlayFactor),
  });
  protected readonly problems = computed<readonly Problem[]>(() => [
    ...this.desk.problems(),
    ...(Number.isNaN(this.desk.draft().ratePerDiameter)
      ? [{ code: 'number', path: 'ratePerDiameter', message: 'A number such as 0.0015, negative for interference.' }]
      : []),
    ...(Number.isNaN(this.desk.draft().mostPlayFactor)
      ? [{ code: 'number', path: 'mostPlayFactor', message: 'A number from 1 to 10.' }]
      : []),
  ]);
  protected readonly line = computed(() => {
    const { name, baseMm, ratePerDiameter } = this.desk.draft();
    return Number.isNaN(ratePerDiameter) ? null : { id: this.desk.id(), name, baseMm, ratePerDiameter };
  });
  protected readonly examples = computed(() => {
    const unit = this.unit();
    const draft = this.desk.draft();
    if (Number.isNaN(draft.ratePerDiameter)) return [];
    return EXAMPLES_MM[unit].map((mm) => {
      const allowance = houseAllowanceMm(draft, mm);
      return {
        at: formatLength(mm, unit, unit === 'mm' ? 0 : 1),
        allowance: `${allowance > 0 ? '+' : ''}${formatLength(allowance, unit)}`,
      };
    });
  });
  protected readonly inForce = computed(() => this.desk.rules().some((r) => r.id === this.desk.id()));

  constructor() {
    const first = this.desk.rules().find((r) => r.id === HOUSE_DEFAULT_SCHOOL) ?? this.desk.rules()[0];
    if (first) this.desk.open(first);
  }

  protected numbers({ baseMm, ratePerDiameter }: Pick<HouseRule, 'baseMm' | 'ratePerDiameter'>): string {
    const unit = this.unit();
    return `${formatLength(baseMm, unit)} ${ratePerDiameter < 0 ? '-' : '+'} ${Math.abs(ratePerDiameter)} per ${unit}`;
  }

  protected name(personId: string | null): string {
    return personId === null ? 'With the shop' : this.shop.personName(personId, 'Somebody');
  }

  protected typeRate(text: string): void {
    this.rate.set(text);
    this.desk.set({ ratePerDiameter: signedNumber(text) });
  }

  protected typeFactor(text: string): void {
    this.factor.set(text);
    this.desk.set({ mostPlayFactor: signedNumber(text) });
  }

  protected size(mm: number | null, unit: LengthUnit): string {
    return mm === null ? 'cannot be worked out' : `${formatLength(mm, unit)} ${unit}`;
  }

  protected movedWords(moved: readonly MovedJob[]): string {
    const verb = this.desk.draft().removed ? 'Withdrawing it' : 'This';
    if (!moved.length) return `${verb} moves no open job.`;
    return `${verb} moves ${moved.length} open job${moved.length > 1 ? 's' : ''}`;
  }

  protected leave(): void {
    const rule = this.desk.rules().find((r) => r.id === this.desk.id());
    if (rule) this.desk.open(rule);
    else this.desk.openNew();
    this.rate.set(String(this.desk.draft().ratePerDiameter));
    this.factor.set(String(this.desk.draft().mostPlayFactor));
  }
}
