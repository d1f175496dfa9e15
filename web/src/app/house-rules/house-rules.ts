import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { HOUSE_GRADES } from '@iron-patch/contract';
import {
  countOf,
  formatLength,
  HOUSE_DEFAULT_SCHOOL,
  houseAllowanceMm,
  type HouseRule,
  type LengthUnit,
  type MovedJob,
} from '@iron-patch/core';
import { OpenJob, ShopStore, ShopTimePipe } from '../data';
import { ChooseField, FormFrame, LengthInput, NumberField, TextField, type Option } from '../form';
import { RuleChart } from './rule-chart';
import { RuleDesk } from './rule-desk';

const EXAMPLES_MM: Readonly<Record<LengthUnit, readonly number[]>> = { mm: [10, 25, 50, 100], in: [12.7, 25.4, 50.8, 101.6] };

/** The shop's own fits with their reasons: changed only after it was seen which open jobs would move, every version kept. */
@Component({
  selector: 'ip-house-rules',
  imports: [ChooseField, FormFrame, LengthInput, NumberField, ReactiveFormsModule, RouterLink, RuleChart, ShopTimePipe, TextField],
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
  /** What the form says, where all its numbers can be read. */
  private readonly read = computed(() => {
    const now = this.desk.form.value();
    const { baseMm, ratePerDiameter } = now as { readonly baseMm: number | null; readonly ratePerDiameter: number | null };
    return baseMm === null || ratePerDiameter === null ? null : now;
  });
  protected readonly line = computed(() => {
    const now = this.read();
    return now && { id: this.desk.id(), name: now.name, baseMm: now.baseMm, ratePerDiameter: now.ratePerDiameter };
  });
  protected readonly examples = computed(() => {
    const unit = this.unit();
    const now = this.read();
    if (!now) return [];
    return EXAMPLES_MM[unit].map((mm) => {
      const allowance = houseAllowanceMm(now, mm);
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

  protected size(mm: number | null, unit: LengthUnit): string {
    return mm === null ? 'cannot be worked out' : `${formatLength(mm, unit)} ${unit}`;
  }

  protected movedWords(moved: readonly MovedJob[]): string {
    const jobs = countOf(moved.length, 'open job');
    if (this.desk.removed()) return moved.length ? `Withdrawing it moves ${jobs}` : 'Withdrawing it moves no open job.';
    return moved.length ? `This moves ${jobs}` : 'This moves no open job.';
  }

  protected leave(): void {
    const rule = this.desk.rules().find((r) => r.id === this.desk.id());
    if (rule) this.desk.open(rule);
    else this.desk.forget();
  }
}
