import { enduranceGuideMpa, type Material } from '../../book/materials';
import { MPA_PER_KSI } from '../../terms/working';
import { MM_PER_INCH } from '../../terms/quantity';
import type { Load } from './factors';

/** Root of Neuber's length in root inches by powers of the tensile strength in ksi; the fit is for 50 to 250 ksi. */
const NEUBER = {
  bending: [0.246, -3.08e-3, 1.51e-5, -2.67e-8],
  torsion: [0.19, -2.51e-3, 1.35e-5, -2.67e-8],
} as const;
const NEUBER_KSI = { from: 50, to: 250 } as const;
/** Cast iron hardly feels a notch that is cut into it: it is full of them. */
const IRON_SENSITIVITY = 0.2;

/**
 * Notch sensitivity q: how much of Kt - 1 a notch of that radius costs in fatigue; 1 where nothing better is known.
 *
 * Source: Shigley, equations 6-34 to 6-36, and its 0.2 for cast iron.
 *
 * @param radiusMm of the notch
 * @example 690 MPa steel, 3 mm, bending: 0.84 (Shigley, example 6-6)
 */
export function notchSensitivity(material: Pick<Material, 'family' | 'tensileMpa'>, load: Load, radiusMm: number): number {
  if (material.family === 'iron') return IRON_SENSITIVITY;
  if (material.family !== 'steel' && material.family !== 'stainless') return 1;
  const ksi = Math.min(Math.max(material.tensileMpa / MPA_PER_KSI, NEUBER_KSI.from), NEUBER_KSI.to);
  const rootA = NEUBER[load === 'torsion' ? 'torsion' : 'bending'].reduce((sum, c, i) => sum + c * ksi ** i, 0);
  return 1 / (1 + rootA / Math.sqrt(radiusMm / MM_PER_INCH));
}

/** Marin's surface factor of a machined or cold drawn surface, a Sut^b, MPa. */
const MACHINED = { a: 4.51, b: -0.265 } as const;

/** What is left of a small polished bar's endurance on a machined surface. Source: Shigley, table 6-2. */
export const surfaceFactor = (tensileMpa: number): number => Math.min(MACHINED.a * tensileMpa ** MACHINED.b, 1);

/**
 * What is left of it in a thicker shaft that is bent or twisted. Source: Shigley, equation 6-20, 2.79 to 254 mm.
 *
 * @param diameterMm of the section
 */
export function sizeFactor(load: Load, diameterMm: number): number {
  if (load === 'tension') return 1;
  const d = Math.min(Math.max(diameterMm, 2.79), 254);
  return d <= 51 ? 1.24 * d ** -0.107 : 1.51 * d ** -0.157;
}

/** Share of the reversed bending endurance that pull and shear have. Source: Shigley, equation 6-26. */
const LOAD_FACTOR: Readonly<Record<Load, number>> = { bending: 1, torsion: 0.59, tension: 0.85 };

/**
 * Fully reversed stress that a machined section of that material bears for ever, without its notch, MPa; shear for torsion. Null for what has no
 * usual figure. A guide for holding one part against another, not for design.
 */
export function enduranceMpa(material: Material, load: Load, diameterMm: number): number | null {
  const guide = enduranceGuideMpa(material);
  return guide === null ? null : guide * surfaceFactor(material.tensileMpa) * sizeFactor(load, diameterMm) * LOAD_FACTOR[load];
}

/** Shear yields at this share of the yield in pull (distortion energy). */
const SHEAR_YIELD = 1 / Math.sqrt(3);

/** Stress at which a section begins to stay bent, twisted or stretched, MPa; of what breaks first the strength. */
export const yieldMpa = (material: Material, load: Load): number =>
  (material.yieldMpa ?? material.tensileMpa) * (load === 'torsion' ? SHEAR_YIELD : 1);
