import { formatWithUnit } from '../../terms/quantity';
import type { StationStanding } from '../../terms/stations';
import { countOf, inSentence } from '../../terms/words';
import type { BoreFinding } from './bore-finding';
import { chosenPlan, isUnsaved } from './choices';
import type { CutFinding } from './cut-finding';
import type { FitFinding } from './fit-finding';
import { goodPieces, isCutToSize, type ItemFinding, type PieceFinding } from './item-finding';
import type { JobSheet } from './records';
import { stillMoves } from './items';
import { newestRelease } from './release';

export type Standing = Omit<StationStanding, 'id'>;
export const done: Standing = { state: 'done', waitsFor: '' };
const notNeeded: Standing = { state: 'not-needed', waitsFor: '' };
/** Begun, and waiting for something. */
export const underWay = (waitsFor: string): Standing => ({ state: 'under-way', waitsFor });
/** Not begun. */
export const notYet = (waitsFor: string): Standing => ({ state: 'not-yet', waitsFor });
/** Something is wrong. */
export const out = (waitsFor: string): Standing => ({ state: 'out', waitsFor });

/** The stations that stand over items. */
export const ITEM_STATIONS = ['draw', 'plan', 'cut', 'prove'] as const;
export type ItemStation = (typeof ITEM_STATIONS)[number];

interface Given {
  readonly sheet: JobSheet;
  readonly fits: readonly FitFinding[];
  readonly bores: readonly BoreFinding[];
  /** All items of the job: what is joined waits for others. */
  readonly items: readonly ItemFinding[];
}

/** A standing of one piece, with its number where there are several. */
const ofPieces = (item: ItemFinding, standing: (p: PieceFinding) => Standing): Standing => {
  const many = item.pieces.length > 1;
  return together(goodPieces(item).map((p) => [many ? `piece ${p.piece.number}` : '', standing(p)]));
};

/**
 * How several things stand together: something wrong before anything else; done once all that are needed are.
 *
 * @param named each with the name that tells it apart, empty where it needs none
 */
export function together(named: readonly (readonly [name: string, standing: Standing])[]): Standing {
  const needed = named.filter(([, s]) => s.state !== 'not-needed');
  if (needed.length === 0) return notNeeded;
  const say = ([name, s]: readonly [string, Standing]): string => (name ? `${name}: ${s.waitsFor}` : s.waitsFor);
  const wrong = needed.find(([, s]) => s.state === 'out');
  if (wrong) return out(say(wrong));
  const open = needed.find(([, s]) => s.state !== 'done');
  if (!open) return done;
  const begun = needed.some(([, s]) => s.state !== 'not-yet');
  return begun ? underWay(say(open)) : notYet(say(open));
}

const named = (item: ItemFinding): string => inSentence(item.item.name);

function draw(item: ItemFinding, { sheet, fits }: Given): Standing {
  const { part } = item;
  const { kind, steps } = item.item;
  if (kind === 'buy') return notNeeded;
  if (kind === 'join') return steps.length ? done : notYet('what is joined, and how');
  if (!part) return kind === 'make' ? notYet('the new part') : steps.length ? done : notYet(`what is done to ${named(item)}`);
  if (part.problems.length) return out(part.problems[0]!.message);
  if (
    kind === 'make' &&
    !part.part.block &&
    fits.some((f) => f.target) &&
    !part.segments.some((s) => s.fits.length) &&
    !part.segments.some((s) => s.bores.length)
  )
    return underWay('which surface fits the mate');
  const [bare] = part.unlimited;
  if (bare) return underWay(`limits for the ${bare.dimension.label}`);
  const drawing = sheet.choices.find((c) => c.key === item.item.partKey);
  return drawing && isUnsaved(drawing) ? underWay('the drawing to be saved') : done;
}

function plan(item: ItemFinding, { sheet }: Given): Standing {
  const { kind, planKey } = item.item;
  if (kind === 'make' && !item.part?.part.block)
    return item.part ? (chosenPlan(sheet, planKey) ? done : notYet('lathe, bar and tool')) : notYet('a drawn part');
  if (!isCutToSize(item) || kind === 'join') return notNeeded;
  return newestRelease(sheet, item.item.id) ? done : notYet('the release for cutting');
}

function steps(item: ItemFinding): Standing {
  const { steps: all } = item.item;
  const next = all.find((s) => !s.done);
  if (!next) return all.length ? done : notNeeded;
  return all.some((s) => s.done) ? underWay(inSentence(next.what)) : notYet(inSentence(next.what));
}

