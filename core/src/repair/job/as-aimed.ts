import type { FeatureKindId, Part, PartFeature, Surface } from '../../making/part';
import { asCut } from './as-cut';
import type { PartFinding } from './part-finding';

/** What is set by a dial or a stop, of every feature. What a cutter or a drill gives by its own size stays as drawn. */
const SET = ['at', 'length', 'depth', 'across', 'root', 'throw'] as const;
/** Features that are turned: their width and floor are set too. */
const TURNED: readonly FeatureKindId[] = ['ring-groove', 'oring-groove', 'seal-groove', 'relief'];

const isSet = (f: PartFeature, name: string): boolean =>
  SET.some((s) => s === name) || (TURNED.includes(f.kind) && (name === 'width' || name === 'diameter'));

/**
 * The part as it is made for: every size that is set at the machine in the middle of what its limits allow. A seat of 30 k6 is turned to 30.009, and
 * what is cut into it is counted from there; a groove that may be wider but not narrower is made wider. What is treated afterwards has the size before it.
 */
export function asAimed(found: PartFinding): Part {
  const { part, dimensions } = found;
  const cut = asCut(found);
  const limited = dimensions.filter((d) => d.limits !== null && d.figure.measure === 'length');
  const sizeOf = (key: string, mm: number): number => limited.find((d) => d.dimension.key === key)?.figure.value ?? mm;
  const surface = (s: Surface): Surface => ({
    ...s,
    diameterMm: cut.find((c) => c.segment.id === s.id)?.diameter.value ?? s.diameterMm,
    farDiameterMm: s.farDiameterMm === null ? null : sizeOf(`${s.id}.far`, s.farDiameterMm),
    lengthMm: sizeOf(`${s.id}.length`, s.lengthMm),
  });
  const feature = (f: PartFeature): PartFeature => {
    const set = limited.filter(({ dimension: d }) => d.ownerId === f.id && `${d.name}Mm` in f && isSet(f, d.name));
    return { ...f, ...Object.fromEntries(set.map((d) => [`${d.dimension.name}Mm`, d.figure.value])) };
  };
  return {
    ...part,
    outside: part.outside.map(surface),
    bores: part.bores.map((b) => ({ ...b, surfaces: b.surfaces.map(surface) })),
    features: part.features.map(feature),
  };
}
