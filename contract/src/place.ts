import { PLACE_KIND_IDS, SUSPICIONS, V_BLOCKS_DEG } from '@iron-patch/core';
import { array, boolean, object, type InferType } from 'yup';
import { idOf, lengthOf, numberOf, numbersOf, oneOf, optionalIdOf } from './fields';
import { requiredText, TEXT_LIMITS } from './text';

const NEAR_FAR = ['near', 'far'] as const;

/** What only some kinds of place have; null where it is not said. */
const detail = object({
  vDeg: numberOf('V-block', 0, 180, '°')
    .test('v-block', `A V-block is one of ${V_BLOCKS_DEG.join(', ')}°.`, (v) => v == null || V_BLOCKS_DEG.some((d) => d === v))
    .nullable(),
  holding: oneOf('how it is held', ['v-blocks', 'centres', 'chuck'] as const).nullable(),
  supportsMm: array(lengthOf('Support')).strict().required('Supports: a list.').max(4, 'Supports: at most 4.'),
  ringMm: lengthOf('Ring thickness', 0.1, 100).nullable(),
  grooveWidthMm: lengthOf('Groove width', 0.1, 100).nullable(),
  ringRestsOn: oneOf('the wall', NEAR_FAR).nullable(),
  ringFace: oneOf('the face', NEAR_FAR).nullable(),
  pitches: numberOf('Pitches', 1, 100).integer('Pitches: a whole number.').nullable(),
  wireMm: lengthOf('Wire', 0.05, 20).nullable(),
  /** Missing where it was written before it could be told. */
  oneSizeWithId: optionalIdOf('Place'),
  lengthAssumed: boolean().strict().typeError('Length assumed: yes or no.'),
});

export const placeInput = object({
  componentId: idOf('Component'),
  name: requiredText('Name', TEXT_LIMITS.name),
  kind: oneOf('a kind of place', PLACE_KIND_IDS),
  suspicions: array(oneOf('a suspicion', SUSPICIONS))
    .strict()
    .required('Suspicions: a list.')
    .max(SUSPICIONS.length, 'Each suspicion once.'),
  detail: detail.required('The detail of the place is missing.'),
  side: oneOf('outside or inside', ['outside', 'inside'] as const),
  startMm: lengthOf('Where it starts'),
  lengthMm: lengthOf('Its length', 0.5),
  land: oneOf('worn or unworn', ['worn', 'unworn'] as const),
  matesPlaceId: idOf('What it fits').nullable(),
  stationsMm: numbersOf('Stations', 0, 20_000, 200),
  clocksDeg: numbersOf('Clock angles', 0, 359.99, 36),
  instrumentId: requiredText('Instrument', TEXT_LIMITS.name),
});
export type PlaceInput = InferType<typeof placeInput>;
