import { formatLength, type LengthUnit } from '../../terms/quantity';
import { materialOf } from '../../book/materials';
import { dimensionsOf, placeAll, type Dimension, type Part } from '../part';

const SAME = 1e-6;

/** Everything of a drawing that has a name of its own. */
const owners = (part: Part): ReadonlyMap<string, string> =>
  new Map([...placeAll(part), ...part.features, ...(part.block?.cuts ?? [])].map((x) => [x.id, x.name]));

/**
 * What differs between two states of a drawing, in words: what was added and what is gone, sizes and limits that changed, name and material. Empty
 * where nothing does.
 *
 * @param unit in which lengths are told
 */
export function drawingChanges(before: Part, after: Part, unit: LengthUnit): string[] {
  const [was, now] = [owners(before), owners(after)];
  const value = (d: Dimension): string => (d.unit ? `${Number(d.value.toFixed(3))} ${d.unit}` : formatLength(d.value, unit));
  const old = new Map(dimensionsOf(before).map((d) => [d.key, d]));
  const material = (p: Part): string => materialOf(p.materialId)?.name ?? p.materialId;
  const limits = (p: Part, key: string): string => p.limits[key]?.text ?? 'none of its own';
  return [
    ...(before.name === after.name ? [] : [`called ${after.name}, was ${before.name}`]),
    ...(before.materialId === after.materialId ? [] : [`of ${material(after)}, was ${material(before)}`]),
    ...[...now].flatMap(([id, name]) => (was.has(id) ? [] : [`${name} added`])),
    ...[...was].flatMap(([id, name]) => (now.has(id) ? [] : [`${name} gone`])),
    ...dimensionsOf(after).flatMap((d) => {
      const then = old.get(d.key);
      if (!then) return [];
      const moved = Math.abs(then.value - d.value) > SAME ? [`${d.label} ${value(d)}, was ${value(then)}`] : [];
      const [l, m] = [limits(before, d.key), limits(after, d.key)];
      return l === m ? moved : [...moved, `limits of ${d.label} ${m}, were ${l}`];
    }),
  ];
}
