import {
  CONSIDERED_STATES,
  COST_ACT_IDS,
  LASTS,
  ROUTE_IDS,
  type ComebackChoice,
  type ConsideredAct,
  type ConsideredBuy,
  type ConsideredChoice,
  type ConsideredStock,
  type EstimatedAct,
  type EstimatedThen,
  type RunChoice,
  type SpentChoice,
  type ThreePoint,
  type StandingStillChoice,
  type UrgencyChoice,
} from '@iron-patch/core';
import { array, string, type AnyObjectSchema } from 'yup';
import { dateOrNull, idOf, lengthOf, materialIdOf, momentOrNull, MOST_PIECES, numberOf, oneOf, yes } from './fields';
import { moneyOf } from './rates';
import { shapeOf } from './shape';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const MOST_LINES = 40;
const MOST_MINUTES = 100_000;

const minutes = shapeOf<ThreePoint>({
  low: numberOf('Minutes, if it goes well', 0, MOST_MINUTES, 'min'),
  likely: numberOf('Minutes', 0, MOST_MINUTES, 'min').when('low', ([low], schema) =>
    schema.min(Number(low) || 0, 'Minutes: no fewer than if it goes well.'),
  ),
  high: numberOf('Minutes, if it goes badly', 0, MOST_MINUTES, 'min').when('likely', ([likely], schema) =>
    schema.min(Number(likely) || 0, 'Minutes, if it goes badly: no fewer than usual.'),
  ),
});

const costAct = () => oneOf('an act', COST_ACT_IDS);
const count = () => numberOf('How many', 1, MOST_PIECES).integer('How many: a whole number.');

/** What the front desk keeps of a job, one choice a time: a route that is weighed, hours that were spent. */
export const FRONT_VALUES: Readonly<Record<string, AnyObjectSchema>> = {
  considered: shapeOf<ConsideredChoice>({
    routeId: string()
      .strict()
      .nullable()
      .typeError('Choose a route.')
      .defined('Route is missing.')
      .oneOf([null, ...ROUTE_IDS], 'Choose a route of the list, or none.'),
    name: requiredText('Name', TEXT_LIMITS.name, 'Say what is done.'),
    componentId: idOf('Component').nullable(),
    acts: array(
      shapeOf<ConsideredAct>({
        act: costAct(),
        what: textOf('In words', TEXT_LIMITS.line),
        times: numberOf('How often', 1, MOST_PIECES).integer('How often: a whole number.'),
        minutes: minutes.nullable().default(undefined),
        machineId: textOf('Machine', TEXT_LIMITS.name),
      }),
    )
      .strict()
      .required('What is done: a list.')
      .max(MOST_LINES, `At most ${MOST_LINES} acts.`),
    stock: array(
      shapeOf<ConsideredStock>({
        what: requiredText('Stock', TEXT_LIMITS.name),
        materialId: materialIdOf(),
        diameterMm: lengthOf('Diameter', 0.5, 3000),
        lengthMm: lengthOf('Length', 0.5),
        pieces: count(),
        priceMinor: moneyOf('Price').nullable(),
      }),
    )
      .strict()
      .required('Stock: a list.')
      .max(MOST_LINES, `At most ${MOST_LINES} bars.`),
    bought: array(
      shapeOf<ConsideredBuy>({
        what: requiredText('What is bought', TEXT_LIMITS.name),
        count: count(),
        costMinor: moneyOf('Price').nullable(),
        leadDays: numberOf('Days until it is here', 0, 1000).nullable(),
        outside: yes('Done elsewhere'),
        // What was weighed before anybody asked is without.
        least: count().optional(),
      }),
    )
      .strict()
      .required('What is bought: a list.')
      .max(MOST_LINES, `At most ${MOST_LINES} things to buy.`),
    postageMinor: moneyOf('Carriage'),
    lasts: oneOf('how long it holds', LASTS),
    lastsWhy: textOf('Why it holds so long', TEXT_LIMITS.line),
    risk: textOf('What can go wrong', TEXT_LIMITS.large),
    decides: textOf('Who decides', TEXT_LIMITS.line),
    state: oneOf('where it stands', CONSIDERED_STATES),
    why: textOf('Why', TEXT_LIMITS.large).when('state', ([state], schema) =>
      state === 'considered' ? schema : schema.min(1, state === 'chosen' ? 'Say why it is this one.' : 'Say why it is not done.'),
    ),
    estimated: shapeOf<EstimatedThen>({
      acts: array(
        shapeOf<EstimatedAct>({
          act: costAct(),
          minutes: numberOf('Minutes', 0, MOST_MINUTES),
          modelMin: numberOf('Minutes of the model', 0, MOST_MINUTES),
        }),
      )
        .strict()
        .required('Estimated acts: a list.')
        .max(MOST_LINES, `At most ${MOST_LINES} acts.`),
      priceMinor: moneyOf('Price').nullable(),
    })
      .nullable()
      .default(undefined),
    position: numberOf('Position', -1000, 1000),
    removed: yes('Taken off'),
  }),
  comeback: shapeOf<ComebackChoice>({
    ofJobId: idOf('Job'),
    why: requiredText('Why', TEXT_LIMITS.line, 'Say what did not hold.'),
  }),
  run: shapeOf<RunChoice>({
    state: oneOf('where it stands', ['open', 'started', 'done'] as const),
    startedAt: momentOrNull('Begun').when('state', ([state], schema) =>
      state === 'started' ? schema.required('Say since when it is under way.') : schema,
    ),
    doneAt: momentOrNull('Done').when('state', ([state], schema) => (state === 'done' ? schema.required('Say when it was done.') : schema)),
    personId: string().strict().nullable().defined('Who: a person, or nobody.').max(60, 'Who is an id.'),
    machineId: textOf('Machine', TEXT_LIMITS.name),
    pinnedAt: momentOrNull('Pinned to'),
  }),
  'standing-still': shapeOf<StandingStillChoice>({
    dayMinor: moneyOf('A day without it'),
  }),
  urgency: shapeOf<UrgencyChoice>({
    urgent: yes('Urgent'),
    notBefore: dateOrNull('Not before'),
    why: textOf('Why', TEXT_LIMITS.line).when('urgent', ([urgent], schema) =>
      urgent ? schema.min(1, 'Say who stands still without it.') : schema,
    ),
  }),
  spent: shapeOf<SpentChoice>({
    act: costAct(),
    itemId: idOf('Item').nullable(),
    minutes: numberOf('Minutes', 1, 10_000, 'min'),
    day: dateOrNull('Day').required('Say on which day.'),
    remark: textOf('Remark', TEXT_LIMITS.line),
    removed: yes('Taken off'),
  }),
};
