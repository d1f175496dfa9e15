import { inSentence } from '../../terms/words';
import { formatLength, MM_PER_INCH } from '../../terms/quantity';
import type { ToleranceGrade } from './iso286';

/**
 * A shop's fit by thou rule: allowance on the diameter = base + rate x diameter. Positive is clearance, negative interference.
 */
export interface HouseRule {
  readonly id: string;
  readonly name: string;
  readonly baseMm: number;
  /** Per unit of diameter, so the same number in inch per inch and mm per mm. */
  readonly ratePerDiameter: number;
  /** The most play this fit may have, in times the new clearance; beyond it the pin knocks. */
  readonly mostPlayFactor: number;
  /** How closely the new part is made. */
  readonly grade: ToleranceGrade;
  readonly reason: string;
}

/** Starting values on the diameter; a shop edits its own. */
export const STARTING_HOUSE_RULES: readonly HouseRule[] = [
  rule('free-oil', 'Free running, oil', 0.001, 0.001, 'Oil film room for a shaft that turns.'),
  rule('grease', 'Running in grease or dirt', 0.002, 0.0015, 'Room for grease and for grit to pass: the house default for outdoor pins.'),
  rule('close', 'Close sliding or locating', 0.0005, 0.0003, 'Goes in by hand and does not rattle.'),
  rule(
    'light-tap',
    'Light tap',
    -0.0004,
    -0.0002,
    'Tight over its whole band, about k6: stays where it is put and comes out with a soft hammer.',
  ),
  rule('press-bush', 'Bronze bush pressed in', -0.0005, -0.001, 'A bronze bush in steel or iron.'),
];

function rule(id: string, name: string, baseIn: number, ratePerDiameter: number, reason: string): HouseRule {
  return { id, name, baseMm: baseIn * MM_PER_INCH, ratePerDiameter, mostPlayFactor: 2, grade: 'IT6', reason };
}

/** The allowance on a diameter, mm. */
export const houseAllowanceMm = (r: Pick<HouseRule, 'baseMm' | 'ratePerDiameter'>, diameterMm: number): number =>
  r.baseMm + r.ratePerDiameter * diameterMm;

/** The rule in words: "house rule grease: 0.002 in + 0.0015 per in". */
export const houseRuleWords = (r: HouseRule): string =>
  `house rule ${inSentence(r.name)}: ${formatLength(r.baseMm, 'in')} in ${r.ratePerDiameter < 0 ? '-' : '+'} ${Math.abs(r.ratePerDiameter)} per in`;
