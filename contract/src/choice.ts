import {
  ACT_KINDS,
  CAUSE_IDS,
  FINDING_IDS,
  ITEM_KINDS,
  keptTime,
  PAIR_KINDS,
  QUANTITY_IDS,
  SOFT_KINDS,
  STEP_ACT_IDS,
  AFTER_HOLD_IDS,
  BORING_IDS,
  TURNED_AGAIN_IDS,
  WAY_IDS,
  type ActOrder,
  type MovedCut,
  type ActChoice,
  type AssembledChoice,
  type CalledOffChoice,
  type CautionChoice,
  type EarlierRepairChoice,
  type FindingChoice,
  type FitChoice,
  type FragmentChoice,
  type ItemChoice,
  type ItemCut,
  type ItemStep,
  type NominalChoice,
  type PieceChoice,
  type PlanChoice,
  type ReturnChoice,
  type RouteChoice,
  type RunningChoice,
  type RunsChoice,
  type SawnChoice,
  type SeenChoice,
  type SettleChoice,
  type SkipChoice,
  type SoftPartChoice,
  type Spot,
  type StripChoice,
  type KnownLoad,
  MOST_STACKED,
  type AxialStack,
  type StackPiece,
} from '@iron-patch/core';
import { array, boolean, lazy, mixed, object, string, type AnyObjectSchema } from 'yup';
import { BENCH_VALUES } from './bench-choice';
import { FRONT_VALUES } from './front-choice';
import { dateText, idOf, lengthOf, MOST_PIECES, numberOf, oneOf, optionalIdOf, yes } from './fields';
import { partInput, typedLimits } from './part';
import { shapeOf } from './shape';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const plan = shapeOf<PlanChoice>({
  latheId: requiredText('Lathe', TEXT_LIMITS.name),
  barId: requiredText('Bar', TEXT_LIMITS.name),
  tool: oneOf('a tool', ['hss', 'carbide'] as const),
  partingMm: lengthOf('Parting tool', 0.5, 12),
  noseMm: lengthOf('Nose radius', 0.05, 3).optional(),
  touched: oneOf('the edge that was touched', ['left', 'right'] as const),
  grippedMm: lengthOf('Held in the chuck', 5, 500),
  finishes: numberOf('Finishing cuts', 2, 3).integer('Finishing cuts: 2 or 3.'),
  // Plans of before nobody was asked how it is held.
  way: oneOf('how it is held', WAY_IDS).optional(),
  moved: array(
    shapeOf<MovedCut>({
      id: requiredText('What is moved', TEXT_LIMITS.name),
      to: numberOf('Set-up', 1, 20).integer('Set-up: a whole number.'),
    }),
  )
    .strict()
    .max(200, 'At most 200 things are moved.')
    .optional(),
  order: array(
    shapeOf<ActOrder>({
      setUp: numberOf('Set-up', 1, 20).integer('Set-up: a whole number.'),
      keys: array(requiredText('What is done', TEXT_LIMITS.name)).strict().max(200, 'At most 200 acts.').required(),
    }),
  )
    .strict()
    .max(20, 'At most 20 set-ups.')
    .optional(),
  eachThrough: yes('Each right through').optional(),
  boring: oneOf('how it is held while it is bored', BORING_IDS).optional(),
  turnedAgain: oneOf('how it is held while it is turned again', TURNED_AGAIN_IDS).optional(),
  afterHolds: array(oneOf('how it is held', AFTER_HOLD_IDS)).strict().max(AFTER_HOLD_IDS.length).optional(),
});

const fit = shapeOf<FitChoice>({
  schoolId: requiredText('Fit', 60),
  hole: oneOf('keep or true the hole', ['keep', 'true'] as const),
  truedMm: lengthOf('Trued size', 1, 1000).nullable(),
});

