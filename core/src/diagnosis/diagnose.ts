import { formatWithUnit, type LengthUnit } from '../quantity';
import { CAUSES, type CauseId } from './causes.data';
import { FINDINGS, type FindingId } from './findings.data';

/** A number with its 95 % band, mm. */
export interface Banded {
  readonly mm: number;
  readonly plusMinusMm: number;
}

/** A hole and what runs in it, as the readings have them; null where they do not say. */
export interface PairEvidence {
  readonly holeName: string;
  readonly pinName: string;
  readonly holeOval: Banded | null;
  readonly pinOval: Banded | null;
  /** Metal gone from the diameter. */
  readonly holeWearMm: number | null;
  readonly pinWearMm: number | null;
  readonly holeShape: 'straight' | 'taper' | 'step' | 'barrel' | 'hourglass' | 'bell-mouth' | 'not known';
  /** The hole was never worn, and yet the pin is loose in it: hole less pin. */
  readonly playMm: number | null;
}

export interface DiagnosisEvidence {
  readonly pairs: readonly PairEvidence[];
  /** Seats of bearings that are under the size they were made to, mm. */
  readonly seatsUnder: readonly { readonly name: string; readonly underMm: number }[];
  /** Places with a track deeper than both its sides, mm. */
  readonly tracks: readonly { readonly name: string; readonly depthMm: number }[];
  readonly bends: readonly { readonly name: string; readonly totalMm: number; readonly plusMinusMm: number }[];
  readonly findings: readonly FindingId[];
  /** Earlier repairs that somebody judged to be the fault. */
  readonly faultyRepairs: readonly string[];
  readonly unit: LengthUnit;
}

/** A cause with what speaks for it. */
export interface RankedCause {
  readonly causeId: CauseId;
  readonly name: string;
  /** Sum of what speaks for it, less what speaks against; more is stronger. */
  readonly weight: number;
  readonly strength: 'strong' | 'fair' | 'a hint';
  /** What speaks against it. */
  readonly against: readonly string[];
  readonly because: readonly string[];
  readonly survivesCopy: boolean;
  readonly cures: readonly string[];
}

/** A pin is called round when its oval is under this share of the hole's. */
const ROUND_SHARE = 0.35;
const WORN_MM = 0.03;
const TRACK_LEAST_MM = 0.02;
/** A pair with this much play where nothing wore was made with it. */
const COPIED_PLAY_MM = 0.15;

type Say = (cause: CauseId, weight: number, because: string) => void;

const surely = (b: Banded | null): number => (b === null ? 0 : Math.max(b.mm - b.plusMinusMm, 0));

function pairSays(p: PairEvidence, show: (mm: number) => string, say: Say, deny: Say): void {
  const [hole, pin] = [surely(p.holeOval), surely(p.pinOval)];
  const [holeName, pinName] = [p.holeName.toLowerCase(), p.pinName.toLowerCase()];
  if (hole > 0 && p.pinOval && p.pinOval.mm < ROUND_SHARE * p.holeOval!.mm)
    say('load-one-way', 4, `${holeName} is oval by ${show(p.holeOval!.mm)} and ${pinName} is round (${show(p.pinOval.mm)})`);
  else if (hole > 0 && p.pinOval === null)
    say('load-one-way', 2, `${holeName} is oval by ${show(p.holeOval!.mm)}; ${pinName} was not measured round the clock`);
  if (pin > 0 && p.holeOval && p.holeOval.mm < ROUND_SHARE * p.pinOval!.mm)
    say('pin-stands', 4, `${pinName} is worn on one side (oval ${show(p.pinOval!.mm)}) and ${holeName} is round`);
  if (p.holeShape === 'bell-mouth' || p.holeShape === 'taper')
    say('misaligned', p.holeShape === 'bell-mouth' ? 3 : 2, `${holeName} is ${p.holeShape === 'taper' ? 'tapered' : 'bell-mouthed'}`);
  const both = (p.holeWearMm ?? 0) > WORN_MM && (p.pinWearMm ?? 0) > WORN_MM;
  if (both && hole === 0 && pin === 0)
    say('dirt', 2, `${holeName} and ${pinName} are both worn evenly, by ${show(p.holeWearMm!)} and ${show(p.pinWearMm!)}`);
  if (both && hole > 0 && pin > 0) say('ordinary-wear', 2, `${holeName} and ${pinName} are both worn, and neither is round`);
  else if (both) say('ordinary-wear', 2, `${holeName} and ${pinName} wore together`);
  if (both) deny('copied-small', 2, `${pinName} is worn too`);
  if (hole === 0 && p.holeOval !== null) deny('load-one-way', 2, `${holeName} is round`);
  if (both) say('dry', 1, `${holeName} and ${pinName} are both worn`);
  if (p.playMm !== null && p.playMm > COPIED_PLAY_MM && (p.holeWearMm ?? 1) < WORN_MM && hole === 0)
    say('copied-small', 3, `${holeName} is as made and round, and yet there is ${show(p.playMm)} of play`);
}

