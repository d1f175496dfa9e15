import { generalToleranceMm } from '../../book/fits';
import { partLengthMm, type FeatureKindId } from '../../making/part';
import { capital } from '../../terms/words';
import { formatWithUnit } from '../../terms/quantity';
import { plus, sumOf, workedOut } from '../../terms/working';
import { dialWords, type Asked, type At } from './asked-cut';
import type { DimensionFinding, PartFinding } from './part-finding';
import type { PlannedSetUp } from './plan-finding';

/** What is spotted, touched or plunged at its place and read there before it is cut to its full size. */
const PLACED: readonly FeatureKindId[] = [
  'cross-hole',
  'keyseat',
  'woodruff-seat',
  'slot',
  'flats',
  'ring-groove',
  'oring-groove',
  'seal-groove',
  'relief',
  'undercut',
];

/** Where a hole, a keyseat or a groove lies: off its place it is moved, as long as it has not its size. */
export function placedCuts({ dimension, limits, figure }: DimensionFinding, one: PlannedSetUp, { part, plan, sheet }: At): Asked[] {
  const { name, what, ownerId, key, label, value } = dimension;
  const kind = part.features.find((f) => f.id === ownerId)?.kind;
  const here = kind && PLACED.includes(kind) && one.setUp.cuts.includes(ownerId);
  if (!limits || !here || name !== 'at' || what !== 'position') return [];
  return [
    {
      ...{ key, name: capital(label), side: 'outside', grows: true, due: false, limits, placed: true },
      wanted: { ...figure, value },
      moveFor: (mm) => mm,
      dialFor: (mm) => dialWords(mm, 'along', one, plan),
      wordsFor: (mm) =>
        `It lies ${formatWithUnit(Math.abs(mm), sheet.job.unit)} too ${mm > 0 ? 'near to' : 'far from'} the left end: move by that before it is cut to its full size. What has its size cannot be moved.`,
    },
  ];
}

/**
 * How long it is over all, in the set-up that faces it to its length: what it is too long comes off the end. By the general tolerance, and never wider
 * than its stretches add up to.
 */
export function lengthOverAll(found: PartFinding, one: PlannedSetUp, { part, plan, sheet }: At): Asked[] {
  if (!one.setUp.toLength) return [];
  const lengthMm = partLengthMm(part);
  const bandMm = generalToleranceMm(lengthMm);
  const own = found.dimensions.filter((d) => d.dimension.name === 'length' && part.outside.some((s) => s.id === d.dimension.ownerId));
  const limited = own.flatMap((d) => d.limits ?? []);
  if (limited.length < part.outside.length) return [];
  const [lowerMm, upperMm] = [limited.reduce((sum, l) => sum + l.lowerMm, 0), limited.reduce((sum, l) => sum + l.upperMm, 0)];
  const single = part.outside.length === 1;
  const limits = single ? limited[0]! : { lowerMm: Math.max(lengthMm - bandMm, lowerMm), upperMm: Math.min(lengthMm + bandMm, upperMm) };
  const drawn = sumOf(
    'segment.part.drawn',
    'length over all, as drawn',
    own.map((d) => plus(workedOut(`${d.figure.key}.drawn`, d.dimension.label, d.dimension.value, 'as drawn', []))),
  );
  const wanted = workedOut('segment.part.length', 'length over all', (limits.lowerMm + limits.upperMm) / 2, 'middle of its limits', [
    drawn,
  ]);
  return [
    {
      ...{ key: single ? own[0]!.dimension.key : 'part.length', name: 'Length over all', side: 'outside', grows: false, due: false },
      ...{ limits, wanted, moveFor: (mm) => mm, dialFor: (mm) => dialWords(mm, 'along', one, plan) },
      wordsFor: (mm) => `${formatWithUnit(mm, sheet.job.unit)} off the end: touch it, go in by that, face it, and read it again.`,
    },
  ];
}