const removed = yes('Taken off');
const spot = shapeOf<Spot>({
  stationMm: lengthOf('Station'),
  clockDeg: numberOf('Clock angle', 0, 359.99, '°'),
  quantity: oneOf('what is read', QUANTITY_IDS),
});

/** What is written down at Strip and Measure, one choice an item. */
const FOUND_VALUES: Readonly<Record<string, AnyObjectSchema>> = {
  strip: shapeOf<StripChoice>({
    faced: textOf('Which way it faced', TEXT_LIMITS.text),
    shims: array(object({ side: requiredText('Side', 40), thicknessMm: lengthOf('Shim pack', 0.001, 100) }))
      .strict()
      .required('Shims: a list.')
      .max(12, 'At most 12 shim packs.'),
    endPlayMm: lengthOf('End play', 0, 100).nullable(),
    sidePlayMm: lengthOf('Side play', 0, 100).nullable(),
    noPlay: boolean().strict().required('Play: there or not.'),
    damaged: textOf('What had to be damaged', TEXT_LIMITS.text),
  }),
  soft: shapeOf<SoftPartChoice>({
    componentId: idOf('Component').nullable(),
    what: oneOf('what it is', SOFT_KINDS),
    size: requiredText('Size', TEXT_LIMITS.name),
    count: numberOf('How many', 1, 1000).integer('How many: a whole number.'),
    ordered: boolean().strict().required('Ordered: yes or no.'),
    removed,
  }),
  fragment: shapeOf<FragmentChoice>({
    what: requiredText('What is loose', TEXT_LIMITS.name),
    where: textOf('Where it may be', TEXT_LIMITS.line),
    settled: textOf('How it was accounted for', TEXT_LIMITS.line),
    removed,
  }),
  earlier: shapeOf<EarlierRepairChoice>({
    componentId: idOf('Component').nullable(),
    what: requiredText('What was done', TEXT_LIMITS.line),
    judged: oneOf('a judgement', ['sound', 'the fault', 'not known'] as const),
    removed,
  }),
  act: shapeOf<ActChoice>({
    componentId: idOf('Component'),
    placeId: optionalIdOf('Place'),
    kind: oneOf('what is done', ACT_KINDS),
    where: textOf('Where', TEXT_LIMITS.line),
    state: oneOf('planned or done', ['planned', 'done'] as const),
    override: textOf('Why it goes ahead', TEXT_LIMITS.line),
    removed,
  }),
  finding: shapeOf<FindingChoice>({
    findingId: oneOf('a finding', FINDING_IDS),
    componentId: idOf('Component'),
    placeId: idOf('Place').nullable(),
    atMm: lengthOf('Where along it').nullable(),
    clockDeg: numberOf('Clock angle', 0, 359.99, '°').nullable(),
    words: textOf('In words', TEXT_LIMITS.line),
    removed,
  }),
  seen: shapeOf<SeenChoice>({
    surface: textOf('Surface', TEXT_LIMITS.line),
    hardness: numberOf('Hardness', 1, 1500).nullable(),
    scale: oneOf('a scale', ['HRC', 'HB', 'HV'] as const),
    clockDeg: numberOf('Clock position', 0, 359.99, '°').nullable(),
    timedToPlaceId: idOf('Place that it is told from').nullable(),
  }),
  settle: shapeOf<SettleChoice>({ believed: requiredText('Instrument', TEXT_LIMITS.name) }),
  skip: shapeOf<SkipChoice>({ spots: array(spot).strict().required('Spots: a list.').max(2000, 'At most 2000 spots.') }),
};

/** Steps of before they had an act and a time are without. */
const step = shapeOf<ItemStep>({
  what: requiredText('What is done', TEXT_LIMITS.line),
  done: yes('Done'),
  act: oneOf('what kind of act', STEP_ACT_IDS).optional(),
  moves: boolean().strict().typeError('Moves sizes: yes or no.').optional(),
  doneAt: string()
    .strict()
    .nullable()
    .optional()
    .test('time', 'When it was done is a time.', (v) => v == null || keptTime(v) !== null),
});

