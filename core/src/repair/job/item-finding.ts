import { withLater } from '../../terms/kept';
import type { Figure } from '../../terms/working';
import { isDiameterOfSurface } from '../../making/part';
import type { Schedule } from '../../making/schedule';
import type { Lathe } from '../../making/setups';
import type { BoreFinding } from './bore-finding';
import { boringFinding, type BoringFinding } from './boring-finding';
import { dialOfBore, millOf } from './bored-on';
import { blockPlan, type BlockPlan } from './block-plan';
import { chosenPlan } from './choices';
import { inCutOrder } from './cut-order';
import { cutFindings, type CutFinding } from './cut-finding';
import type { FitFinding } from './fit-finding';
import { movedLastAt, type JobItem } from './items';
import { jointHoles } from './drilled-together';
import { joinedFinding } from './joined-finding';
import { partFinding, type PartFinding } from './part-finding';
import { piecesOf, type Piece } from './pieces';
import type { PlaceFinding } from './place-finding';
import { planFinding, usualPlan, type PlanFinding } from './plan-finding';
import { proofFindings, type ProofFinding } from './proof-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';
import { movedFigures, newestRelease, releasable, type MovedFigure } from './release';
import { reworkFinding } from './rework-finding';
import { reworkPlan, type ReworkPlan } from './rework-plan';
import { pressFinding, type PressFinding } from './pressed';
import { tappedFor } from './tapped-for';
import { sizeCuts, type SizeCut } from './size-cut';
import { trialsOf } from './tried';
import { weldFinding, type WeldFinding } from './welded';

/** One piece of an item at the machine and finished. */
export interface PieceFinding {
  readonly piece: Piece;
  readonly cuts: readonly CutFinding[];
  /** What is cut and is no diameter of a surface: depths, widths, lengths, floors of grooves. */
  readonly sizes: readonly SizeCut[];
  readonly proofs: readonly ProofFinding[];
}

/** All that follows for one item of the job. */
export interface ItemFinding {
  readonly item: JobItem;
  /** 1, 2, 3 as on the card. */
  readonly number: number;
  /** What is drawn of it: a new part, or what is cut of a component that stays; null where nothing is. */
  readonly part: PartFinding | null;
  readonly plan: PlanFinding | null;
  /** Of a rework that cuts something to a size: holding, passes, speeds. */
  readonly rework: ReworkPlan | null;
  /** Of a block; its stock and faces in place of bar and set-ups. */
  readonly blockPlan: BlockPlan | null;
  /** Of a rework that is bored, and of a block with bored holes: how it is held for that. */
  readonly boring: BoringFinding | null;
  /** The lathe whose dials the coach reads. */
  readonly lathe: Lathe | null;
  /** Where it is straightened: how it lies in the press, and what each push left; null where it is not. */
  readonly press: PressFinding | null;
  /** Where it is welded: what the seam takes, in which order it is laid; null where it is not. */
  readonly weld: WeldFinding | null;
  /** Holes that are drilled and reamed through what it joins, or drilled and tapped for what is made with it. */
  readonly holes: readonly Schedule[];
  readonly pieces: readonly PieceFinding[];
  readonly releasable: readonly Figure[];
  readonly moved: readonly MovedFigure[];
}

/** What of the evidence an item is worked out from. */
export interface ItemInputs {
  readonly places: readonly PlaceFinding[];
  readonly fits: readonly FitFinding[];
  readonly bores: readonly BoreFinding[];
  /** The same before anything was reworked here: what a rework goes by. */
  readonly asked: Pick<ItemInputs, 'places' | 'fits' | 'bores'>;
  readonly live: readonly ReadingRecord[];
  readonly sheet: JobSheet;
  readonly shop: Shop;
}

function partOf(item: JobItem, { places, fits, bores, asked, sheet }: ItemInputs, joined: readonly ItemFinding[]): PartFinding | null {
  if (item.kind === 'join') return joinedFinding(item, joined);
  if (item.kind === 'make') return partFinding(fits, bores, sheet, item.partKey);
  return item.kind === 'rework' ? reworkFinding(item, places, asked.fits, asked.bores, sheet) : null;
}

/** Released figures of several items lie in one list of accepted numbers: all but the job's own new part have the item before their key. */
const ofItem = (figures: readonly Figure[], item: JobItem, jobId: string): Figure[] =>
  figures.map((f) => (item.id === jobId ? f : { ...f, key: `item.${item.id}.${f.key}` }));

/** The items of a job in their order; what is joined is worked out after what it joins. */
export function itemFindings(items: readonly JobItem[], given: ItemInputs): ItemFinding[] {
  const single = items.map((item, i) => (item.kind === 'join' ? null : itemFinding(item, i, given, [], items)));
  return items.map((item, i) => {
    const joined = single.filter((f): f is ItemFinding => f !== null && item.after.includes(f.item.id));
    return single[i] ?? itemFinding(item, i, given, joined, items);
  });
}

