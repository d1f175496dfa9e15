import {
  BLOCK_KINDS,
  cutFieldsOf,
  FACE_NAMES,
  FEATURE_KINDS,
  fieldsOf,
  MATERIALS,
  type BlockCutId,
  type FeatureKindId,
  type FieldSpec,
} from '@iron-patch/core';

/** What throws the dice. */
interface Thrower {
  readonly chance: (p: number) => boolean;
  readonly pick: <T>(items: readonly T[]) => T;
  readonly mm: (from?: number, to?: number) => number;
  readonly maybe: <T>(value: T) => T | null;
  readonly some: <T>(most: number, make: () => T) => T[];
}

/** Any drawing, most of them such as nobody can make: every field within its own range, nothing fitting anything else. */
export function anyPart(die: Thrower, place: () => unknown): object {
  const surface = (id: string) => ({
    ...{ id, kind: die.pick(['head', 'cylinder', 'taper'] as const), name: id },
    ...{ lengthMm: die.mm(0, 3000), diameterMm: die.mm(0, 500), farDiameterMm: die.maybe(die.mm(0, 500)) },
    fitsPlaceIds: die.some(2, place),
  });
  const fieldOf = (spec: FieldSpec): unknown => {
    if (spec.kind === 'choice') return die.pick(spec.options)[0];
    if (spec.kind === 'text') return die.pick([...(spec.optional ? [''] : []), 'M10', '3/8-24', 'Tr 30 x 6', 'no thread', '2A']);
    if (spec.kind === 'timed' || spec.kind === 'feature') return die.pick(['', 'f0', 'head']);
    if (spec.kind === 'surface') return die.pick(['body', 'hole', 'gone']);
    const value = die.mm(spec.from, spec.to);
    return spec.kind === 'count' ? Math.round(value) : value;
  };
  const feature = (n: number) => {
    const kind = die.pick(Object.keys(FEATURE_KINDS) as FeatureKindId[]);
    const own = Object.entries(fieldsOf(kind)).map(([name, spec]) => [name, fieldOf(spec)]);
    return { id: `f${n}`, kind, on: die.pick(['head', 'body', 'tail', 'hole', 'gone']), name: 'x', ...Object.fromEntries(own) };
  };
  const bore = (id: string) => ({
    ...{ id, from: die.pick(['near', 'far'] as const), through: die.chance(0.5) },
    surfaces: [surface('hole'), ...die.some(2, () => surface(die.pick(['hole', 'hole2'])))],
  });
  const cut = (n: number) => {
    const kind = die.pick(Object.keys(BLOCK_KINDS) as BlockCutId[]);
    const own = Object.entries(cutFieldsOf(kind)).map(([name, spec]) => [name, fieldOf(spec)]);
    const fits = kind === 'hole' ? { fitsPlaceIds: die.some(2, place) } : {};
    return { id: `c${n}`, kind, on: die.pick(Object.keys(FACE_NAMES)), name: 'x', ...fits, ...Object.fromEntries(own) };
  };
  const block = {
    ...{ lengthMm: die.mm(0, 300), widthMm: die.mm(0, 300), heightMm: die.mm(0, 300) },
    cuts: die.some(6, () => cut(Math.floor(Math.abs(die.mm(0, 9))))),
  };
  // Now and then both, which no drawing is.
  if (die.chance(0.2))
    return {
      name: 'Block',
      materialId: die.pick(MATERIALS).id,
      ...(die.chance(0.9) ? { outside: [] } : { outside: [surface('body')] }),
      bores: [],
      features: [],
      limits: {},
      block,
    };
  return {
    name: 'Part',
    materialId: die.pick(MATERIALS).id,
    outside: die.some(3, () => die.pick(['head', 'body', 'tail'])).map(surface),
    bores: die.some(2, () => bore(die.pick(['b', 'c']))),
    features: die.some(6, () => feature(Math.floor(Math.abs(die.mm(0, 9))))),
    limits: die.chance(0.3) ? { body: { lowerDev: -0.02, upperDev: die.mm(0, 1), text: 'x' } } : {},
  };
}