/** What the job does. */
const item = shapeOf<ItemChoice>({
  kind: oneOf('what is done', ITEM_KINDS),
  name: requiredText('Name', TEXT_LIMITS.name),
  quantity: numberOf('How many', 1, MOST_PIECES).integer('How many: a whole number.'),
  componentIds: array(idOf('Component')).strict().required('Components: a list.').max(40, 'At most 40 components.'),
  // Items of before they had a route are without.
  route: textOf('Route', TEXT_LIMITS.line).optional(),
  position: numberOf('Position', -1000, 1000),
  steps: array(step).strict().required('Steps: a list.').max(40, 'At most 40 steps.'),
  cuts: array(
    shapeOf<ItemCut>({
      placeId: idOf('Place'),
      sizeMm: lengthOf('Size', 0.5, 2000).nullable().defined('Size is missing.'),
      limits: typedLimits.nullable().defined('Limits are missing.'),
    }),
  )
    .strict()
    .required('Cuts: a list.')
    .max(40, 'At most 40 places.'),
  size: textOf('Size to order', TEXT_LIMITS.name),
  source: textOf('Where from', TEXT_LIMITS.name),
  leadDays: numberOf('Days until it is here', 0, 1000).nullable().defined('Days are missing.'),
  here: yes('Here'),
  after: array(idOf('Item')).strict().required('Waits for: a list.').max(20, 'At most 20 items.'),
  tried: textOf('How it was tried', TEXT_LIMITS.text),
  // Items of before nobody asked are not.
  givesWay: yes('Gives way').optional(),
  off: yes('Called off'),
});