function itemFinding(
  item: JobItem,
  index: number,
  given: ItemInputs,
  joined: readonly ItemFinding[],
  items: readonly JobItem[],
): ItemFinding {
  const { live, sheet, shop } = given;
  const part = partOf(item, given, joined);
  // What is drawn has to follow each number at once: how it is held and cut is worked out where somebody asks for it.
  const lazy = withLater({}, { plan: () => planFinding(part, sheet, shop, item) });
  const bought = (id: string): boolean => lazy.plan?.asBought?.ids.includes(id) ?? false;
  const chosen = chosenPlan(sheet, item.planKey);
  const lathe = shop.lathes.find((l) => l.id === chosen?.latheId) ?? shop.lathes[0] ?? null;
  const boring = boringFinding(item, part, given.asked.places, chosen, lathe, sheet, shop);
  const plan = chosen ?? (lathe && usualPlan(lathe));
  const ofBlock = blockPlan(part, shop, sheet.job.unit, boring?.chosen, plan, lathe);
  const bores = lathe && boring?.chosen ? dialOfBore(boring.chosen.id, lathe, millOf(shop)) : null;
  const machine = lathe && { lathe, bores, follows: boring?.chosen?.id === 'follow', tool: chosen?.tool ?? 'carbide' };
  // What was read and signed before something moved the sizes tells nothing of what they are now.
  const since = movedLastAt(item);
  const counts = (time: string): boolean => since === -Infinity || Date.parse(time) > since;
  // What it was before a treatment was read before it moved: that stays.
  const early = new Set(part?.dimensions.flatMap(({ dimension: d }) => (d.before ? [d.key] : [])));
  const stays = (segmentId: string | null): boolean => segmentId !== null && early.has(segmentId);
  const readings = live.filter((r) => r.itemId === item.id && (r.purpose !== 'proof' || counts(r.takenAt) || stays(r.segmentId)));
  const proofs = sheet.proofs.filter((p) => p.itemId === item.id && (counts(p.at) || stays(p.segmentId)));
  const tried = trialsOf(sheet, item.id);
  const isJoin = item.kind === 'join';
  // Each piece of what is joined is proved again: a bush of four has four bores, the housing that they go into is one.
  const often = (of: Pick<JobItem, 'quantity'>): number => Math.max(of.quantity, item.quantity);
  const quantity = isJoin && part ? Math.max(...joined.map((j) => often(j.item))) : item.quantity;
  const worked = (n: number | null, own: PartFinding | null): Omit<PieceFinding, 'piece'> => {
    const of = { live: readings.filter((r) => r.piece === n), proofs: proofs.filter((p) => p.piece === n) };
    const trials = tried.filter((t) => t.piece === n);
    const proved = proofFindings(own, { ...of, trials: trials.filter((t) => counts(t.triedAt)) }, sheet, shop);
    return withLater(
      { proofs: proved },
      {
        cuts: () =>
          inCutOrder(
            cutFindings(own, machine, of.live, proved, trials, sheet, shop).filter((c) => !bought(c.segment.segment.id)),
            lazy.plan,
          ),
        sizes: () => sizeCuts(own, lazy.plan, of.live, proved, trials, sheet, shop),
      },
    );
  };
  // Of a batch most pieces are not begun: those of as many things are all alike.
  const blanks = new Map<number, Omit<PieceFinding, 'piece'>>();
  const begun = new Set([...readings, ...proofs, ...tried].map((x) => x.piece));
  const pieces = piecesOf(sheet, { id: item.id, quantity }).map((piece): PieceFinding => {
    const there = joined.filter((j) => piece.number <= often(j.item));
    const own = isJoin && there.length < joined.length ? joinedFinding(item, there) : part;
    if (begun.has(piece.number)) return withPiece(worked(piece.number, own), piece);
    const blank = blanks.get(there.length) ?? worked(null, own);
    blanks.set(there.length, blank);
    return withPiece(blank, piece);
  });
  const release = newestRelease(sheet, item.id);
  const own = {
    item,
    number: index + 1,
    part,
    blockPlan: ofBlock,
    boring,
    lathe,
    press: pressFinding(item, given.places, sheet),
    weld: weldFinding(
      item,
      joined.flatMap((j) => j.part ?? []),
      sheet,
    ),
    holes: [
      ...jointHoles(
        item,
        joined.map((j) => j.part),
        given,
      ),
      ...tappedFor(item, items, sheet, shop),
    ],
    pieces,
  };
  const found: ItemFinding = withLater(own, {
    plan: () => lazy.plan,
    rework: () => {
      return part && plan && item.kind === 'rework'
        ? reworkPlan({ item, part, boring, places: given.asked.places, readings, plan, lathe }, sheet, shop)
        : null;
    },
    // What joining moves is of the items that it joins: they have released it.
    releasable: () => (isJoin ? [] : ofItem(releasable(part, lazy.plan?.frozen ?? ofBlock?.stock ?? []), item, sheet.job.id)),
    moved: () => (release ? movedFigures(found.releasable, release, sheet) : []),
  });
  return found;
}

const withPiece = (worked: Omit<PieceFinding, 'piece'>, piece: Piece): PieceFinding =>
  withLater({ piece, proofs: worked.proofs }, { cuts: () => worked.cuts, sizes: () => worked.sizes });

/** Something of it is cut to a size: not where a component is only straightened. */
export const isCutToSize = ({ item, part }: Pick<ItemFinding, 'item' | 'part'>): boolean =>
  part !== null && (item.kind !== 'rework' || part.dimensions.some((d) => isDiameterOfSurface(d.dimension)));

/** Pieces that count: those that were scrapped are made again. */
export const goodPieces = ({ pieces }: ItemFinding): PieceFinding[] => pieces.filter((p) => p.piece.scrapped === null);

/** `3 Bush, piece 2`: which item and piece is meant, as far as there are several; empty where there is but one. */
export function pieceName({ item, number, pieces }: ItemFinding, piece: Piece, all: readonly ItemFinding[]): string {
  const several = all.filter((i) => i.part).length > 1;
  return [several ? `${number} ${item.name}` : '', pieces.length > 1 ? `piece ${piece.number}` : ''].filter(Boolean).join(', ');
}