/** How strong the evidence is, in words: a single hint is never a certainty. */
const strengthOf = (weight: number): RankedCause['strength'] => (weight >= STRONG ? 'strong' : weight >= FAIR ? 'fair' : 'a hint');
const STRONG = 4;
const FAIR = 2;

/** Likely causes from the evidence, the strongest first; empty when nothing speaks for any. One fact counts once for a cause. */
export function diagnose(e: DiagnosisEvidence): RankedCause[] {
  const said = new Map<CauseId, Map<string, number>>();
  const denied = new Map<CauseId, Map<string, number>>();
  const put = (into: typeof said, cause: CauseId, weight: number, because: string): void => {
    const there = into.get(cause) ?? new Map<string, number>();
    into.set(cause, there.set(because, Math.max(there.get(because) ?? 0, weight)));
  };
  const say: Say = (cause, weight, because) => put(said, cause, weight, because);
  const deny: Say = (cause, weight, because) => put(denied, cause, weight, because);
  const show = (mm: number): string => formatWithUnit(mm, e.unit);
  e.pairs.forEach((p) => pairSays(p, show, say, deny));
  for (const s of e.seatsUnder) {
    say('spun-inner', 3, `${s.name.toLowerCase()}, a bearing’s seat, is ${show(s.underMm)} under what it was`);
    say('fit-lost', 1, `${s.name.toLowerCase()} has lost its fit`);
  }
  for (const t of e.tracks)
    if (t.depthMm > TRACK_LEAST_MM)
      say('seal-track', 4, `${t.name.toLowerCase()} has a track ${show(t.depthMm)} deep, with sound metal on both sides`);
  for (const b of e.bends)
    if (b.totalMm > b.plusMinusMm) {
      say('overload', 3, `${b.name.toLowerCase()} is bent, ${show(b.totalMm)} on the indicator`);
      say('misaligned', 1, `${b.name.toLowerCase()} is bent`);
    }
  for (const id of e.findings)
    for (const [cause, weight] of Object.entries(FINDINGS[id].causes)) say(cause as CauseId, weight, FINDINGS[id].name.toLowerCase());
  for (const repair of e.faultyRepairs) say('earlier-repair', 4, `an earlier repair is the fault: ${repair}`);
  const sumOf = (facts: Map<string, number> | undefined): number => [...(facts?.values() ?? [])].reduce((s, w) => s + w, 0);
  return [...said]
    .map(([causeId, facts]) => {
      const weight = sumOf(facts) - sumOf(denied.get(causeId));
      return {
        causeId,
        ...CAUSES[causeId],
        weight,
        strength: strengthOf(weight),
        because: [...facts.keys()],
        against: [...(denied.get(causeId)?.keys() ?? [])],
      };
    })
    .filter((c) => c.weight > 0)
    .sort((p, q) => q.weight - p.weight);
}
