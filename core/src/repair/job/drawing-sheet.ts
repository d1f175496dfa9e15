import { materialOf } from '../../book/materials';
import { blockSheet, cutLines, featureLines, partSheet, type Scene } from '../../making/scene';
import { formatLength, type LengthUnit } from '../../terms/quantity';
import type { DimensionFinding, PartFinding } from './part-finding';

/** A number of a dimension, in the reader's unit where it is a length; without its unit. */
export const writtenValue = ({ dimension }: Pick<DimensionFinding, 'dimension'>, value: number, unit: LengthUnit): string =>
  dimension.unit ? String(Number(value.toFixed(3))) : formatLength(value, unit);

/** What stands behind such a number; empty for a length. */
export const unitBehind = ({ dimension }: Pick<DimensionFinding, 'dimension'>): string =>
  dimension.unit === '' || dimension.unit === '°' ? dimension.unit : ` ${dimension.unit}`;

/** A dimension as a sheet writes it: from and to, or its size where it has no limits. */
export function writtenDimension(d: DimensionFinding, unit: LengthUnit): string {
  const { dimension, limits } = d;
  const { unit: own, value, what } = dimension;
  const show = (v: number): string => writtenValue(d, v, unit);
  const behind = unitBehind(d);
  if (what === 'angle') return `${Number(value.toFixed(2))}°`;
  // Nothing is rougher, or further off, than less than nothing.
  if (limits && limits.lowerMm <= 0 && dimension.own) return `at most ${show(limits.upperMm)}${behind}`;
  if (own) return `${limits ? `${show(limits.lowerMm)} to ${show(limits.upperMm)}` : show(value)}${behind}`;
  return limits ? `${formatLength(limits.lowerMm, unit)} to ${formatLength(limits.upperMm, unit)}` : formatLength(dimension.value, unit);
}

/** The drawing of a part as a scene, with every dimension and its limits. */
export function drawingSheet(found: PartFinding, title: string, unit: LengthUnit): Scene {
  const byKey = new Map(found.dimensions.map((d) => [d.dimension.key, d]));
  const write = (key: string): string => {
    const d = byKey.get(key);
    return d ? writtenDimension(d, unit) : '';
  };
  const { block } = found.part;
  const head = [`${title}, ${unit}`, `${found.part.name}, ${materialOf(found.part.materialId)?.name ?? 'material not known'}`];
  if (block)
    return blockSheet(block, {
      title,
      ...{ length: write('block.length'), width: write('block.width'), height: write('block.height') },
      notes: [`${head[0]}, first-angle projection, places from the left, front and lower edges`, head[1]!, ...cutLines(block, write)],
    });
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
    notes: [`${head[0]}, lengths from the zero face`, head[1]!, ...bored, ...featureLines(found.part, write)],
  });
}
