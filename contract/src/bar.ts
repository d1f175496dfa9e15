import { BAR_FINISHES, BAR_SHAPES, hasInner, needsInner, SHAPES } from '@iron-patch/core';
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
    .when(['shape', 'diameterMm'], ([typed, diameter], schema) => {
      const shape = BAR_SHAPES.find((s) => s === typed);
      if (!shape || !hasInner(shape)) return schema.test('none', 'It has no second size.', (v) => v == null);
      const told = needsInner(shape) ? schema.nonNullable(`A ${shape} has a ${SHAPES[shape].second.toLowerCase()}.`) : schema;
      return told.test('less', 'It is smaller than the size before it.', (v) => v == null || typeof diameter !== 'number' || v < diameter);
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
