import { toleranceWidth } from '../../book/fits';
import { normalDraws, seededRandom } from '../../evidence/proof';
import { advise, type CoachSettings } from './coach';
import { skimmed, take, type Draws, type LatheTemper, type SimulatedWork } from './simulated-lathe';
import type { CutRecord } from './tool-habit';

/** Lathes that the coach is tried on; the shares are drawn anew for each part. */
export const TEMPERS = {
  stiff: { lost: [0, 0], spring: [0, 0.02] },
  'takes 70 to 95 %': { lost: [0.05, 0.3], spring: [0, 0.02] },
  'springs 2 to 10 %': { lost: [0, 0], spring: [0.02, 0.1] },
  'springs 5 to 30 %': { lost: [0, 0], spring: [0.05, 0.3] },
  // Neither of the ways in which the coach thinks that the push grows with the chip.
  'springs as a round nose does': { lost: [0, 0.1], spring: [0.02, 0.15], pushExponent: 0.6 },
} as const satisfies Readonly<Record<string, Pick<LatheTemper, 'pushExponent'> & Record<'lost' | 'spring', readonly [number, number]>>>;
export type TemperName = keyof typeof TEMPERS;

/** Who turns: the coach, or the rule of thumb that it has to beat. */
export type Turner = 'coach' | 'half, then the rest';

export interface CoachScore {
  readonly parts: number;
  /** Under the lower limit in truth. */
  readonly scrapped: number;
  /** Within the limits in truth, by the tool or by the emery it was handed to. */
  readonly inLimits: number;
  /** Of those, how many were handed to emery, file or grinder. */
  readonly polished: number;
  /** Mean number of cuts after the skim. */
  readonly cuts: number;
}

const ALPHA_PER_K = 11.5e-6;
const SHOP_C = 20;
/** What the last emery leaves beside the middle of the limits, mm. */
const EMERY_SD_MM = 0.003;
const MOST_CUTS = 14;
const between = ({ uniform }: Draws, [a, b]: readonly [number, number]): number => a + (b - a) * uniform();

/** What a micrometer tells of it, put right to 20 °C by a temperature that is itself read. */
function measure(work: SimulatedWork, uMm: number, { normal }: Draws): number {
  const read = work.diameterMm * (1 + ALPHA_PER_K * (work.tempC - 20)) + uMm * normal();
  const tempC = work.tempC + 1.5 * normal();
  return read * (1 - ALPHA_PER_K * (tempC - 20));
}

/** Where the rule of thumb sets the dial next: half of what is left, then all of it, again and again; null once it is in. */
function thumb(cuts: readonly CutRecord[], s: CoachSettings): number | null {
  const last = cuts.at(-1)!;
  const aim = (s.limits.lowerMm + s.limits.upperMm) / 2;
  const left = last.measuredMm - aim;
  if (last.measuredMm <= s.limits.upperMm) return null;
  return last.dial + (cuts.length === 1 ? left / 2 : left);
}

interface Turned {
  readonly diameterMm: number;
  readonly cuts: number;
  readonly polished: boolean;
}

/** One part turned from a skim to the end. */
function turn(s: CoachSettings, temper: LatheTemper, startMm: number, turner: Turner, draws: Draws, uMm: number): Turned {
  let work = skimmed(startMm, 0.3, temper, SHOP_C);
  let cuts: CutRecord[] = [{ dial: 0, measuredMm: measure(work, uMm, draws) }];
  for (let i = 0; i < MOST_CUTS; i++) {
    const advice = turner === 'coach' ? advise(cuts, { ...s, part: { ...s.part, tempC: work.tempC } }) : null;
    if (advice?.state === 'cool') {
      work = { ...work, tempC: SHOP_C };
      cuts = [...cuts.slice(0, -1), { ...cuts.at(-1)!, measuredMm: measure(work, uMm, draws) }];
      continue;
    }
    if (advice?.state === 'polish')
      return { diameterMm: advice.aimMm + EMERY_SD_MM * draws.normal(), cuts: cuts.length - 1, polished: true };
    const dial = advice ? (advice.state === 'cut' || advice.state === 'spring' ? advice.nextDial : null) : thumb(cuts, s);
    if (dial === null) break;
    work = take(work, dial, temper, SHOP_C, draws);
    cuts = [...cuts, { dial, measuredMm: measure(work, uMm, draws) }];
  }
  return { diameterMm: work.diameterMm, cuts: cuts.length - 1, polished: false };
}

/**
 * How parts of IT7 come out on simulated lathes, 18 to 80 mm and 0.8 to 3 mm on the diameter to come off, with a micrometer of 0.002 mm.
 *
 * @param parts how many
 * @param firstSeed of the first; every part has one of its own
 * @param leastChipMm a side: 0.05 of carbide, 0.01 of honed high-speed steel
 */
export function coachScore(temper: TemperName, turner: Turner, parts: number, firstSeed: number, leastChipMm = 0.01): CoachScore {
  const uMm = 0.002;
  let [scrapped, inLimits, polished, cuts] = [0, 0, 0, 0];
  for (let i = 0; i < parts; i++) {
    const uniform = seededRandom(firstSeed + i);
    const draws = { uniform, normal: normalDraws(uniform) };
    const nominal = between(draws, [18, 80]);
    const grade = toleranceWidth('IT7', nominal);
    const width = grade.ok ? grade.value : 0;
    const limits = { lowerMm: nominal - width, upperMm: nominal };
    const own = TEMPERS[temper];
    const lathe: LatheTemper = {
      lost: between(draws, own.lost),
      spring: between(draws, own.spring),
      pushExponent: 'pushExponent' in own ? own.pushExponent : 1,
      dialMm: 0.004,
      leastChipMm,
      warmKPerMm: between(draws, [0, 4]),
    };
    const settings: CoachSettings = {
      ...{
        lathe: { cross: { unit: 'mm', perTurn: 4, perLine: 0.02, reads: 'diameter' } },
        unit: 'mm',
        limits,
        side: 'outside',
        rises: false,
      },
      ...{ leastChipMm, roughMostMm: 4, finishMm: 0.6, plusMinusMm: 2 * uMm, noDust: false },
      part: { tempC: SHOP_C, shopC: SHOP_C, alphaPerK: ALPHA_PER_K },
    };
    const made = turn(settings, lathe, nominal + between(draws, [0.8, 3]), turner, draws, uMm);
    cuts += made.cuts;
    if (made.diameterMm < limits.lowerMm) scrapped++;
    else if (made.diameterMm <= limits.upperMm) {
      inLimits++;
      if (made.polished) polished++;
    }
  }
  return { parts, scrapped, inLimits, polished, cuts: cuts / parts };
}
