import {
  fieldsOf,
  kindOf,
  MOST_DIAMETER_MM,
  MOST_PART_LENGTH_MM,
  placeAll,
  validatePart,
  type FieldSpec,
  type Part,
  type PartFeature,
  type PlacedSurface,
  type Surface,
} from '../part';

/** One thing that a drawing asks for: a size of a surface, or a field of what is cut into it. */
export interface Ask {
  /** `<id of surface or feature>.<field>`: lasts as they do. */
  readonly id: string;
  readonly ownerId: string;
  readonly surfaceId: string;
  readonly field: string;
  /** Name of the surface or feature. */
  readonly name: string;
  readonly spec: FieldSpec;
  /** mm, degrees, a count, or words. */
  readonly value: number | string;
  /** Key of the dimension whose size it is. */
  readonly key: string;
}

const SMALLEST_MM = 0.01;
const diameter = (label: string): FieldSpec => ({ kind: 'length', label, from: SMALLEST_MM, to: MOST_DIAMETER_MM });
const LENGTH: FieldSpec = { kind: 'length', label: 'Length', from: SMALLEST_MM, to: MOST_PART_LENGTH_MM };

/** The last diameter of a through bore takes what is left of the length. */
const takesTheRest = (part: Part, id: string): boolean => part.bores.some((b) => b.through && b.surfaces.at(-1)?.id === id);

function ofSurface(part: Part, s: PlacedSurface, fitted: boolean): Ask[] {
  const ask = (field: keyof Surface, spec: FieldSpec, key: string): Ask => ({
    ...{ id: `${s.id}.${field}`, ownerId: s.id, surfaceId: s.id, field, name: s.name, spec, key },
    value: s[field] as number,
  });
  return [
    ...(fitted ? [] : [ask('diameterMm', diameter(s.kind === 'taper' ? 'Diameter, first end' : 'Diameter'), s.id)]),
    ...(s.farDiameterMm === null ? [] : [ask('farDiameterMm', diameter('Diameter, other end'), `${s.id}.far`)]),
    ...(takesTheRest(part, s.id) ? [] : [ask('lengthMm', LENGTH, `${s.id}.length`)]),
  ];
}

const MEASURE = /(Mm|Deg|Um)$/;

/** Every field of a feature that is asked for, in the trade's order. */
function ofFeature(f: PartFeature): Ask[] {
  const values = f as unknown as Readonly<Record<string, number | string>>;
  return kindOf(f.kind).asks.map((field) => ({
    ...{ id: `${f.id}.${field}`, ownerId: f.id, surfaceId: f.on, field, name: f.name },
    spec: fieldsOf(f.kind)[field]!,
    value: values[field]!,
    key: `${f.id}.${field.replace(MEASURE, '')}`,
  }));
}

/**
 * All that a turned part asks for, in the order in which it is gone through: surface by surface along the axis, then bore by bore, each with what is
 * cut into it. Empty for a block.
 *
 * @param fitted whether the diameter of that surface follows from a fit, so that nobody types it
 */
export const asksOf = (part: Part, fitted: (surfaceId: string) => boolean = () => false): Ask[] =>
  placeAll(part).flatMap((s) => [...ofSurface(part, s, fitted(s.id)), ...part.features.filter((f) => f.on === s.id).flatMap(ofFeature)]);

/** The part with another answer; null where that would not hold. */
export function movedTo(part: Part, ask: Ask, value: number): Part | null {
  const moved = answered(part, ask, value);
  return validatePart(moved).ok ? moved : null;
}

/** The part with another answer to what was asked. */
export function answered(part: Part, { ownerId, field }: Ask, value: number | string): Part {
  const set = <T extends { readonly id: string }>(all: readonly T[]): T[] =>
    all.map((x) => (x.id === ownerId ? { ...x, [field]: value } : x));
  return {
    ...part,
    outside: set(part.outside),
    bores: part.bores.map((b) => ({ ...b, surfaces: set(b.surfaces) })),
    features: set(part.features),
  };
}
