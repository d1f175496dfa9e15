import { MACHINE_KINDS, type RunJob, type RunOrderRecord, type WorkHoursRecord } from '@iron-patch/core';
import { array, lazy, object, string, type AnySchema, type InferType } from 'yup';
import { dateOrNull, idOf, momentOrNull, numberOf, oneOf, yes } from './fields';
import { tokenOf } from './secret';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const DAY_MIN = 1440;
const MOST_SPANS = 40;
const MOST_DAYS_OFF = 200;
const MOST_PEOPLE = 100;
/** Acts that an order may have. */
export const MOST_PLACED = 3000;
const PERSON_ID = /^[a-z0-9][a-z0-9-]{0,59}$/;

const minuteOfDay = (label: string) => numberOf(label, 0, DAY_MIN).integer(`${label}: to the minute.`);
const span = {
  from: minuteOfDay('From'),
  to: minuteOfDay('To').when('from', ([from], schema) => schema.moreThan(Number(from), 'To: after it begins.')),
};
const day = (label: string) => dateOrNull(label).required(`${label} is needed.`);
const week = () =>
  array(object({ weekday: numberOf('Day of the week', 1, 7).integer('Day of the week: 1 to 7.'), ...span }))
    .strict()
    .max(MOST_SPANS, `At most ${MOST_SPANS} times in a week.`);
const daysOff = (label: string) =>
  array(
    object({
      from: day('From'),
      to: day('To').when('from', ([from], schema) => schema.test('after', 'To: no day before the first.', (v) => !v || !from || v >= from)),
      what: textOf('What', TEXT_LIMITS.name),
    }),
  )
    .strict()
    .required(`${label}: a list.`)
    .max(MOST_DAYS_OFF, `${label}: at most ${MOST_DAYS_OFF}.`);

const person = object({
  week: week().nullable().defined('Week is missing.'),
  machines: array(oneOf('a machine', MACHINE_KINDS)).strict().nullable().defined('Machines are missing.').max(MACHINE_KINDS.length),
  off: daysOff('Days off'),
  extra: array(object({ day: day('Day'), ...span }))
    .strict()
    .required('Extra hours: a list.')
    .max(MOST_DAYS_OFF, `Extra hours: at most ${MOST_DAYS_OFF}.`),
  notAtIt: yes('Not at the work'),
});

const byPerson = lazy((value: unknown): AnySchema => {
  const said = 'People: hours by the id of the person.';
  if (value === null || typeof value !== 'object' || Array.isArray(value)) return object().strict().required(said).typeError(said);
  const ids = Object.keys(value);
  return object(Object.fromEntries(ids.map((id) => [id, person])))
    .strict()
    .test('ids', said, () => ids.every((id) => PERSON_ID.test(id)))
    .test('few', `People: at most ${MOST_PEOPLE}.`, () => ids.length <= MOST_PEOPLE);
});

/** When the shop works. */
export const workHoursInput = object({
  week: week().required('Week: a list.').min(1, 'Say when the shop works.'),
  closed: daysOff('Days closed'),
  handsOnPercent: numberOf('At the part', 10, 100, '%'),
  people: byPerson,
});
export type WorkHoursInput = InferType<typeof workHoursInput>;

/** The order that somebody put the acts of all jobs in. */
export const runOrderInput = object({
  placed: array(
    object({
      jobId: idOf('Job'),
      key: requiredText('Act', 200),
      machineId: textOf('Machine', TEXT_LIMITS.name),
      personId: string()
        .strict()
        .nullable()
        .defined('Person is missing.')
        .matches(PERSON_ID, { message: 'Person is an id.', excludeEmptyString: false }),
      beginsAt: momentOrNull('When it begins').required('When it begins is needed.'),
    }),
  )
    .strict()
    .required('Acts: a list.')
    .max(MOST_PLACED, `At most ${MOST_PLACED} acts.`),
});
export type RunOrderInput = InferType<typeof runOrderInput>;

/** The secret of the address at which calendars fetch what is promised; null ends it. */
export const calendarInput = object({ token: tokenOf().nullable() });

/** All open jobs with what they still take, and the order that was stored last. */
export interface RunOrderPage {
  readonly jobs: readonly RunJob[];
  /** Null while nobody put anything in order. */
  readonly order: RunOrderRecord | null;
  readonly hours: WorkHoursRecord | null;
  /** When an address for calendars was made; null where there is none. */
  readonly calendar: { readonly version: number; readonly madeAt: string | null };
}
