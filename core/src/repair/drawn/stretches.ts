import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { SAME_SIZE_SHARE } from '../job';

/** A length along one side of a part that one place was read on, mm from the zero face. */
export interface ReadStretch {
  readonly placeId: string;
  /** The component that it is on: a part that broke in two is two of them. */
  readonly piece: string;
  readonly name: string;
  /** It never ran: what wore beside it was turned to the same size in one go. */
  readonly land: boolean;
  readonly fromMm: number;
  readonly toMm: number;
  /** Diameters at both ends. */
  readonly leftMm: number;
  readonly rightMm: number;
}

/** A stretch of the drawing: of a place, else one that nobody read. */
export interface Stretch extends Omit<ReadStretch, 'placeId'> {
  readonly placeId: string | null;
}

/** Stretches end to end, with what the readings did not tell. */
export interface EndToEnd {
  readonly stretches: readonly Stretch[];
  readonly doubts: readonly string[];
}

/** A place is measured up to this near to the shoulder that it ends at, mm. */
const NEAR_MM = 2;
/** A diameter that was read to this near to an end goes on to it, mm. */
const GOES_ON_MM = 5;
/** Places that end this near to each other meet there, mm: nobody reads a length along a shaft nearer with a rule. */
const ABUT_MM = 0.5;
const TINY_MM = 1e-6;

/** Its diameter in the middle, mm. */
export const size = (s: Pick<ReadStretch, 'leftMm' | 'rightMm'>): number => (s.leftMm + s.rightMm) / 2;
const alike = (p: ReadStretch, q: ReadStretch): boolean => Math.abs(size(p) - size(q)) < SAME_SIZE_SHARE * Math.max(size(p), size(q));
const within = (p: ReadStretch, q: ReadStretch): boolean => q.fromMm <= p.fromMm + TINY_MM && q.toMm >= p.toMm - TINY_MM;
const length = (s: ReadStretch): number => s.toMm - s.fromMm;

/** Without places that lie within another of the same turned size: an unworn land, a worn track. */
const apart = (read: readonly ReadStretch[]): ReadStretch[] =>
  read.filter((r, i) => !read.some((o, j) => i !== j && within(r, o) && alike(r, o) && (length(r) < length(o) - TINY_MM || j < i)));

/** From left to right, each spot once: where places overlap the shorter one is seen. */
function inRow(read: readonly ReadStretch[]): ReadStretch[] {
  const edges = [...new Set(read.flatMap((r) => [r.fromMm, r.toMm]))].sort((p, q) => p - q);
  const row: ReadStretch[] = [];
  edges.slice(1).forEach((toMm, i) => {
    const fromMm = edges[i]!;
    const [seen] = read.filter((r) => r.fromMm <= fromMm + TINY_MM && r.toMm >= toMm - TINY_MM).sort((p, q) => length(p) - length(q));
    if (!seen || toMm - fromMm < TINY_MM) return;
    const last = row.at(-1);
    if (last?.placeId === seen.placeId && Math.abs(last.toMm - fromMm) < TINY_MM) row[row.length - 1] = { ...last, toMm };
    else row.push({ ...seen, fromMm, toMm });
  });
  return row;
}

/** A land and what wore beside it as one stretch, where no shoulder stands between them: it goes by the place that wore. */
const withLands = (row: readonly ReadStretch[], marks: readonly number[]): ReadStretch[] =>
  row.reduce<ReadStretch[]>((out, here) => {
    const last = out.at(-1);
    const joins =
      last &&
      last.piece === here.piece &&
      last.land !== here.land &&
      alike(last, here) &&
      here.fromMm - last.toMm <= GOES_ON_MM &&
      !marks.some((m) => m >= last.toMm - ABUT_MM && m <= here.fromMm + ABUT_MM);
    if (!joins) return [...out, here];
    return [...out.slice(0, -1), { ...(last.land ? here : last), fromMm: last.fromMm, toMm: here.toMm }];
  }, []);

/**
 * Puts the places of one side end to end. Shoulders come from what was read; where a place ends short of one it goes on to it, and what no reading
 * tells is drawn as its neighbour and said.
 *
 * @param read places of that side; none gives none
 * @param shouldersMm shoulders that were read, mm from the zero face
 * @param overallMm length over all, mm; null where it was not read
 */
export function endToEnd(
  read: readonly ReadStretch[],
  shouldersMm: readonly number[],
  overallMm: number | null,
  unit: LengthUnit,
): EndToEnd {
  const doubts: string[] = [];
  const show = (mm: number): string => formatWithUnit(mm, unit);
  const out: Stretch[] = [];
  const marks = [...new Set(shouldersMm)].sort((p, q) => p - q);
  const row = withLands(inRow(apart(read)), marks);
  if (!row.length) return { stretches: [], doubts };
  const unread = (fromMm: number, toMm: number, like: ReadStretch): void => {
    out.push({
      placeId: null,
      piece: like.piece,
      land: false,
      name: 'Unread stretch',
      fromMm,
      toMm,
      leftMm: size(like),
      rightMm: size(like),
    });
    doubts.push(`Nothing was read from ${show(fromMm)} to ${show(toMm)}: drawn with the size of ${inSentence(like.name)}.`);
  };

  const first = row[0]!;
  const [foot] = marks.filter((m) => m > NEAR_MM && m <= first.fromMm + NEAR_MM && m < first.toMm).slice(-1);
  if (foot !== undefined) unread(0, foot, first);
  else if (first.fromMm > GOES_ON_MM)
    doubts.push(`Nothing was read on the first ${show(first.fromMm)}: drawn as ${inSentence(first.name)} goes on.`);
  let fromMm = foot ?? 0;

  row.forEach((here, i) => {
    const next = row[i + 1];
    if (next) {
      const between = marks.filter((m) => m >= here.toMm - NEAR_MM && m <= next.fromMm + NEAR_MM && m > fromMm);
      const [left, right] = [between[0], between.at(-1)];
      const middle = (here.toMm + next.fromMm) / 2;
      const gap = next.fromMm - here.toMm;
      if (left === undefined && gap > (alike(here, next) ? GOES_ON_MM : ABUT_MM))
        doubts.push(
          `Where ${inSentence(here.name)} ends and ${inSentence(next.name)} begins was not read: drawn half-way, at ${show(middle)}.`,
        );
      if (here.piece !== next.piece)
        doubts.push(
          `It is broken between ${inSentence(here.name)} and ${inSentence(next.name)}: put together from ${show(here.toMm)} to ${show(next.fromMm)}, hold the length against what stood on it.`,
        );
      const toMm = left ?? middle;
      out.push({ ...here, fromMm, toMm });
      if (left !== undefined && right !== undefined && right - left > NEAR_MM) {
        unread(left, right, here);
        fromMm = right;
      } else fromMm = toMm;
      return;
    }
    const endMm = overallMm !== null && overallMm > fromMm + NEAR_MM ? overallMm : null;
    if (endMm === null)
      doubts.push(`The overall length was not read: drawn to the end of ${inSentence(here.name)}, at ${show(here.toMm)}.`);
    const last = endMm ?? here.toMm;
    const [head] = marks.filter((m) => m >= here.toMm - NEAR_MM && m < last - NEAR_MM && m > fromMm);
    out.push({ ...here, fromMm, toMm: head ?? last });
    if (head !== undefined) unread(head, last, here);
    else if (last - here.toMm > GOES_ON_MM)
      doubts.push(`Nothing was read on the last ${show(last - here.toMm)}: drawn as ${inSentence(here.name)} goes on.`);
  });
  return { stretches: out, doubts };
}
