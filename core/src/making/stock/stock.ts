import { bad, good, type Outcome } from '../../terms/outcome';
import { placeWithUnit } from '../../terms/quantity';
import { minus, plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import type { Bar } from './bar';
import { NO_OTHER_STOCK, type OtherStock, type StockAllowances, type StockFit } from './stock-fit';
import { blankOf, overCornersMm, isFlat, isOfShape, moreSkinMm } from './blank';
import { largestDiameterMm, partLengthMm, type Part } from '../part';

/** What the part needs of a bar, as figures with their working. */
export interface StockNeed {
  readonly length: Figure;
  readonly diameter: Figure;
}

/** What each piece takes of a bar from which it is cut off: itself, its ends faced, the parting tool, mm. */
export const pieceMm = (part: Pick<Part, 'outside'>, a: Pick<StockAllowances, 'facingMm' | 'partingMm'>): number =>
  partLengthMm(part) + 2 * a.facingMm + a.partingMm;

/** How many pieces are cut off a bar of that length that is held once. */
export const piecesOfLength = (lengthMm: number, part: Pick<Part, 'outside'>, a: StockAllowances): number =>
  Math.max(0, Math.floor((lengthMm - a.grippedMm) / pieceMm(part, a) + 1e-9));

/** Length and least diameter of bar for a part, or for as many of it as are cut off one after another, saw cut included. */
export function stockNeed(part: Pick<Part, 'outside'>, a: StockAllowances): StockNeed {
  const made = workedOut('stock.part-length', 'length of the part', partLengthMm(part), 'its surfaces end to end', []);
  const largest = workedOut('stock.largest', 'largest diameter of the part', largestDiameterMm(part), 'the largest of its surfaces', []);
  return {
    length: sumOf('stock.length', 'bar to saw off', [
      plus(made),
      plus(ruled('stock.facing', 'facing both ends', 2 * a.facingMm, `${a.facingMm} mm an end`)),
      ...(a.cutsOff
        ? [
            plus(ruled('stock.parting', 'parting tool', a.partingMm, 'width of the tool')),
            ...(a.pieces > 1
              ? [
                  plus(
                    workedOut(
                      'stock.more',
                      `${a.pieces - 1} more of them`,
                      (a.pieces - 1) * pieceMm(part, a),
                      'each with its ends faced and the parting tool',
                      [],
                    ),
                  ),
                ]
              : []),
            plus(ruled('stock.grip', 'held in the chuck', a.grippedMm, a.pieces > 1 ? 'once for all of them' : 'enough to hold on')),
          ]
        : []),
      plus(ruled('stock.saw', 'saw cut', a.sawMm, 'width of the blade')),
    ]),
    diameter: sumOf('stock.diameter', 'least bar diameter', [
      plus(largest),
      plus(ruled('stock.skin', 'to clean up the skin', a.skinMm, 'off the diameter')),
    ]),
  };
}

/** A bar that will do, and what is left of it. */
export interface BarChoice {
  readonly bar: Bar;
  readonly left: Figure;
  /** Metal turned to chips or left in the chuck, cm³: less is better. */
  readonly wasteCm3: number;
}

/** A bar that is called so thick is so thick, mm. */
const SAME_MM = 0.02;
const GROUND_TO_SIZE: readonly Bar['finish'][] = ['ground', 'chromed'];
const DRAWN_TO_SIZE: readonly Bar['finish'][] = ['bright', ...GROUND_TO_SIZE];

/** Whether it is left as thick as it comes. */
export const isOwnSize = (bar: Pick<Bar, 'diameterMm' | 'finish' | 'shape'>, other: OtherStock): boolean =>
  isOwnHexagon(bar, other) || isOwnRound(bar, other);

/** A bright hexagon as wide across its flats as the part's own: they are not milled. */
export const isOwnHexagon = (bar: Pick<Bar, 'diameterMm' | 'finish' | 'shape'>, { ownHexMm = null }: OtherStock): boolean =>
  ownHexMm !== null && bar.shape === 'hexagon' && DRAWN_TO_SIZE.includes(bar.finish) && Math.abs(bar.diameterMm - ownHexMm) < SAME_MM;

const isOwnRound = (bar: Pick<Bar, 'diameterMm' | 'finish' | 'shape'>, { ownSizeMm, toLimits }: OtherStock): boolean =>
  ownSizeMm !== null &&
  (bar.shape === 'round' || bar.shape === 'tube') &&
  (toLimits ? GROUND_TO_SIZE : DRAWN_TO_SIZE).includes(bar.finish) &&
  Math.abs(bar.diameterMm - ownSizeMm) < SAME_MM;

/** Metal across its length, mm². */
export function barSectionMm2(b: Pick<Bar, 'diameterMm' | 'innerMm' | 'shape'>): number {
  if (isFlat(b)) return b.diameterMm * (b.innerMm ?? 0);
  if (b.shape === 'hexagon') return (Math.sqrt(3) / 2) * b.diameterMm ** 2;
  if (b.shape === 'square') return b.diameterMm ** 2;
  return (Math.PI / 4) * (b.diameterMm ** 2 - (b.innerMm ?? 0) ** 2);
}

/** A rack has bars of either unit, whatever the job is in. */
const inBoth = (mm: number): string => `${placeWithUnit(mm, 'mm')} (${placeWithUnit(mm, 'in')})`;

/**
 * Bars of the rack that will do for a blank: of its material, solid (or a tube with metal left in the bore), thick and long enough; a reason where
 * the rack has none.
 */
export function barsFor(fit: StockFit, rack: readonly Bar[]): Outcome<Bar[]> {
  const right = rack.filter((b) => isOfShape(b, fit) && b.pieces > 0 && (b.materialId === fit.materialId || b.id === fit.unknownBarId));
  if (right.length === 0) return bad('no-material', 'The rack has no bar of this material. Order it, or change the material at Draw.');
  const thick = right.filter(
    (b) => b.diameterMm - moreSkinMm(b) >= (isFlat(b) ? blankOf(b, fit).roundMm : fit.diameterMm) || isOwnSize(b, fit),
  );
  if (thick.length === 0)
    return bad(
      'too-thin',
      `No bar of this material is ${inBoth(fit.diameterMm)} thick. The thickest is ${inBoth(Math.max(...right.map((b) => b.diameterMm)))}.`,
    );
  const long = thick.filter((b) => b.lengthMm >= blankOf(b, fit).alongMm);
  if (long.length === 0)
    return bad(
      'too-short',
      `No bar that is thick enough is ${inBoth(fit.lengthMm)} long. The longest is ${inBoth(Math.max(...thick.map((b) => b.lengthMm)))}.`,
    );
  return good(long);
}

/** What the stock of a part has to be. */
export const stockFit = (
  part: Pick<Part, 'materialId' | 'outside'>,
  need: StockNeed,
  { facingMm, cutsOff }: Pick<StockAllowances, 'facingMm' | 'cutsOff'>,
  other: OtherStock = NO_OTHER_STOCK,
  unknownBarId: string | null = null,
): StockFit => ({
  ...other,
  materialId: part.materialId,
  unknownBarId,
  lengthMm: need.length.value,
  diameterMm: need.diameter.value,
  thickMm: partLengthMm(part) + 2 * facingMm,
  cutsOff,
});

/**
 * Bars that will do for a part, least waste first, what has corners last; a reason when the rack has none.
 *
 * @param volumeMm3 of the part
 */
export function chooseBars(fit: StockFit, need: StockNeed, rack: readonly Bar[], volumeMm3: number): Outcome<BarChoice[]> {
  const found = barsFor(fit, rack);
  if (!found.ok) return found;
  const choices = found.value.map((bar) => {
    const { alongMm } = blankOf(bar, fit);
    const taken = isFlat(bar)
      ? ruled('stock.disc', 'a disc cut out of it', alongMm, 'its diameter, 3 mm a side for the edge, and the saw')
      : need.length;
    return {
      bar,
      left: sumOf('stock.left', 'left of the bar', [
        plus({
          ...need.length,
          key: 'stock.bar',
          label: 'bar on the rack',
          value: bar.lengthMm,
          origin: { kind: 'table', source: bar.place },
        }),
        minus(taken),
      ]),
      wasteCm3: (barSectionMm2(bar) * alongMm - volumeMm3) / 1000,
    };
  });
  // Nobody turns corners off while there is a round one.
  const last = ({ bar }: BarChoice): number => Number(overCornersMm(bar) > bar.diameterMm && !isOwnHexagon(bar, fit));
  return good(choices.sort((p, q) => last(p) - last(q) || p.wasteCm3 - q.wasteCm3 || p.left.value - q.left.value));
}
