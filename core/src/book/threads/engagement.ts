import { good, type Outcome } from '../../terms/outcome';
import { threadLimits, THREAD_CLASSES } from './limits';
import { minorMm, pitchDiameterMm, type Thread } from './thread';

/** Pitches that the stress circle lies under the major: ISO 898-1, and ASME B1.1 for inch threads. */
const STRESS_PITCHES = { mm: 0.9382, in: 0.9743 } as const;

/** Tensile stress area of an outside thread, mm²: circle about halfway between pitch and root diameters. */
export const stressAreaMm2 = (t: Pick<Thread, 'majorMm' | 'pitchMm' | 'unit'>): number =>
  (Math.PI / 4) * (t.majorMm - STRESS_PITCHES[t.unit] * t.pitchMm) ** 2;

/** How deep a bolt must sit so that it breaks before either thread strips. */
export interface Engagement {
  readonly stressAreaMm2: number;
  /** Shear area of bolt and of nut threads per mm of engagement, mm² per mm, at the worst of the limits. */
  readonly boltShearPerMm: number;
  readonly nutShearPerMm: number;
  /** Engagement needed, mm. */
  readonly neededMm: number;
  readonly strips: 'bolt thread' | 'nut thread';
}

/**
 * Length of engagement by which the bolt breaks first, for equal-angle 60° and 55° threads (NBS H28, ASME B1.1 appendix B):
 * shear is taken at half the tensile strength for both.
 *
 * @param boltMpa, nutMpa tensile strengths
 */
export function neededEngagement(t: Thread, boltMpa: number, nutMpa: number): Outcome<Engagement> {
  const classes = THREAD_CLASSES[t.system];
  const outside = threadLimits(t, 'outside', classes?.outside[0] ?? '');
  const inside = threadLimits(t, 'inside', classes?.inside[0] ?? '');
  if (!outside.ok) return outside;
  if (!inside.ok) return inside;
  const tan = Math.tan((t.form.angleDeg * Math.PI) / 360);
  const kn = inside.value.minor.upperMm ?? minorMm(t);
  const es = outside.value.pitchDiameter.lowerMm ?? pitchDiameterMm(t);
  const ds = outside.value.major.lowerMm ?? t.majorMm;
  const en = inside.value.pitchDiameter.upperMm ?? pitchDiameterMm(t);
  const bolt = ((Math.PI * kn) / t.pitchMm) * (t.pitchMm / 2 + tan * (es - kn));
  const nut = ((Math.PI * ds) / t.pitchMm) * (t.pitchMm / 2 + tan * (ds - en));
  const area = stressAreaMm2(t);
  const forBolt = (2 * area) / bolt;
  const forNut = (2 * area * boltMpa) / (nut * nutMpa);
  return good({
    stressAreaMm2: area,
    boltShearPerMm: bolt,
    nutShearPerMm: nut,
    neededMm: Math.max(forBolt, forNut),
    strips: forNut > forBolt ? 'nut thread' : 'bolt thread',
  });
}
