import { besideWeld, type Material } from '../../book/materials';
import { keeper } from '../../terms/kept';
import { hostOf, placeOutside, type Part } from '../part';
import { cutThreadFatigueFactor, type Load } from './factors';
import { enduranceMpa, notchSensitivity, yieldMpa } from './fatigue';
import { heatedOf, isHeated, type Heated } from './heated';
import { notchesOf, type Notch } from './notches';

/** What a section of a shaft bears at one place. */
export interface Bearing {
  readonly atMm: number;
  /** How far along the part it reaches: a notch is one place. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly words: string;
  readonly outsideMm: number;
  readonly boreMm: number;
  /** Kt; null for a plain section and for a thread, which is told by its fatigue factor. */
  readonly kt: number | null;
  /** Kf: 1 for a plain section. */
  readonly kf: number;
  /** Where Kt lies in the range that it was published for. */
  readonly inRange: boolean;
  /** Fully reversed load that it bears for ever: Nm, or N pulled; null for a material without a usual endurance. */
  readonly forEver: number | null;
  /** Load at which it begins to give: Nm, or N pulled. The notch does not count, it yields locally. */
  readonly atYield: number;
  /** What it is made of there: beside a weld softer than elsewhere. */
  readonly material: Material;
}

/**
 * Section modulus of a ring against bending or twisting, mm³, or its area against pull, mm².
 *
 * @param boreMm 0 for a solid section
 */
export function sectionOf(load: Load, outsideMm: number, boreMm: number): number {
  if (load === 'tension') return (Math.PI / 4) * (outsideMm ** 2 - boreMm ** 2);
  const bent = ((Math.PI / 32) * (outsideMm ** 4 - boreMm ** 4)) / outsideMm;
  return load === 'bending' ? bent : 2 * bent;
}

const NMM_PER_NM = 1000;

function bearing(
  place: Pick<Bearing, 'atMm' | 'fromMm' | 'toMm' | 'words' | 'outsideMm' | 'boreMm'>,
  material: Material,
  load: Load,
  notch: Pick<Bearing, 'kt' | 'kf' | 'inRange'>,
): Bearing {
  const unit = load === 'tension' ? 1 : NMM_PER_NM;
  const section = sectionOf(load, place.outsideMm, place.boreMm) / unit;
  const endurance = enduranceMpa(material, load, place.outsideMm);
  return {
    ...place,
    ...notch,
    material,
    forEver: endurance === null ? null : (section * endurance) / notch.kf,
    atYield: section * yieldMpa(material, load),
  };
}

function ofNotch({ atMm, words, outsideMm, boreMm, radiusMm, factor }: Notch, material: Material, load: Load): Bearing {
  const place = { atMm, fromMm: atMm, toMm: atMm, words, outsideMm, boreMm };
  if (!factor)
    return bearing(place, material, load, { kt: null, kf: cutThreadFatigueFactor(material.tensileMpa), inRange: load === 'tension' });
  const { kt, inRange } = factor(load);
  return bearing(place, material, load, { kt, kf: 1 + notchSensitivity(material, load, radiusMm) * (kt - 1), inRange });
}

type Plain = Pick<Bearing, 'atMm' | 'fromMm' | 'toMm' | 'words' | 'outsideMm' | 'boreMm'> & { readonly id: string };

/** What of a part bears a load, whatever load that is: plain stretches and notches. */
interface Sections {
  readonly plain: readonly Plain[];
  readonly notches: readonly Notch[];
  readonly heated: readonly Heated[];
}
const keepSections = keeper<Part, Sections>();
const sectionsOf = (part: Part): Sections =>
  keepSections(part, [], () => ({
    notches: notchesOf(part),
    heated: heatedOf(part),
    plain: placeOutside(part).flatMap((s): Plain[] => {
      // A taper is weakest at its small end.
      const atMm = s.leftMm === s.rightMm ? (s.fromMm + s.toMm) / 2 : s.leftMm < s.rightMm ? s.fromMm : s.toMm;
      const outsideMm = Math.min(s.leftMm, s.rightMm);
      const boreMm = 2 * (hostOf(part, s.id)?.beyondAt(atMm) ?? 0);
      return boreMm < outsideMm ? [{ atMm, fromMm: s.fromMm, toMm: s.toMm, words: s.name, outsideMm, boreMm, id: s.id }] : [];
    }),
  }));

/**
 * What a turned part bears along its axis, from left to right: each surface at its middle, plain, and every notch that a book has a factor for. The
 * same load is held against all of it; where the load really is larger or smaller, nobody told.
 *
 * @param part valid and turned; of a block nothing is said
 */
export function strengthAlong(part: Part, material: Material, load: Load): Bearing[] {
  const { plain, notches, heated } = sectionsOf(part);
  const soft = heated.length ? (besideWeld(material) ?? material) : material;
  const of = (atMm: number): Material => (soft !== material && isHeated(heated, atMm) ? soft : material);
  const beside = soft === material ? [] : plain.flatMap((p) => heatedStretches(part, p, heated));
  return [
    ...[...plain, ...beside].map((p) => bearing(p, of(p.atMm), load, { kt: null, kf: 1, inRange: true })),
    ...notches.map((n) => ofNotch(n, of(n.atMm), load)),
  ].sort((p, q) => p.atMm - q.atMm);
}

/** What of a plain stretch lies beside a weld, each at its thinnest place; nothing of one that is told there already. */
function heatedStretches(part: Part, plain: Plain, heated: readonly Heated[]): Plain[] {
  if (isHeated(heated, plain.atMm)) return [];
  return heated.flatMap((z): Plain[] => {
    const [fromMm, toMm] = [Math.max(plain.fromMm, z.fromMm), Math.min(plain.toMm, z.toMm)];
    if (fromMm >= toMm) return [];
    const host = hostOf(part, plain.id)!;
    const atMm = host.radiusAt(fromMm) <= host.radiusAt(toMm) ? fromMm : toMm;
    const section = { outsideMm: 2 * host.radiusAt(atMm), boreMm: 2 * host.beyondAt(atMm) };
    return [{ ...plain, fromMm, toMm, atMm, words: `${plain.words} beside the weld`, ...section }];
  });
}

/** The place that bears least for ever, by yield where the material has no endurance; null for a part without any. */
export function weakest(along: readonly Bearing[]): Bearing | null {
  const bears = (b: Bearing): number => b.forEver ?? b.atYield;
  return along.reduce<Bearing | null>((least, b) => (least && bears(least) <= bears(b) ? least : b), null);
}
