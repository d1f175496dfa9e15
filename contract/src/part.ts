import {
  BLOCK_KINDS,
  cutFieldsOf,
  FACE_NAMES,
  FEATURE_KINDS,
  fieldsOf,
  MOST_BLOCK_MM,
  SURFACE_KINDS,
  type Block,
  type BlockCutId,
  type Bore,
  type Face,
  type FeatureKindId,
  type FieldSpec,
  type Part,
  type Surface,
  type SurfaceKind,
  type TypedLimits,
} from '@iron-patch/core';
import { array, boolean, lazy, object, type AnyObjectSchema, type AnySchema, type Lazy } from 'yup';
import { idOf, lengthOf, materialIdOf, numberOf, oneOf } from './fields';
import { shapeOf } from './shape';
import { requiredText, textOf, TEXT_LIMITS } from './text';

const MOST_DEVIATION = 100;
const ID_LETTERS = 60;

const mates = array(idOf('Mate')).strict().required('Mates: a list.').max(12, 'At most 12 mates.');

const surface = shapeOf<Surface>({
  id: requiredText('Surface', ID_LETTERS),
  kind: oneOf('a kind of surface', Object.keys(SURFACE_KINDS) as SurfaceKind[]),
  name: requiredText('Name', 60),
  lengthMm: lengthOf('Length', 0, 3000),
  diameterMm: lengthOf('Diameter', 0, 500),
  farDiameterMm: lengthOf('Diameter of its other end', 0, 500).nullable().defined('Diameter of its other end is missing.'),
  fitsPlaceIds: mates,
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

/** The schema of the kind that a thing says it is. */
const oneOfKinds = (known: Readonly<Record<string, AnyObjectSchema>>, unknown: AnyObjectSchema): Lazy<unknown> =>
  lazy((value: unknown) => {
    const kind = typeof value === 'object' && value !== null ? (value as { readonly kind?: unknown }).kind : undefined;
    return typeof kind === 'string' && Object.hasOwn(known, kind) ? known[kind]! : unknown;
  });

/** What every cut into a block has beside its own fields; only a hole fits a shaft. */
const cutCommon = {
  id: requiredText('Cut', ID_LETTERS),
  on: oneOf('a face', Object.keys(FACE_NAMES) as Face[]),
  name: requiredText('Name', 60),
};

const CUTS = Object.fromEntries(
  (Object.keys(BLOCK_KINDS) as BlockCutId[]).map((id) => {
    const own = Object.fromEntries(Object.entries(cutFieldsOf(id)).map(([name, spec]) => [name, fieldOf(spec)]));
    const fits: Record<string, AnySchema> = id === 'hole' ? { fitsPlaceIds: mates } : {};
    return [id, object({ ...cutCommon, kind: oneOf('a kind of cut', [id]), ...own, ...fits })];
  }),
) as Readonly<Record<string, AnyObjectSchema>>;

const unknownCut = object({ kind: oneOf('a kind of cut', Object.keys(BLOCK_KINDS)) });

const block = shapeOf<Block>({
  lengthMm: lengthOf('Length', 0, MOST_BLOCK_MM),
  widthMm: lengthOf('Width', 0, MOST_BLOCK_MM),
  heightMm: lengthOf('Height', 0, MOST_BLOCK_MM),
  cuts: array(oneOfKinds(CUTS, unknownCut) as never)
    .strict()
    .required('Cuts: a list.')
    .max(100, 'At most 100 cuts.'),
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
  features: array(oneOfKinds(FEATURES, unknownKind) as never)
    .strict()
    .required('Features: a list.')
    .max(100, 'At most 100 features.'),
  limits: limits as unknown as AnySchema,
  // Drawings of before there were blocks have none.
  block: block.nullable().optional().default(undefined),
});
