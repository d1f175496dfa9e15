import { array, lazy, mixed, object, type AnyObjectSchema } from 'yup';
import { idOf, lengthOf, materialIdOf, numberOf, oneOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const segment = object({
  id: requiredText('Segment', 40),
  kind: oneOf('head or cylinder', ['head', 'cylinder'] as const),
  name: requiredText('Name', 60),
  lengthMm: lengthOf('Length', 0, 3000),
  diameterMm: lengthOf('Diameter', 0, 500),
  chamferLeftMm: lengthOf('Left chamfer', 0, 250),
  chamferRightMm: lengthOf('Right chamfer', 0, 250),
  fitsFeatureIds: array(idOf('Mate')).strict().required('Mates: a list.').max(12, 'At most 12 mates.'),
});

const crossHole = object({
  id: requiredText('Hole', 40),
  diameterMm: lengthOf('Hole diameter', 0, 250),
  atMm: lengthOf('Hole position', 0, 3000),
  clockDeg: numberOf('Clock angle', 0, 359.99, '°'),
});

const bore = object({ diameterMm: lengthOf('Bore', 0, 500), depthMm: lengthOf('Depth', 0, 3000).nullable() });

const part = object({
  name: requiredText('Name', TEXT_LIMITS.name),
  materialId: materialIdOf(),
  segments: array(segment).strict().required('Segments: a list.').max(40, 'At most 40 segments.'),
  bore: lazy((value) => (value === null ? mixed().nullable() : bore)),
  crossHoles: array(crossHole).strict().required('Cross holes: a list.').max(40, 'At most 40 cross holes.'),
});

const plan = object({
  latheId: requiredText('Lathe', TEXT_LIMITS.name),
  barId: requiredText('Bar', TEXT_LIMITS.name),
  tool: oneOf('a tool', ['hss', 'carbide'] as const),
  partingMm: lengthOf('Parting tool', 0.5, 12),
  touched: oneOf('the edge that was touched', ['left', 'right'] as const),
  grippedMm: lengthOf('Held in the chuck', 5, 500),
  finishes: numberOf('Finishing cuts', 2, 3).integer('Finishing cuts: 2 or 3.'),
});

const fit = object({
  schoolId: requiredText('Fit', 60),
  hole: oneOf('keep or true the hole', ['keep', 'true'] as const),
  truedMm: lengthOf('Trued size', 1, 1000).nullable(),
});

/** Kinds of choice by the word before the colon of their key, with the shape of their value. */
export const CHOICE_VALUES: Readonly<Record<string, AnyObjectSchema>> = {
  route: object({ cause: requiredText('Cause', TEXT_LIMITS.text), route: requiredText('Route', TEXT_LIMITS.text) }),
  part,
  plan,
  fit,
  running: object({
    pinC: numberOf('Pin when it runs', -60, 400, '°C'),
    holeC: numberOf('Hole when it runs', -60, 400, '°C'),
    hubOutsideMm: lengthOf('Metal round the hole', 1, 3000).nullable(),
  }),
  returned: object({ lesson: requiredText('Lesson', TEXT_LIMITS.text), stillToDo: textOf('Still to do', TEXT_LIMITS.text) }),
  nominal: object({ sizeMm: lengthOf('Size', 0.1, 2000), name: requiredText('Name', 60) }),
  caution: object({ signedBy: requiredText('Who decided', TEXT_LIMITS.name) }),
  accept: object({ valueMm: numberOf('Value', -20_000, 20_000, 'mm').nullable() }),
};

/** A choice: what, and why when somebody says so. The value is checked by the kind of its key. */
export const choiceInput = (key: string): AnyObjectSchema | null => {
  const value = CHOICE_VALUES[key.split(':')[0]!];
  return value ? object({ value: value.required('The choice is missing.'), reason: textOf('Reason', TEXT_LIMITS.text) }) : null;
};
export interface ChoiceInput {
  readonly value: unknown;
  readonly reason: string;
}
