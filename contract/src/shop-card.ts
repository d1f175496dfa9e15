import { array, mixed, object, string, lazy, type StringSchema } from 'yup';
import { drillSetInput } from './drill-set';
import { lengthOf, materialIdOf, numberOf, oneOf } from './fields';
import { instrumentInput } from './instrument';
import { requiredText, TEXT_LIMITS } from './text';

const UNITS = ['mm', 'in'] as const;

/** A short name that links are made of. */
const cardId = (): StringSchema<string> =>
  string()
    .strict()
    .typeError('An id is text.')
    .required('An id is needed.')
    .matches(/^[a-z0-9][a-z0-9-]{0,59}$/, 'An id is small letters, figures and dashes, such as mic-0-25.');

const dial = {
  unit: oneOf('a unit', UNITS),
  perTurn: numberOf('A turn of the dial', 0.001, 100),
  perLine: numberOf('A line of the dial', 0.0001, 10),
};

const lathe = object({
  id: cardId(),
  name: requiredText('Name', TEXT_LIMITS.name),
  cross: object({ ...dial, reads: oneOf('radius or diameter', ['radius', 'diameter'] as const) }).required(
    'The cross slide’s dial is needed.',
  ),
  carriage: object(dial).required('The carriage’s dial is needed.'),
  readout: lazy((value) =>
    value === null
      ? mixed().nullable()
      : object({ unit: oneOf('a unit', UNITS), decimals: numberOf('Decimals', 0, 6) }).required('Readout: its unit and decimals, or null.'),
  ),
  gearsRpm: array(numberOf('A speed', 1, 20_000, 'rpm'))
    .strict()
    .required('Speeds: a list.')
    .min(1, 'Speeds: at least one.'),
  swingMm: lengthOf('Swing', 10, 5000),
  centresMm: lengthOf('Between centres', 10, 20_000),
});

/** An instrument of a card: what its own record would tell may be left out. */
const instrument = instrumentInput.shape({
  id: cardId(),
  repeatMm: lengthOf('Scatter', 0, 5).nullable().notRequired(),
  resolutionMm: lengthOf('Resolution', 0.0001, 5).nullable().notRequired(),
  biasMm: numberOf('Bias', -1, 1, 'mm').notRequired(),
  calibratedOn: string().strict().nullable().notRequired(),
  dueOn: string().strict().nullable().notRequired(),
});

/** A shop's card: its people, instruments, lathes, bars and drills, as a file that is read at the first start. */
export const shopCardInput = object({
  people: array(object({ id: cardId(), name: requiredText('Name', TEXT_LIMITS.name), role: requiredText('Role', TEXT_LIMITS.name) }))
    .strict()
    .required('People: a list.')
    .min(1, 'People: at least one, to stand at the bench.'),
  instruments: array(instrument).strict().required('Instruments: a list.'),
  lathes: array(lathe).strict().required('Lathes: a list.'),
  rack: array(
    object({
      id: cardId(),
      materialId: materialIdOf(),
      diameterMm: lengthOf('Diameter', 0.5, 2000),
      lengthMm: lengthOf('Length', 1),
      place: requiredText('Place', TEXT_LIMITS.name),
    }),
  )
    .strict()
    .required('Rack: a list.'),
  drillSets: array(drillSetInput.omit(['removed']).shape({ id: cardId() }))
    .strict()
    .notRequired(),
});
