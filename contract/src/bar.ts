import { BAR_FINISHES, BAR_SHAPES, hasInner, type BarShape } from '@iron-patch/core';
import { object, type InferType } from 'yup';
import { lengthOf, materialIdOf, numberOf, oneOf } from './fields';
import { removedOf } from './removed';
import { textOf, TEXT_LIMITS } from './text';

/** What a bar is, without how it stands on the rack. */
export const barFields = {
  shape: oneOf('a shape', BAR_SHAPES),
  materialId: materialIdOf(),
  diameterMm: lengthOf('Size', 0.5, 2000),
  innerMm: lengthOf('Bore or thickness', 0.2, 2000)
    .nullable()
    .when(['shape', 'diameterMm'], ([shape, diameter], schema) => {
      if (!hasInner(shape as BarShape)) return schema.test('none', 'Only a tube or a flat has a second size.', (v) => v == null);
      const told = schema.nonNullable(shape === 'tube' ? 'A tube has a bore.' : 'A flat has a thickness.');
      return typeof diameter === 'number' ? told.lessThan(diameter, 'It is smaller than the size before it.') : told;
    }),
  finish: oneOf('how it is drawn', BAR_FINISHES),
  lengthMm: lengthOf('Length', 0, 20_000),
  pieces: numberOf('Pieces', 0, 10_000).integer('Pieces is a whole number.'),
  place: textOf('Place', TEXT_LIMITS.name),
  priceMinor: numberOf('Price', 0, 100_000_000).integer('Price is told to the smallest coin.').nullable(),
};

/** A bar of the rack as it is counted, and why it is another count than before. */
export const barInput = object({ ...barFields, why: textOf('Why', TEXT_LIMITS.line), removed: removedOf() });
export type BarInput = InferType<typeof barInput>;
