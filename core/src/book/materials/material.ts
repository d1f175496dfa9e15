import { MATERIAL_CAUTIONS, MATERIAL_SUBSTITUTES } from './advice.data';
import { CUTTING } from './cutting.data';
import { PHYSICAL, type Family } from './physical.data';

/** One material in one condition; see the data files for what each number is. */
export interface Material {
  readonly id: string;
  readonly name: string;
  readonly family: Family;
  readonly hardness: string;
  readonly densityKgM3: number;
  readonly alphaPerK: number;
  readonly youngMpa: number;
  readonly poisson: number;
  /** 0.2 % yield (a plastic's own yield point), MPa; null where the material breaks without yielding. */
  readonly yieldMpa: number | null;
  readonly tensileMpa: number;
  /** Breaks without yielding: judged by tensile strength, never stretched past it. */
  readonly brittle: boolean;
  readonly speedHss: number;
  readonly speedCarbide: number;
  /** Percent of free-cutting steel 1212. */
  readonly machinability: number;
  /** Kienzle: N/mm² for a chip 1 mm x 1 mm, and exponent. */
  readonly kc11: number | null;
  readonly mc: number | null;
  readonly caution?: string;
  readonly substitutes: readonly { readonly id: string; readonly change: string }[];
}

/** Surface speed at which high-speed steel turns a material, m/min; 0 where the book does not have it. */
export const hssMMin = (id: string): number => materialOf(id)?.speedHss ?? 0;

/** The materials of the book, what a shop reaches for first at the head of each family. */
export const MATERIALS: readonly Material[] = PHYSICAL.map(
  ([id, name, family, hardness, densityKgM3, alpha, youngGpa, poisson, yieldMpa, tensileMpa]) => {
    const [speedHss, speedCarbide, machinability, kc11, mc] = CUTTING[id]!;
    return {
      id,
      name,
      family,
      hardness,
      densityKgM3,
      alphaPerK: Math.round(alpha * 10) / 1e7,
      youngMpa: youngGpa * 1000,
      poisson,
      yieldMpa,
      tensileMpa,
      brittle: yieldMpa === null,
      speedHss,
      speedCarbide,
      machinability,
      kc11,
      mc,
      ...(MATERIAL_CAUTIONS[id] ? { caution: MATERIAL_CAUTIONS[id] } : {}),
      substitutes: (MATERIAL_SUBSTITUTES[id] ?? []).map(([other, change]) => ({ id: other, change })),
    };
  },
);

const byId = new Map(MATERIALS.map((m) => [m.id, m]));

/** What a part or bar is made of while nobody knows: it is in no table, and every number that would need one says so. */
export const UNKNOWN_MATERIAL = 'unknown';

/** The material's name, for what is not known too. */
export const materialName = (id: string): string => byId.get(id)?.name ?? 'material not known';

/** The material of that id, or undefined. */
export const materialOf = (id: string): Material | undefined => byId.get(id);

/**
 * Endurance limit in reversed bending of a polished bar, MPa: a guide for comparing old with new, not for design. Half the
 * tensile strength for steel up to 700 MPa, 0.4 for irons and wrought aluminium (to 130 MPa), a third for copper alloys; null
 * for plastics and soft metals.
 *
 * Source: the usual first estimates of machine design texts (Shigley, chapter 6).
 */
export function enduranceGuideMpa({ family, tensileMpa }: Pick<Material, 'family' | 'tensileMpa'>): number | null {
  switch (family) {
    case 'steel':
    case 'stainless':
      return Math.min(0.5 * tensileMpa, 700);
    case 'iron':
      return 0.4 * tensileMpa;
    case 'copper':
      return tensileMpa / 3;
    case 'aluminium':
      return Math.min(0.4 * tensileMpa, 130);
    case 'light':
    case 'plastic':
      return null;
  }
}
