import { ACCESSES } from '@iron-patch/core/terms/access';
import { array, object, string, type StringSchema } from 'yup';
import { barFields } from './bar';
import { drillSetInput } from './drill-set';
import { dateOrNull, decimalMark, lengthOf, numberOf, oneOf } from './fields';
import { instrumentInput } from './instrument';
import { latheFields, machineInput } from './machine';
import { ratesInput } from './rates';
import { workHoursInput } from './run-order';
import { toolInput } from './tool';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** A short name that links are made of. */
const cardId = (): StringSchema<string> =>
  string()
    .strict()
    .typeError('An id is text.')
    .required('An id is needed.')
    .matches(/^[a-z0-9][a-z0-9-]{0,59}$/, 'An id is small letters, figures and dashes, such as mic-0-25.');

const lathe = object({ id: cardId(), name: requiredText('Name', TEXT_LIMITS.name), ...latheFields });

/** An instrument of a card: what its own record would tell may be left out. */
const instrument = instrumentInput.shape({
  id: cardId(),
  repeatMm: lengthOf('Scatter', 0, 5).nullable().notRequired(),
  resolutionMm: lengthOf('Resolution', 0.0001, 5).nullable().notRequired(),
  biasMm: numberOf('Bias', -1, 1, 'mm').notRequired(),
  calibratedOn: dateOrNull('Calibrated on').optional(),
  dueOn: dateOrNull('Due on').optional(),
});

/** What a card may leave out of a bar: it is a plain round, one piece. */
export const PLAIN_BAR = { shape: 'round', innerMm: null, finish: 'not-said', pieces: 1, priceMinor: null } as const;

/** A shop's card: its people, instruments, lathes, bars and drills, as a file that is read at the first start. */
export const shopCardInput = object({
  name: textOf('Name of the shop', TEXT_LIMITS.name).optional(),
  unit: oneOf('a unit', ['mm', 'in'] as const).notRequired(),
  decimalMark: decimalMark(),
  warranty: textOf('Warranty', TEXT_LIMITS.large).optional(),
  people: array(
    object({
      id: cardId(),
      name: requiredText('Name', TEXT_LIMITS.name),
      role: requiredText('Role', TEXT_LIMITS.name),
      access: oneOf('what they may do', ACCESSES).optional(),
    }),
  )
    .strict()
    .required('People: a list.')
    .min(1, 'People: at least one, to stand at the bench.'),
  instruments: array(instrument).strict().required('Instruments: a list.'),
  lathes: array(lathe).strict().required('Lathes: a list.'),
  rack: array(object({ ...barFields, id: cardId() }))
    .strict()
    .required('Rack: a list.'),
  machines: array(machineInput.omit(['removed']).shape({ id: cardId() }))
    .strict()
    .notRequired(),
  tools: array(toolInput.omit(['removed']).shape({ id: cardId() }))
    .strict()
    .notRequired(),
  rates: ratesInput.notRequired().default(undefined),
  hours: workHoursInput.notRequired().default(undefined),
  drillSets: array(drillSetInput.omit(['removed']).shape({ id: cardId() }))
    .strict()
    .notRequired(),
});
