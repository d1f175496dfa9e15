import { aLength } from '../../../terms/quantity';
import type { Problem } from '../../../terms/outcome';
import { fieldProblem } from '../field-problem';
import { type Block } from './block';
import { FACE_NAMES } from './box';
import { cutFieldsOf, cutKindOf, type BlockCut } from './cuts';

export const MOST_BLOCK_MM = 3000;

const SIZES = [
  ['lengthMm', 'Length'],
  ['widthMm', 'Width'],
  ['heightMm', 'Height'],
] as const;

function checkCut(block: Block, c: BlockCut, i: number): Problem[] {
  const kind = cutKindOf(c.kind);
  const at = (field: string, message: string): Problem => ({ path: `block.cuts.${i}.${field}`, code: 'feature', message });
  if (!Object.hasOwn(FACE_NAMES, c.on)) return [at('on', `${c.name || kind.name}: choose a face.`)];
  const told = Object.entries(cutFieldsOf(c.kind)).flatMap(([field, spec]) => {
    const message = fieldProblem(spec, (c as unknown as Readonly<Record<string, unknown>>)[field]);
    return message ? [at(field, message)] : [];
  });
  return told.length ? told : kind.check(c, block).map((p) => at(p.field, p.message));
}

/** All problems of a block, each with its path in the drawing. */
export function blockProblems(block: Block): Problem[] {
  const sizes = SIZES.flatMap(([field, name]): Problem[] =>
    block[field] > 0 && block[field] <= MOST_BLOCK_MM
      ? []
      : [{ path: `block.${field}`, code: 'length', message: `${name}: between 0 and ${aLength(MOST_BLOCK_MM)}.` }],
  );
  if (sizes.length) return sizes;
  const ids = ['block', ...block.cuts.map((c) => c.id)];
  const twice: Problem[] =
    new Set(ids).size === ids.length ? [] : [{ path: 'block', code: 'twice', message: 'Two things of the drawing have the same id.' }];
  return [...twice, ...block.cuts.flatMap((c, i) => checkCut(block, c, i))];
}
