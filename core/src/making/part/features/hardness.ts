import type { FeatureBase, FeatureKind } from '../feature-kind';

/** Scales with the range in which each can be read (ISO 6508-1, ISO 6506-1, ISO 6507-1). */
const SCALES = {
  HRC: { from: 20, to: 70 },
  HBW: { from: 80, to: 650 },
  HV: { from: 80, to: 1000 },
} as const;

const HOW = {
  'as it comes': 'as the stock comes',
  through: 'hardened through',
  case: 'case hardened',
  induction: 'induction hardened',
  nitrided: 'nitrided',
} as const;

/** How hard a surface has to be, and by what it becomes so. */
export interface Hardness extends FeatureBase {
  readonly kind: 'hardness';
  readonly scale: keyof typeof SCALES;
  readonly from: number;
  readonly to: number;
  readonly how: keyof typeof HOW;
  /** `case 0.8 to 1.2 mm deep`. */
  readonly remark: string;
}

/** By what it becomes so: `case hardened`. */
export const hardenedBy = ({ how }: Pick<Hardness, 'how'>): string => HOW[how];

export const hardness: FeatureKind<Hardness> = {
  kind: 'hardness',
  name: 'Hardness',
  sides: ['outside', 'inside'],
  fields: {
    scale: { kind: 'choice', label: 'Scale', options: (Object.keys(SCALES) as (keyof typeof SCALES)[]).map((k) => [k, k] as const) },
    from: { kind: 'number', label: 'From', unit: 'of its scale', from: 20, to: 1000 },
    to: { kind: 'number', label: 'To', unit: 'of its scale', from: 20, to: 1000 },
    how: { kind: 'choice', label: 'By', options: Object.entries(HOW) },
    remark: { kind: 'text', label: 'Depth, and what is kept soft', most: 120, optional: true },
  },
  asks: ['from', 'to'],
  start: () => ({ scale: 'HRC', from: 45, to: 55, how: 'induction', remark: '' }),
  check: (f) => {
    const { from, to } = SCALES[f.scale];
    if (f.from < from || f.from > to) return [{ field: 'from', message: `${f.scale} is read from ${from} to ${to}.` }];
    if (f.to < from || f.to > to) return [{ field: 'to', message: `${f.scale} is read from ${from} to ${to}.` }];
    return f.to > f.from ? [] : [{ field: 'to', message: 'It has to be more than where it begins.' }];
  },
  dimensions: (f) => [
    {
      name: 'hardness',
      what: 'hardness',
      label: `hardness, ${hardenedBy(f)}`,
      value: (f.from + f.to) / 2,
      unit: f.scale,
      own: { lower: f.from, upper: f.to },
    },
  ],
  cut: () => ({ shape: 'other', removedMm3: () => 0, marks: [] }),
  raiser: () => null,
  mirrored: (f) => f,
  operations: (f) => [
    {
      kind: 'treat',
      words:
        f.how === 'as it comes'
          ? `Check that the stock has ${f.from} to ${f.to} ${f.scale} before it is cut`
          : `Have it ${hardenedBy(f)} to ${f.from} to ${f.to} ${f.scale}${f.remark ? `, ${f.remark}` : ''}: it grows and warps, leave metal for grinding`,
      makes: ['hardness'],
    },
  ],
};
