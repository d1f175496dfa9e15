import type { Material } from '../../book/materials';
import type { Part } from '../part';
import { enduranceMpa, yieldMpa } from './fatigue';
import { sectionOf, strengthAlong } from './strength';

/** A load that is known: bent while it turns, twisted and pulled steadily. */
export interface KnownLoad {
  /** Largest bending moment, Nm: it reverses with every turn. */
  readonly bendingNm: number;
  /** Nm, steady. */
  readonly torqueNm: number;
  /** N, steady. */
  readonly pullN: number;
}

/** Factors of safety at one place, as if the whole load acted there. */
export interface Safety {
  readonly atMm: number;
  readonly words: string;
  /** Against fatigue; null for a material without a usual endurance. */
  readonly fatigue: number | null;
  /** Against staying bent. */
  readonly yield: number;
}

/**
 * Factor of safety against fatigue by the Goodman line: 1 over (alternating / endurance + mean / tensile strength).
 *
 * Source: Shigley, equation 6-46; von Mises stresses as in 7-5 and 7-6. All MPa.
 *
 * @example its example 7-1: 15.2 and 10.1 ksi, endurance 29.3, strength 105 ksi: 1.62
 */
export const goodman = (alternatingMpa: number, meanMpa: number, enduranceOfMpa: number, tensileMpa: number): number =>
  1 / (alternatingMpa / enduranceOfMpa + meanMpa / tensileMpa);

const NMM_PER_NM = 1000;

/** Safety of every place of a turned part under a known load, from left to right; no load at all is safe without end. */
export function safetyAlong(part: Part, material: Material, load: KnownLoad): Safety[] {
  const twisted = strengthAlong(part, material, 'torsion');
  const pulled = strengthAlong(part, material, 'tension');
  return strengthAlong(part, material, 'bending').map((b, i): Safety => {
    const { outsideMm, boreMm, atMm, words, material: here } = b;
    const bent = (load.bendingNm * NMM_PER_NM) / sectionOf('bending', outsideMm, boreMm);
    const shear = (load.torqueNm * NMM_PER_NM) / sectionOf('torsion', outsideMm, boreMm);
    const pull = load.pullN / sectionOf('tension', outsideMm, boreMm);
    const mean = Math.hypot(pulled[i]!.kf * pull, Math.sqrt(3) * twisted[i]!.kf * shear);
    const endurance = enduranceMpa(here, 'bending', outsideMm);
    return {
      atMm,
      words,
      fatigue: endurance === null ? null : goodman(b.kf * bent, mean, endurance, here.tensileMpa),
      yield: yieldMpa(here, 'bending') / Math.hypot(bent + pull, Math.sqrt(3) * shear),
    };
  });
}

/** The place with the least factor, of fatigue or yield; null for a part without any. */
export function leastSafe(along: readonly Safety[]): Safety | null {
  const least = (s: Safety): number => Math.min(s.fatigue ?? Infinity, s.yield);
  return along.reduce<Safety | null>((worst, s) => (worst && least(worst) <= least(s) ? worst : s), null);
}