/** Kinds of choice by the word before the colon of their key, with the shape of their value. */
export const CHOICE_VALUES: Readonly<Record<string, AnyObjectSchema>> = {
  ...FOUND_VALUES,
  route: shapeOf<RouteChoice>({
    cause: requiredText('Cause', TEXT_LIMITS.text),
    route: requiredText('Route', TEXT_LIMITS.text),
    causeId: textOf('Root cause', 60).oneOf(['', ...CAUSE_IDS], 'Choose a root cause of the list, or none.'),
    cure: textOf('What is done against it', TEXT_LIMITS.text),
  }),
  part: partInput,
  plan,
  item,
  piece: shapeOf<PieceChoice>({ scrapped: yes('Scrapped'), why: requiredText('Why', TEXT_LIMITS.line, 'Say what went wrong with it.') }),
  assembled: shapeOf<AssembledChoice>({
    what: requiredText('What is tried', TEXT_LIMITS.line),
    state: oneOf('how it came out', ['good', 'failed', 'off'] as const),
    measuredMm: numberOf('What it showed', -1000, 1000, 'mm').nullable(),
    remark: textOf('Remark', TEXT_LIMITS.line).when('state', ([state], schema) =>
      state === 'good' ? schema : schema.min(1, state === 'off' ? 'Say why it is not tried.' : 'Say what was wrong.'),
    ),
  }),
  sawn: shapeOf<SawnChoice>({
    blanks: numberOf('Blanks', 0, 10 * MOST_PIECES).integer('Blanks: a whole number.'),
    // What was sawn before several were cut off one blank is without.
    pieces: numberOf('Pieces', 0, 100 * MOST_PIECES)
      .integer('Pieces: a whole number.')
      .optional(),
  }),
  ...BENCH_VALUES,
  ...FRONT_VALUES,
  fit,
  runs: shapeOf<RunsChoice>({ kind: oneOf('what runs here', PAIR_KINDS) }),
  running: shapeOf<RunningChoice>({
    pinC: numberOf('Pin when it runs', -60, 400, '°C'),
    holeC: numberOf('Hole when it runs', -60, 400, '°C'),
    hubOutsideMm: lengthOf('Metal round the hole', 1, 3000).nullable(),
  }),
  load: shapeOf<KnownLoad>({
    bendingNm: numberOf('Bending moment', 0, 1e6, 'Nm'),
    torqueNm: numberOf('Torque', 0, 1e6, 'Nm'),
    pullN: numberOf('Pull', 0, 1e8, 'N'),
  }),
  stack: shapeOf<AxialStack>({
    shoulder: requiredText('Shoulder', TEXT_LIMITS.name),
    grooveId: requiredText('Groove', TEXT_LIMITS.name),
    pieces: array(
      shapeOf<StackPiece>({
        name: requiredText('Name', TEXT_LIMITS.line),
        lengthMm: lengthOf('Length', 0.001, 3000),
        lowerDev: numberOf('Lower deviation', -50, 50),
        upperDev: numberOf('Upper deviation', -50, 50),
      }),
    )
      .strict()
      .required('What sits there: a list.')
      .max(MOST_STACKED, `At most ${MOST_STACKED} things on one shaft.`),
    leastMm: numberOf('End play, at least', -10, 100, 'mm'),
    mostMm: numberOf('End play, at most', -10, 100, 'mm').when('leastMm', ([least], schema) =>
      schema.min(Number(least), 'End play, at most: no less than the least.'),
    ),
  }),
  returned: shapeOf<ReturnChoice>({
    lesson: requiredText('Lesson', TEXT_LIMITS.text),
    stillToDo: textOf('Still to do', TEXT_LIMITS.text),
    outcome: oneOf('passed or not passed', ['passed', 'not-passed'] as const),
    beforeUse: textOf('Before it is used', TEXT_LIMITS.large),
    unproved: textOf('Why it goes out unproved', TEXT_LIMITS.text),
    undone: textOf('Why planned acts are left', TEXT_LIMITS.text),
    // Hand-overs of before anybody asked are without.
    oldParts: textOf('Old parts', TEXT_LIMITS.line).optional(),
    beforePhotoId: optionalIdOf('The picture of before'),
    afterPhotoId: optionalIdOf('The picture of after'),
  }),
  'called-off': shapeOf<CalledOffChoice>({
    off: boolean().strict().typeError('Called off: yes or no.').required('Called off: yes or no.'),
    why: requiredText('Why', TEXT_LIMITS.line, 'Say why it is called off, or why it is taken up again.'),
  }),
  nominal: shapeOf<NominalChoice>({ sizeMm: lengthOf('Size', 0.1, 2000), name: requiredText('Name', 60) }),
  caution: shapeOf<CautionChoice>({
    signedBy: requiredText('Name of who decided', TEXT_LIMITS.name),
    licence: requiredText('Licence', TEXT_LIMITS.name),
    // What was written down before anybody asked is without.
    by: oneOf('who decided', ['shop', 'outside'] as const).optional(),
    on: dateText('Day of the paper').when('by', ([by], schema) =>
      by === 'outside' ? schema.required('Day of the paper is needed.') : schema,
    ),
    photoId: optionalIdOf('The photograph of the paper').when('by', ([by], schema) =>
      by === 'outside' ? schema.required('A photograph of the paper is needed: take one first.') : schema,
    ),
  }),
  accept: object({ valueMm: numberOf('Value', -20_000, 20_000, 'mm').nullable() }),
};

/** A choice: what, and why when somebody says so. The value is checked by the kind of its key; null takes back what was chosen. */
export const choiceInput = (key: string): AnyObjectSchema | null => {
  const kind = key.split(':')[0]!;
  const value = Object.hasOwn(CHOICE_VALUES, kind) ? CHOICE_VALUES[kind] : undefined;
  if (!value) return null;
  const said = value.required('The choice is missing.');
  return object({ value: lazy((v) => (v === null ? mixed().nullable() : said)), reason: textOf('Reason', TEXT_LIMITS.text) });
};
export interface ChoiceInput {
  readonly value: unknown;
  readonly reason: string;
}