function cutPiece({ cuts, proofs }: PieceFinding, { sheet }: Given): Standing {
  const under = cuts.find((c) => c.advice.state === 'under');
  if (under) return out(`${under.segment.segment.name} is ${under.segment.segment.side === 'inside' ? 'over' : 'under'} its limit`);
  const made = (c: CutFinding): boolean =>
    c.advice.state === 'in' || proofs.some((p) => p.dimension.figure.key === c.segment.diameter.key && p.readings.length > 0);
  // Of what is milled and drilled nothing is coached: it is made once something of it is read.
  if (!cuts.length && !proofs.some((p) => p.readings.length)) return notYet('the piece to be made and read');
  const open = cuts.find((c) => !made(c));
  if (!open) return done;
  return underWay(
    open.cuts.length
      ? `${formatWithUnit(open.advice.leftMm, sheet.job.unit)} to come off ${inSentence(open.segment.segment.name)}`
      : `the first cut on ${inSentence(open.segment.segment.name)}`,
  );
}

function cutParts(item: ItemFinding, given: Given): Standing {
  if (!newestRelease(given.sheet, item.item.id)) return notYet('the release for cutting');
  const { moved } = item;
  if (moved.length) return out(`${countOf(moved.length, 'released number')} moved: accept or release again`);
  return ofPieces(item, (p) => cutPiece(p, given));
}

/** Items that have to be there first. */
function awaited(item: ItemFinding, given: Given): ItemFinding | undefined {
  const before = given.items.filter((i) => item.item.after.includes(i.item.id) && i !== item);
  return before.find((i) => !['done', 'not-needed'].includes(RULES.cut(i, { ...given, items: [] }).state));
}

function cut(item: ItemFinding, given: Given): Standing {
  const { kind, here } = item.item;
  if (kind === 'buy') return here ? done : underWay('what is bought to come');
  const first = awaited(item, given);
  if (first) return notYet(`${named(first)} first`);
  const parts = kind === 'make' || (isCutToSize(item) && kind !== 'join') ? [['', cutParts(item, given)] as const] : [];
  return together([...parts, ['', steps(item)]]);
}

function provePiece({ proofs }: PieceFinding): Standing {
  if (proofs.every((p) => p.readings.length === 0 && !p.signed)) return notYet('readings of the finished part');
  const due = proofs.filter((p) => p.dimension.mustProve);
  const failed = proofs.find((p) => p.verdict === 'out' && !p.signed?.passed);
  if (failed) return out(`${failed.name} is out of its limits`);
  const refused = proofs.find((p) => p.signed?.passed === false);
  if (refused) return out(`${refused.name} was failed`);
  const unmeasured = due.find((p) => !p.gauged && p.readings.length === 0);
  if (unmeasured) return underWay(`readings of ${inSentence(unmeasured.name)}`);
  const unsigned = due.find((p) => !p.signed);
  if (!unsigned) return done;
  const name = inSentence(unsigned.name);
  return underWay(unsigned.gauged ? `${name} to be tried with a gauge` : `somebody to pass ${name}`);
}

function prove(item: ItemFinding): Standing {
  const { kind, tried } = item.item;
  if (kind === 'buy') return notNeeded;
  const moves = stillMoves(item.item);
  if (moves && item.part) return notYet(`${inSentence(moves.what)} first: it moves sizes`);
  if (kind === 'make' || item.part) return ofPieces(item, provePiece);
  return tried.trim() ? done : notYet(`how ${named(item)} was tried`);
}

const RULES: Readonly<Record<ItemStation, (item: ItemFinding, given: Given) => Standing>> = { draw, plan, cut, prove };

/** Something somebody only thought of by a verdict holds nothing until it is taken up; a new part always does. */
const counts = ({ item }: ItemFinding): boolean => item.kind === 'make' || !item.proposed;

/** How one item stands at a station. */
export const itemStanding = (item: ItemFinding, station: ItemStation, given: Given): Standing =>
  counts(item) ? RULES[station](item, given) : notNeeded;

/** How a station stands over all items. */
export function overItems(station: ItemStation, given: Given): Standing {
  const counted = given.items.filter(counts);
  return together(counted.map((i) => [counted.length > 1 ? named(i) : '', RULES[station](i, given)]));
}
