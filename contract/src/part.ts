import {
  FEATURE_KINDS,
  fieldsOf,
  SURFACE_KINDS,
  type Bore,
  type FeatureKindId,
  type FieldSpec,
  type Part,
  type Surface,
  type SurfaceKind,
  type TypedLimits,
} from '@iron-patch/core';
import { array, boolean, lazy, object, type AnyObjectSchema, type AnySchema } from 'yup';
import { idOf, lengthOf, materialIdOf, numberOf, oneOf } from './fields';
import { shapeOf } from './shape';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const MOST_DEVIATION = 100;
const ID_LETTERS = 60;

const surface = shapeOf<Surface>({
  id: requiredText('Surface', ID_LETTERS),
  kind: oneOf('a kind of surface', Object.keys(SURFACE_KINDS) as SurfaceKind[]),
  name: requiredText('Name', 60),
  lengthMm: lengthOf('Length', 0, 3000),
  diameterMm: lengthOf('Diameter', 0, 500),
  farDiameterMm: lengthOf('Diameter of its other end', 0, 500).nullable().defined('Diameter of its other end is missing.'),
  fitsPlaceIds: array(idOf('Mate')).strict().required('Mates: a list.').max(12, 'At most 12 mates.'),
});

const bore = shapeOf<Bore>({
  id: requiredText('Bore', ID_LETTERS),
  from: oneOf('the end that it begins at', ['near', 'far'] as const),
  through: boolean().strict().typeError('Through: yes or no.').required('Through: yes or no.'),
  surfaces: array(surface)
    .strict()
    .required('Diameters: a list.')
    .min(1, 'A bore needs at least one diameter.')
    .max(20, 'At most 20 diameters.'),
});

function fieldOf(spec: FieldSpec): AnySchema {
  switch (spec.kind) {
    case 'length':
      return lengthOf(spec.label, spec.from, spec.to);
    case 'angle':
      return numberOf(spec.label, spec.from, spec.to, '°');
    case 'number':
      return numberOf(spec.label, spec.from, spec.to, spec.unit);
    case 'count':
      return numberOf(spec.label, spec.from, spec.to).integer(`${spec.label}: a whole number.`);
    case 'choice':
      return oneOf(
        spec.label,
        spec.options.map(([v]) => v),
      );
    case 'text':
      return spec.optional ? textOf(spec.label, spec.most) : requiredText(spec.label, spec.most);
    case 'timed':
    case 'feature':
    case 'surface':
      return textOf(spec.label, ID_LETTERS);
  }
}

/** What every feature has beside its own fields. */
const common = {
  id: requiredText('Feature', ID_LETTERS),
  on: requiredText('The surface that it is on', ID_LETTERS),
  name: requiredText('Name', 60),
};

/** The schema of each kind, made of the fields that the kind itself says. */
const FEATURES = Object.fromEntries(
  (Object.keys(FEATURE_KINDS) as FeatureKindId[]).map((id) => {
    const fields = Object.entries(fieldsOf(id));
    const own = Object.fromEntries(fields.map(([name, spec]) => [name, fieldOf(spec)]));
    return [id, object({ ...common, kind: oneOf('a kind of feature', [id]), ...own })];
  }),
) as Readonly<Record<string, AnyObjectSchema>>;

const unknownKind = object({ kind: oneOf('a kind of feature', Object.keys(FEATURE_KINDS)) });

const feature = lazy((value: unknown) => {
  const kind = typeof value === 'object' && value !== null ? (value as { readonly kind?: unknown }).kind : undefined;
  return typeof kind === 'string' && Object.hasOwn(FEATURES, kind) ? FEATURES[kind]! : unknownKind;
});

export const typedLimits = shapeOf<TypedLimits>({
  lowerDev: numberOf('Lower limit', -MOST_DEVIATION, MOST_DEVIATION),
  upperDev: numberOf('Upper limit', -MOST_DEVIATION, MOST_DEVIATION),
  text: requiredText('Limits', 40),
});

/** Limits by key of dimension: as many as there may be dimensions. */
const limits = lazy((value: unknown) => {
  const keys = typeof value === 'object' && value !== null ? Object.keys(value) : [];
  return object(Object.fromEntries(keys.map((k) => [k, typedLimits])))
    .typeError('Limits: by dimension.')
    .required('Limits: by dimension.')
    .test('few', 'At most 400 limits.', () => keys.length <= 400);
});

/** The drawing of a part. */
export const partInput: AnyObjectSchema = shapeOf<Part>({
  name: requiredText('Name', TEXT_LIMITS.name),
  materialId: materialIdOf(),
  outside: array(surface).strict().required('Outside: a list.').max(40, 'At most 40 surfaces.'),
  bores: array(bore).strict().required('Bores: a list.').max(2, 'A part has two ends, so at most 2 bores.'),
  features: array(feature as never)
    .strict()
    .required('Features: a list.')
    .max(100, 'At most 100 features.'),
  limits: limits as unknown as AnySchema,
});
