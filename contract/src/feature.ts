import { object, type InferType } from 'yup';
import { idOf, lengthOf, numbersOf, oneOf } from './fields';
import { requiredText, TEXT_LIMITS } from './text';

export const featureInput = object({
  componentId: idOf('Component'),
  name: requiredText('Name', TEXT_LIMITS.name),
  side: oneOf('outside or inside', ['outside', 'inside'] as const),
  startMm: lengthOf('Where it starts'),
  lengthMm: lengthOf('Its length', 0.5),
  land: oneOf('worn or unworn', ['worn', 'unworn'] as const),
  matesFeatureId: idOf('What it fits').nullable(),
  stationsMm: numbersOf('Stations', 0, 20_000, 200),
  clocksDeg: numbersOf('Clock angles', 0, 359.99, 36),
  instrumentId: requiredText('Instrument', TEXT_LIMITS.name),
});
export type FeatureInput = InferType<typeof featureInput>;
