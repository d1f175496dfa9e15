import { plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import type { Block } from '../part';
import type { Bar, BarShape } from './bar';
import { USUAL_ALLOWANCES } from './stock-fit';

/** Milled off each face so that skin, saw marks and twist are gone, mm. */
const BLOCK_FACE_MM = 2;

const SIZES = [
  ['length', 'lengthMm'],
  ['width', 'widthMm'],
  ['height', 'heightMm'],
] as const;

/** What a block has to be cut from, mm each way, as figures with their working. */
export const blockStock = (block: Block): Figure[] =>
  SIZES.map(([name, field]) =>
    sumOf(`stock.${name}`, `least ${name} of the stock`, [
      plus(workedOut(`stock.block-${name}`, `${name} of the block`, block[field], 'as drawn', [])),
      plus(ruled(`stock.faces-${name}`, 'milled off its two faces', 2 * BLOCK_FACE_MM, `${BLOCK_FACE_MM} mm a face`)),
    ]),
  );

/** A bar that a block is sawn off, and how long; its other two sizes are the bar's. */
export interface BlockBar {
  readonly bar: Bar;
  /** Saw cut included, mm. */
  readonly sawMm: number;
  /** Metal that goes to chips, cm³. */
  readonly wasteCm3: number;
}

const SECTION: Partial<Record<BarShape, (b: Bar) => readonly [number, number]>> = {
  flat: (b) => [b.diameterMm, b.innerMm ?? 0],
  plate: (b) => [b.diameterMm, b.innerMm ?? 0],
  square: (b) => [b.diameterMm, b.diameterMm],
};

/**
 * Flats, plates and squares of the rack that a block comes out of, whichever of its sizes lies along them, least waste first.
 *
 * @param sizes what it has to be sawn to, mm each way
 */
export function blockBars(sizes: readonly [number, number, number], materialId: string, rack: readonly Bar[]): BlockBar[] {
  return rack
    .flatMap((bar): BlockBar[] => {
      const section = SECTION[bar.shape]?.(bar);
      if (!section || bar.pieces < 1 || bar.materialId !== materialId) return [];
      const [wide, thick] = section;
      const ways = sizes.flatMap((along, i): BlockBar[] => {
        const [p, q] = sizes.filter((_, j) => j !== i) as [number, number];
        const sawMm = along + USUAL_ALLOWANCES.sawMm;
        const fits = Math.max(p, q) <= wide && Math.min(p, q) <= thick && sawMm <= bar.lengthMm;
        return fits ? [{ bar, sawMm, wasteCm3: (wide * thick * sawMm - p * q * along) / 1000 }] : [];
      });
      return ways.sort((p, q) => p.wasteCm3 - q.wasteCm3).slice(0, 1);
    })
    .sort((p, q) => p.wasteCm3 - q.wasteCm3);
}
