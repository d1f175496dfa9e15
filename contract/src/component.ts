import { COMPONENT_VERDICTS } from '@iron-patch/core';
import { object, type InferType } from 'yup';
import { idOf, lengthOf, materialIdOf, oneOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

export const componentInput = object({
  parentId: idOf('What it came out of').nullable().defined('What it came out of is missing.'),
  name: requiredText('Name', TEXT_LIMITS.name),
  role: oneOf('what it is', ['worn', 'mate', 'other'] as const),
  materialId: materialIdOf(),
  axisOffsetMm: lengthOf('Its zero face along the part', -20_000),
  verdict: oneOf('a verdict', COMPONENT_VERDICTS).nullable(),
  asFound: textOf('As found', TEXT_LIMITS.text),
});
export type ComponentInput = InferType<typeof componentInput>;
