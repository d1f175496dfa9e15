import {
  BUNDLE_FORMAT,
  BUNDLE_VERSIONS_READ,
  choiceKey,
  INSTRUMENT_KINDS,
  tellsOfItem,
  namesNow,
  upgradeBundle,
  type InstrumentKind,
  type JobBundle,
  type Outcome,
  type Problem,
} from '@iron-patch/core';
import { array, mixed, number, object, string } from 'yup';
import { check } from './check';
import { choiceInput } from './choice';
import { componentInput } from './component';
import { placeInput } from './place';
import { dateOrNull, idOf, numberOf, oneOf } from './fields';
import { jobInput } from './job';
import { photoInput } from './photo';
import { readingFields } from './reading';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** Largest bundle that is taken, bytes: a job with a good many photographs. */
export const MOST_BUNDLE_BYTES = 64 * 1024 * 1024;

const reading = object({
  ...readingFields,
  valueMm: numberOf('Value', -20_000, 20_000, 'mm'),
  personId: requiredText('Person', TEXT_LIMITS.name),
});

const listOf = (label: string, item: Parameters<ReturnType<typeof array>['of']>[0], most: number) =>
  array(item as never)
    .strict()
    .required(`${label}: a list is needed.`)
    .max(most, `${label}: at most ${most}.`);

const shape = object({
  format: string().strict().required('This is no job file.').oneOf([BUNDLE_FORMAT], 'This is no job file of Iron Patch.'),
  version: number()
    .strict()
    .required('The version is missing.')
    .oneOf([...BUNDLE_VERSIONS_READ], `Only versions ${BUNDLE_VERSIONS_READ.join(', ')} of the file are read here.`),
  job: object({ id: idOf('Job'), title: requiredText('What it is', TEXT_LIMITS.name) })
    .required('The job is missing.')
    .unknown(true),
  customer: object({ name: requiredText('Customer', TEXT_LIMITS.name), contact: textOf('Contact', TEXT_LIMITS.line) }).required(
    'The customer is missing.',
  ),
  components: listOf('Components', componentInput.shape({ id: idOf('Component') }), 500),
  places: listOf('Places', placeInput.shape({ id: idOf('Place') }), 2000),
  readings: listOf('Readings', reading, 20_000),
  choices: listOf(
    'Choices',
    object({
      key: requiredText('Key', 200),
      value: mixed().required('The choice is missing.'),
      reason: textOf('Reason', TEXT_LIMITS.text),
    }),
    5000,
  ),
  notes: listOf(
    'Notes',
    object({ id: idOf('Note'), station: requiredText('Station', 40), text: requiredText('Note', TEXT_LIMITS.text) }),
    2000,
  ),
  photos: listOf(
    'Photographs',
    photoInput.shape({ id: idOf('Photograph'), jpeg: string().strict().required('The picture is missing.') }),
    200,
  ),
  people: listOf('People', object({ id: requiredText('Person', TEXT_LIMITS.name), name: requiredText('Name', TEXT_LIMITS.name) }), 200),
  instruments: listOf(
    'Instruments',
    object({
      id: requiredText('Instrument', TEXT_LIMITS.name),
      name: requiredText('Name', TEXT_LIMITS.name),
      kind: oneOf('a kind of instrument', Object.keys(INSTRUMENT_KINDS) as InstrumentKind[]),
      calibratedOn: dateOrNull('Calibrated on'),
    }),
    200,
  ),
});

/** The ticket of the job as it is taken in here. */
const ticketOf = (b: JobBundle): unknown => ({ ...b.job, customerName: b.customer.name, customerContact: b.customer.contact });

/** Every id that something points at, and what points at it. */
function danglers(b: JobBundle): Problem[] {
  const components = new Set(b.components.map((c) => c.id));
  const places = new Set(b.places.map((f) => f.id));
  const readings = new Set(b.readings.map((r) => r.id));
  const say = (path: string, what: string): Problem => ({
    code: 'unknown',
    path,
    message: `${what} points at something that is not in the file.`,
  });
  return [
    ...b.components.flatMap((c, i) =>
      c.parentId !== null && !components.has(c.parentId) ? [say(`components.${i}.parentId`, c.name)] : [],
    ),
    ...b.places.flatMap((f, i) => (components.has(f.componentId) ? [] : [say(`places.${i}.componentId`, f.name)])),
    ...b.places.flatMap((f, i) =>
      f.matesPlaceId !== null && !places.has(f.matesPlaceId) ? [say(`places.${i}.matesPlaceId`, f.name)] : [],
    ),
    ...b.readings.flatMap((r, i) =>
      r.placeId !== null && !places.has(r.placeId) ? [say(`readings.${i}.placeId`, `Reading ${r.text}`)] : [],
    ),
    ...b.readings.flatMap((r, i) =>
      r.itemId !== null &&
      r.itemId !== b.job.id &&
      !components.has(r.itemId) &&
      !b.choices.some((c) => tellsOfItem(r.itemId!).includes(c.key))
        ? [say(`readings.${i}.itemId`, `Reading ${r.text}`)]
        : [],
    ),
    ...b.readings.flatMap((r, i) =>
      r.afterActId !== null && !b.choices.some((c) => c.key === choiceKey.act(r.afterActId!))
        ? [say(`readings.${i}.afterActId`, `Reading ${r.text}`)]
        : [],
    ),
    ...b.readings.flatMap((r, i) =>
      r.supersedesId !== null && !readings.has(r.supersedesId) ? [say(`readings.${i}.supersedesId`, `Reading ${r.text}`)] : [],
    ),
  ];
}

const under = (path: string, problems: readonly Problem[]): Problem[] =>
  problems.map((p) => ({ ...p, path: p.path ? `${path}.${p.path}` : path }));

/** The first version called the list of places features. */
function listsNow(file: unknown): unknown {
  if (typeof file !== 'object' || file === null || !('features' in file) || 'places' in file) return file;
  const { features, ...rest } = file;
  return { ...rest, places: features };
}

/** Checks a whole bundle: its shape, every choice by its kind, and that nothing points outside the file. */
export function checkBundle(file: unknown): Outcome<JobBundle> {
  const input = namesNow(listsNow(file));
  const checked = check(shape, input);
  if (!checked.ok) return checked;
  const bundle = upgradeBundle(input as JobBundle);
  const ticket = check(jobInput, ticketOf(bundle));
  const problems = [
    ...(ticket.ok ? [] : under('job', ticket.problems)),
    ...bundle.choices.flatMap((c, i) => {
      const schema = choiceInput(c.key);
      if (!schema) return [{ code: 'unknown', path: `choices.${i}.key`, message: `${c.key} is no kind of choice.` }];
      const value = check(schema, { value: c.value, reason: c.reason });
      return value.ok ? [] : under(`choices.${i}`, value.problems);
    }),
    ...danglers(bundle),
  ];
  return problems.length ? { ok: false, problems } : { ok: true, value: bundle };
}
