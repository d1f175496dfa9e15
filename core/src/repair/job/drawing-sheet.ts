import { materialOf } from '../../book/materials';
import { GENERAL_TOLERANCE_SOURCE } from '../../book/fits';
import { blockSheet, cutLines, featureLines, partSheet, type Sheet } from '../../making/scene';
import { formatLength, significant, type LengthUnit } from '../../terms/quantity';
import { isDrawn } from '../../making/part';
import type { DimensionFinding, PartFinding } from './part-finding';
import type { JobSheet, Shop } from './records';
import type { Repair } from './repair';

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

/** What a sheet tells beside the part itself. */
export interface SheetTitle {
  /** Job and what it is called. */
  readonly title: string;
  /** Which release it shows, when and by whom; empty while it is not released. */
  readonly released: string;
  readonly quantity: number;
}

/** The drawing of a part as one sheet, with every dimension and its limits. */
export function drawingSheet(found: PartFinding, { title, released, quantity }: SheetTitle, unit: LengthUnit): Sheet {
  const { part } = found;
  const byKey = new Map(found.dimensions.map((d) => [d.dimension.key, d]));
  const write = (key: string): string => {
    const d = byKey.get(key);
    return d ? writtenDimension(d, unit) : '';
  };
  const material = materialOf(part.materialId)?.name ?? 'material not known';
  const mass = found.mass ? [['mass', `${significant(found.mass.value, 3)} kg`] as const] : [];
  const fields = (from: string, view: string): readonly (readonly [string, string])[] => [
    ['job', title],
    ['material', material],
    ...mass,
    ['off', String(quantity)],
    ['sizes', `${unit} at 20 °C, from ${from}`],
    ['not otherwise said', GENERAL_TOLERANCE_SOURCE],
    ['view', view],
    ['edges', 'broken, burrs off'],
    ['release', released || 'not released'],
  ];
  const { block } = part;
  if (block)
    return blockSheet(block, {
      ...{
        title,
        name: part.name,
        fields: fields('the left, front and lower edges', 'first-angle projection'),
        notes: cutLines(block, write),
      },
      ...{ length: write('block.length'), width: write('block.width'), height: write('block.height') },
    });
  const bored = part.bores.flatMap((b) =>
    b.surfaces.map(
      (s) =>
        `${s.name} ⌀ ${write(s.id)}, from the ${b.from} end${byKey.has(`${s.id}.length`) ? `, ${write(`${s.id}.length`)} deep` : ', through'}`,
    ),
  );
  const lines = featureLines(part, write);
  const threads = new Map(part.features.flatMap((f) => (f.kind === 'thread' ? [[f.on, f.thread] as const] : [])));
  return partSheet(part, {
    title,
    name: part.name,
    fields: fields('the zero face', 'half section'),
    diameters: Object.fromEntries(
      part.outside.map((s) => [s.id, [s.name, threads.get(s.id) ?? '', '⌀', write(s.id)].filter(Boolean).join(' ')]),
    ),
    place: (mm) => formatLength(mm, unit, unit === 'mm' ? 2 : 3),
    numbers: Object.fromEntries(part.features.map((f, i) => [f.id, i + 1])),
    notes: [...bored, ...lines.map((l, i) => `(${i + 1}) ${l}`)],
  });
}

/** The sheet of an item of a job as it stands: with its newest release, however many of it. Null while nothing of it is drawn, or the drawing does not hold. */
export function itemSheet(
  sheet: JobSheet,
  { at, part }: Pick<Repair, 'at' | 'part'>,
  shop: Pick<Shop, 'people'>,
  day: (at: string) => string,
): Sheet | null {
  if (!at || !part || !isDrawn(part.part) || part.problems.length) return null;
  const own = sheet.releases.filter((r) => r.itemId === at.item.id);
  const newest = own.at(-1);
  const who = shop.people.find((p) => p.id === newest?.personId)?.name ?? '';
  // A release tells of the numbers that it froze, not of what they moved to since.
  const released = !newest ? '' : at.moved.length ? `changed since release ${own.length}` : `${own.length}, ${day(newest.at)}, ${who}`;
  return drawingSheet(part, { title: `${sheet.job.number} ${sheet.job.title}`, released, quantity: at.item.quantity }, sheet.job.unit);
}
