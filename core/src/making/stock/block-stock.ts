import { plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import type { Block } from '../part';

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
