import { chordHeightMm } from '../../book/keys';
import type { Material } from '../../book/materials';
import { hostOf, type Host, type Part, type PartFeature } from '../part';
import { yieldMpa } from './fatigue';
import type { KnownLoad } from './safety';

/** What a joint on a shaft bears under a known load. */
export interface Carried {
  readonly featureId: string;
  readonly atMm: number;
  readonly words: string;
  /** MPa. */
  readonly stressMpa: number;
  /** What it gives way at, MPa. */
  readonly limitMpa: number;
  /** Limit over stress. */
  readonly factor: number;
  readonly source: string;
}

const NMM_PER_NM = 1000;
/** The wall of a ring's groove bears its yield over this, where three depths of metal stand beside it (DIN 471 and 472, load of the groove). */
const GROOVE_WALL = 1.2;
/** Of the flanks of a spline that many bear. */
const FLANKS_BEAR = 0.75;

interface Stress {
  readonly words: string;
  readonly stressMpa: number;
  readonly limit: 'pull' | 'shear';
  readonly source: string;
}

type Of<K extends PartFeature['kind']> = Extract<PartFeature, { readonly kind: K }>;

/** A key's force is the moment over half the shaft's diameter; an end-milled seat bears over its straight part only. */
function key(f: Of<'keyseat'>, host: Host, torqueNmm: number): Stress[] {
  const d = host.surface.leftMm;
  const round = f.cutter === 'end-mill' ? (f.open === 'both' ? 0 : f.open === 'none' ? 2 : 1) : 0;
  const bears = f.lengthMm - (round * f.widthMm) / 2;
  const side = f.depthMm - chordHeightMm(d, f.widthMm);
  const force = (2 * torqueNmm) / d;
  if (bears <= 0 || side <= 0) return [];
  return [
    { words: 'the wall of its seat', stressMpa: force / (side * bears), limit: 'pull', source: 'DIN 6892, method C: 2 T / (d t l)' },
    {
      words: 'a key of the same steel, sheared',
      stressMpa: force / (f.widthMm * bears),
      limit: 'shear',
      source: 'Shigley, example 7-6: F / (w l)',
    },
  ];
}

/** A pin across: two sections of it are sheared. */
function pin(f: Of<'cross-hole'>, host: Host, torqueNmm: number, pullN: number): Stress[] {
  const [d, D] = [f.diameterMm, 2 * host.radiusAt(host.surface.fromMm + f.atMm)];
  if (f.reach !== 'through' || f.thread.trim() !== '') return [];
  const shear = Math.hypot((4 * torqueNmm) / (Math.PI * d * d * D), (2 * pullN) / (Math.PI * d * d));
  const wall = (6 * torqueNmm) / (d * D * D) + pullN / (d * D);
  return [
    { words: 'a pin of the same steel, sheared', stressMpa: shear, limit: 'shear', source: 'Roloff/Matek, cross pin: 4 T / (π d² D)' },
    { words: 'the wall of the hole', stressMpa: wall, limit: 'pull', source: 'Roloff/Matek, cross pin: 6 T / (d D²)' },
  ];
}

function ringWall(f: Of<'ring-groove'>, host: Host, pullN: number): Stress[] {
  const D = 2 * host.radiusAt(host.surface.fromMm + f.atMm);
  const area = (Math.PI / 4) * Math.abs(D ** 2 - f.diameterMm ** 2);
  return [
    {
      words: 'the wall that the ring bears on',
      stressMpa: (GROOVE_WALL * pullN) / area,
      limit: 'pull',
      source: 'DIN 471, 472: load of the groove',
    },
  ];
}

function spline(f: Of<'spline'>, host: Host, torqueNmm: number): Stress[] {
  const D = host.surface.leftMm;
  const high = (D - f.rootMm) / 2;
  const stressMpa = (2 * torqueNmm) / (((D + f.rootMm) / 2) * f.teeth * high * f.lengthMm * FLANKS_BEAR);
  return [{ words: 'its flanks', stressMpa, limit: 'pull', source: 'Niemann: 2 T / (d z h l 0.75)' }];
}

function stresses(f: PartFeature, host: Host, load: KnownLoad): Stress[] {
  const torqueNmm = Math.abs(load.torqueNm) * NMM_PER_NM;
  const pullN = Math.abs(load.pullN);
  switch (f.kind) {
    case 'keyseat':
      return key(f, host, torqueNmm);
    case 'cross-hole':
      return pin(f, host, torqueNmm, pullN);
    case 'ring-groove':
      return ringWall(f, host, pullN);
    case 'spline':
      return spline(f, host, torqueNmm);
    default:
      return [];
  }
}

/**
 * What the joints of a turned part bear if each takes the whole known load: the walls of keyseats and a key in shear, a pin across and its hole, the
 * wall of a ring's groove, the flanks of a spline. Steady loads, no shock; the hub or bore on the other side is not known here. A joint that the load
 * does not touch is not in it.
 */
export function carriedBy(part: Part, material: Material, load: KnownLoad): Carried[] {
  return part.features.flatMap((f): Carried[] => {
    const host = hostOf(part, f.on);
    if (!host) return [];
    return stresses(f, host, load).flatMap(({ words, stressMpa, limit, source }) => {
      const limitMpa = yieldMpa(material, limit === 'pull' ? 'tension' : 'torsion');
      const atMm = host.surface.fromMm + ('atMm' in f ? f.atMm : 0);
      return stressMpa > 0
        ? [{ featureId: f.id, atMm, words: `${f.name}: ${words}`, stressMpa, limitMpa, factor: limitMpa / stressMpa, source }]
        : [];
    });
  });
}
