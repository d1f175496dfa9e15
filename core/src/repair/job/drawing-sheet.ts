import { materialOf } from '../../book/materials';
import { featureLines, partSheet, type Scene } from '../../making/scene';
import { formatLength, type LengthUnit } from '../../terms/quantity';
import type { DimensionFinding, PartFinding } from './part-finding';

/** A dimension as a sheet writes it: from and to, or its size where it has no limits. */
export function writtenDimension({ dimension, limits }: DimensionFinding, unit: LengthUnit): string {
  if (dimension.what === 'angle') return `${Number(dimension.value.toFixed(2))}°`;
  if (dimension.what === 'roughness') return `${limits ? `${limits.lowerMm} to ${limits.upperMm}` : dimension.value} µm`;
  return limits ? `${formatLength(limits.lowerMm, unit)} to ${formatLength(limits.upperMm, unit)}` : formatLength(dimension.value, unit);
}

/** The drawing of a part as a scene, with every dimension and its limits. */
export function drawingSheet(found: PartFinding, title: string, unit: LengthUnit): Scene {
  const byKey = new Map(found.dimensions.map((d) => [d.dimension.key, d]));
  const write = (key: string): string => {
    const d = byKey.get(key);
    return d ? writtenDimension(d, unit) : '';
  };
  const bored = found.part.bores.flatMap((b) =>
    b.surfaces.map(
      (s) =>
        `${s.name} ⌀ ${write(s.id)}, from the ${b.from} end${byKey.has(`${s.id}.length`) ? `, ${write(`${s.id}.length`)} deep` : ', through'}`,
    ),
  );
  return partSheet(found.part, {
    title,
    diameters: Object.fromEntries(found.part.outside.map((s) => [s.id, `${s.name} ⌀ ${write(s.id)}`])),
    place: (mm) => formatLength(mm, unit, unit === 'mm' ? 2 : 3),
    notes: [
      `${title}, ${unit}, lengths from the zero face`,
      `${found.part.name}, ${materialOf(found.part.materialId)?.name ?? 'material not known'}`,
      ...bored,
      ...featureLines(found.part, write),
    ],
  });
}
