import { playDistribution, type PlayDistribution, type PlayInputs } from '../../evidence/proof';
import { READ_AS } from '../../making/part';
import { countOf } from '../../terms/words';
import { instrumentOf } from './bias';
import { unitBehind, writtenValue } from './drawing-sheet';
import type { FitFinding } from './fit-finding';
import { goodPieces, pieceName, type ItemFinding, type PieceFinding } from './item-finding';
import type { ProofFinding } from './proof-finding';
import { provedWords } from './proved';
import type { Shop } from './records';
import type { LengthUnit } from '../../terms/quantity';

/** What is known of a pin and its hole: as measured, before that as drawn; a hole that is still to be trued is one size. */
export function playInputs({ measured, dimension, limits }: ProofFinding, mate: FitFinding): Omit<PlayInputs, 'draws' | 'seed'> {
  const tight = mate.figures!.hole.value;
  return {
    pinMm: measured?.value ?? dimension.figure.value,
    pinPlusMinusMm: measured?.plusMinus ?? (limits.upperMm - limits.lowerMm) / 2,
    holeSmallestMm: tight,
    holeLargestMm: mate.toTrue ? tight : mate.hole.largest!.value,
    holePlusMinusMm: mate.hole.shape?.plusMinusMm ?? 0,
  };
}

/** One dimension of a piece as its report tells it. */
export interface ArticleRow {
  readonly name: string;
  readonly from: string;
  readonly to: string;
  /** Smallest to largest of what was read, or what a gauge showed. */
  readonly read: string;
  /** With what it was read, how sure that is, at how many of the spots that it asks. */
  readonly by: string;
  readonly result: string;
}

/** A play of a piece in a hole, as a distribution. */
export interface ArticlePlay {
  readonly mate: FitFinding;
  readonly play: PlayDistribution;
}

/** Everything that was found of one piece. */
export interface Article {
  /** Of which item and piece, as far as there are several. */
  readonly title: string;
  readonly rows: readonly ArticleRow[];
  readonly plays: readonly ArticlePlay[];
  /** How many dimensions are proved and passed, of how many that must be. */
  readonly passed: number;
  readonly due: number;
}

/** How the report tells what it tells. */
export interface Told {
  readonly shop: Shop;
  readonly unit: LengthUnit;
  /** A length in that unit. */
  readonly show: (mm: number) => string;
  /** The shop's day of a time. */
  readonly dayOf: (at: string) => string;
}

const DRAWS = 20_000;
const SEED = 14253;

const each = (words: readonly string[]): string => [...new Set(words)].join(', ');

/** Sizes at 20 °C as they came out: of a diameter its smallest and largest, of an indicator how far it swung. */
function readWords(p: ProofFinding, show: (mm: number) => string): string {
  if (p.gauged) return provedWords(p, show) ?? '-';
  if (!p.measured) return '-';
  if (!p.shape) return show(p.measured.value);
  const [low, high] = [show(p.shape.smallestMm), show(p.shape.largestMm)];
  return low === high ? low : `${low} to ${high}`;
}

function byWords(p: ProofFinding, shop: Shop, show: (mm: number) => string): string {
  if (!p.readings.length) return '-';
  const names = each(p.readings.map((r) => instrumentOf(shop, r.instrumentId)?.name ?? 'an instrument not in the crib'));
  const sure = READ_AS[p.dimension.dimension.what] === 'indicator' ? '' : `, ±${show(p.measured?.plusMinus ?? 0)}`;
  const spots = p.plan && p.plan.spots.length > 1 ? `, ${p.plan.read} of ${countOf(p.plan.spots.length, 'spot')}` : '';
  return `${names}${sure}${spots}`;
}

/** A pass of what is not plainly inside says so. */
const PASSED = {
  fits: 'passed',
  close: 'passed, though nearer to a limit than the instrument can tell',
  out: 'passed, though out',
  unknown: 'passed',
} as const;
const RESULTS = { fits: 'inside, not passed yet', close: 'near a limit, not passed', out: 'out', unknown: 'not read' } as const;

function resultWords(p: ProofFinding, { shop, dayOf }: Told): string {
  const nameOf = (id: string): string => shop.people.find((x) => x.id === id)?.name ?? '';
  if (!p.signed) return p.dimension.mustProve || p.readings.length ? RESULTS[p.verdict] : 'general tolerance, not read';
  const { passed, personId, at, remark } = p.signed;
  return `${passed ? PASSED[p.verdict] : 'failed'}, ${nameOf(personId)} ${dayOf(at)}${remark ? `: ${remark}` : ''}`;
}

function articleOf(found: ItemFinding, piece: PieceFinding, items: readonly ItemFinding[], told: Told): Article {
  const { proofs } = piece;
  const { shop, unit, show } = told;
  const due = proofs.filter((p) => p.dimension.mustProve);
  return {
    title: pieceName(found, piece.piece, items) || found.item.name,
    rows: proofs.map((p) => ({
      name: p.name,
      from: writtenValue(p.dimension, p.limits.lowerMm, unit),
      to: writtenValue(p.dimension, p.limits.upperMm, unit) + unitBehind(p.dimension),
      read: readWords(p, show),
      by: byWords(p, shop, show),
      result: resultWords(p, told),
    })),
    plays: proofs.flatMap((p) =>
      p.measured ? p.play.map(({ mate }) => ({ mate, play: playDistribution({ ...playInputs(p, mate), draws: DRAWS, seed: SEED }) })) : [],
    ),
    passed: due.filter((p) => p.signed?.passed).length,
    due: due.length,
  };
}

/** The report of what was made, piece by piece: every dimension with its limits, what was read, with what and how often, and who passed it. */
export const firstArticle = (items: readonly ItemFinding[], told: Told): Article[] =>
  items.filter((i) => i.part).flatMap((i) => goodPieces(i).map((p) => articleOf(i, p, items, told)));
