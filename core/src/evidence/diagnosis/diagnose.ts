import { inSentence } from '../../terms/words';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { CAUSES, type CauseId } from './causes.data';
import { FINDINGS, type FindingId } from './findings.data';
import { COPIED_PLAY_MM, ROUND_SHARE, SPEAKS, SPEAKS_AGAINST, STRENGTH, TRACK_LEAST_MM, WORN_MM } from './judgement.data';

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

/** @param fact what it is about, where several words may tell the same fact; it counts once */
type Say = (cause: CauseId, weight: number, because: string, fact?: string) => void;

const surely = (b: Banded | null): number => (b === null ? 0 : Math.max(b.mm - b.plusMinusMm, 0));

function pairSays(p: PairEvidence, show: (mm: number) => string, say: Say, deny: Say): void {
  const [hole, pin] = [surely(p.holeOval), surely(p.pinOval)];
  const [holeName, pinName] = [inSentence(p.holeName), inSentence(p.pinName)];
  if (hole > 0 && p.pinOval && p.pinOval.mm < ROUND_SHARE * p.holeOval!.mm)
    say(
      'load-one-way',
      SPEAKS['oval hole, round pin'],
      `${holeName} is oval by ${show(p.holeOval!.mm)} and ${pinName} is round (${show(p.pinOval.mm)})`,
    );
  else if (hole > 0 && p.pinOval === null)
    // However many holes it runs in: it is one pin of which this is not known.
    say(
      'load-one-way',
      SPEAKS['oval hole, pin not measured'],
      `${holeName} is oval by ${show(p.holeOval!.mm)}; ${pinName} was not measured round the clock`,
      `${pinName} not measured`,
    );
  if (pin > 0 && p.holeOval && p.holeOval.mm < ROUND_SHARE * p.pinOval!.mm)
    say(
      'pin-stands',
      SPEAKS['worn pin, round hole'],
      `${pinName} is worn on one side (oval ${show(p.pinOval!.mm)}) and ${holeName} is round`,
    );
  if (p.holeShape === 'bell-mouth' || p.holeShape === 'taper')
    say(
      'misaligned',
      SPEAKS[p.holeShape === 'bell-mouth' ? 'bell mouth' : 'tapered hole'],
      `${holeName} is ${p.holeShape === 'taper' ? 'tapered' : 'bell-mouthed'}`,
    );
  const both = (p.holeWearMm ?? 0) > WORN_MM && (p.pinWearMm ?? 0) > WORN_MM;
  if (both && hole === 0 && pin === 0)
    say(
      'dirt',
      SPEAKS['both worn evenly'],
      `${holeName} and ${pinName} are both worn evenly, by ${show(p.holeWearMm!)} and ${show(p.pinWearMm!)}`,
    );
  if (both && hole > 0 && pin > 0)
    say('ordinary-wear', SPEAKS['both worn and out of round'], `${holeName} and ${pinName} are both worn, and neither is round`);
  else if (both) say('ordinary-wear', SPEAKS['wore together'], `${holeName} and ${pinName} wore together`);
  if (both) deny('copied-small', SPEAKS_AGAINST['the pin is worn too'], `${pinName} is worn too`);
  if (hole === 0 && p.holeOval !== null) deny('load-one-way', SPEAKS_AGAINST['round hole'], `${holeName} is round`);
  if (both) say('dry', SPEAKS['both worn, perhaps dry'], `${holeName} and ${pinName} are both worn`);
  if (p.playMm !== null && p.playMm > COPIED_PLAY_MM && (p.holeWearMm ?? 1) < WORN_MM && hole === 0)
    say('copied-small', SPEAKS['loose as made'], `${holeName} is as made and round, and yet there is ${show(p.playMm)} of play`);
}

/** How strong the evidence is, in words: a single hint is never a certainty. */
const strengthOf = (weight: number): RankedCause['strength'] =>
  weight >= STRENGTH.strong ? 'strong' : weight >= STRENGTH.fair ? 'fair' : 'a hint';

interface Fact {
  readonly weight: number;
  readonly because: string;
}

/** Likely causes from the evidence, the strongest first; empty when nothing speaks for any. One fact counts once for a cause. */
export function diagnose(e: DiagnosisEvidence): RankedCause[] {
  const said = new Map<CauseId, Map<string, Fact>>();
  const denied = new Map<CauseId, Map<string, Fact>>();
  const put = (into: typeof said, cause: CauseId, weight: number, because: string, fact = because): void => {
    const there = into.get(cause) ?? new Map<string, Fact>();
    const before = there.get(fact);
    into.set(cause, there.set(fact, before && before.weight >= weight ? before : { weight, because }));
  };
  const say: Say = (cause, weight, because, fact) => put(said, cause, weight, because, fact);
  const deny: Say = (cause, weight, because, fact) => put(denied, cause, weight, because, fact);
  const show = (mm: number): string => formatWithUnit(mm, e.unit);
  e.pairs.forEach((p) => pairSays(p, show, say, deny));
  for (const s of e.seatsUnder) {
    say('spun-inner', SPEAKS['seat under size'], `${inSentence(s.name)}, a bearing’s seat, is ${show(s.underMm)} under what it was`);
    say('fit-lost', SPEAKS['seat lost its fit'], `${inSentence(s.name)} has lost its fit`);
  }
  for (const t of e.tracks)
    if (t.depthMm > TRACK_LEAST_MM)
      say(
        'seal-track',
        SPEAKS['track between sound metal'],
        `${inSentence(t.name)} has a track ${show(t.depthMm)} deep, with sound metal on both sides`,
      );
  for (const b of e.bends)
    if (b.totalMm > b.plusMinusMm) {
      say('overload', SPEAKS['bent by overload'], `${inSentence(b.name)} is bent, ${show(b.totalMm)} on the indicator`);
      say('misaligned', SPEAKS['bent, so out of line'], `${inSentence(b.name)} is bent`);
    }
  for (const id of e.findings)
    for (const [cause, weight] of Object.entries(FINDINGS[id].causes)) say(cause as CauseId, weight, FINDINGS[id].name.toLowerCase());
  for (const repair of e.faultyRepairs)
    say('earlier-repair', SPEAKS['earlier repair at fault'], `an earlier repair is the fault: ${repair}`);
  const sumOf = (facts: Map<string, Fact> | undefined): number => [...(facts?.values() ?? [])].reduce((s, f) => s + f.weight, 0);
  return [...said]
    .map(([causeId, facts]) => {
      const weight = sumOf(facts) - sumOf(denied.get(causeId));
      return {
        causeId,
        ...CAUSES[causeId],
        weight,
        strength: strengthOf(weight),
        because: [...facts.values()].map((f) => f.because),
        against: [...(denied.get(causeId)?.values() ?? [])].map((f) => f.because),
      };
    })
    .filter((c) => c.weight > 0)
    .sort((p, q) => q.weight - p.weight);
}
