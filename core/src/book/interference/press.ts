import { bad, good, type Outcome } from '../../terms/outcome';
import { boreClosing, boreOpening, hoopAtBore, outsideClosing, trescaInside, trescaOutside, type Elastic } from './elastic';

/** What a press-fit sum needs to know of one part's material. */
export interface PressMaterial extends Elastic {
  readonly name: string;
  readonly yieldMpa: number | null;
  readonly tensileMpa: number;
  readonly brittle: boolean;
}

/** A shaft or bush pressed or shrunk into a hub. Lengths mm. */
export interface PressFit {
  readonly diameterMm: number;
  /** Outside of the hub. */
  readonly hubOutsideMm: number;
  /** Bore of the shaft or bush; 0 when solid. */
  readonly shaftBoreMm: number;
  readonly lengthMm: number;
  /** Measured on the diameters, shaft less hole. */
  readonly interferenceMm: number;
  /** Roughness of hub and shaft, mm; pressing flattens it. */
  readonly rzHubMm: number;
  readonly rzShaftMm: number;
  readonly hub: PressMaterial;
  readonly shaft: PressMaterial;
  readonly friction: number;
}

/** How a part stands against its strength. */
export interface StressJudgement {
  readonly part: 'hub' | 'shaft';
  /** Tresca stress for a part that yields; greatest tension for a brittle one, MPa. */
  readonly stressMpa: number;
  readonly limitMpa: number;
  /** holds: elastic. warn: past first yield, as bushes in practice often are. refuse: a brittle part would crack. */
  readonly verdict: 'holds' | 'warn' | 'refuse';
}

export interface PressResult {
  /** Interference that is left when the roughness is flattened. */
  readonly effectiveMm: number;
  readonly pressureMpa: number;
  /** Tension round the hub's bore. */
  readonly hubHoopMpa: number;
  readonly stresses: readonly StressJudgement[];
  readonly pushForceN: number;
  readonly torqueNm: number;
  /** How much the bore of a hollow shaft or bush gets smaller; 0 when solid. */
  readonly boreClosesMm: number;
}

/** DIN 7190: share of the summed roughness that is lost on the diameter. */
const ROUGHNESS_LOSS = 0.8;
/** Usual share of a brittle part's tensile strength that is dared. */
const BRITTLE_SHARE = 0.5;

/** Pressure per mm of effective interference, MPa per mm (Lamé). */
export const pressurePerMm = (f: Pick<PressFit, 'diameterMm' | 'hubOutsideMm' | 'shaftBoreMm' | 'hub' | 'shaft'>): number =>
  1 /
  (f.diameterMm *
    (boreOpening({ boreMm: f.diameterMm, outsideMm: f.hubOutsideMm }, f.hub) +
      outsideClosing({ boreMm: f.shaftBoreMm, outsideMm: f.diameterMm }, f.shaft)));

function check(f: PressFit): Outcome<PressFit> {
  if (!(f.diameterMm > 0)) return bad('diameter', 'Give the diameter that the parts fit at.', 'diameterMm');
  if (!(f.hubOutsideMm > f.diameterMm)) return bad('hub', 'The hub must be larger outside than the fit.', 'hubOutsideMm');
  if (!(f.shaftBoreMm >= 0 && f.shaftBoreMm < f.diameterMm))
    return bad('bore', 'The bore must be smaller than the fit; 0 is solid.', 'shaftBoreMm');
  if (!(f.lengthMm > 0)) return bad('length', 'Give the length that is in contact.', 'lengthMm');
  if (!(f.friction > 0 && f.friction < 1))
    return bad('friction', 'Friction lies between 0 and 1; 0.12 is usual for steel with oil.', 'friction');
  return good(f);
}

function judge(part: 'hub' | 'shaft', m: PressMaterial, tresca: number, tension: number): StressJudgement {
  if (m.brittle) {
    const limitMpa = m.tensileMpa * BRITTLE_SHARE;
    return { part, stressMpa: tension, limitMpa, verdict: tension > limitMpa ? 'refuse' : 'holds' };
  }
  const limitMpa = m.yieldMpa ?? m.tensileMpa * BRITTLE_SHARE;
  return { part, stressMpa: tresca, limitMpa, verdict: tresca > limitMpa ? 'warn' : 'holds' };
}

/**
 * Pressure, stresses, push force and torque of an interference fit, elastic thick-wall theory (Lamé), roughness loss DIN 7190.
 * The push force is the greatest, at full depth. A clearance gives a reason.
 *
 * @example steel on steel, 50 mm solid shaft in 100 mm hub, 0.05 mm effective: 78.75 MPa
 */
export function press(fit: PressFit): Outcome<PressResult> {
  const checked = check(fit);
  if (!checked.ok) return checked;
  const { diameterMm: d, shaftBoreMm: di, lengthMm, friction } = fit;
  const effectiveMm = fit.interferenceMm - ROUGHNESS_LOSS * (fit.rzHubMm + fit.rzShaftMm);
  if (effectiveMm <= 0)
    return bad(
      'no-interference',
      'Nothing is left to grip once the roughness is pressed flat: take more interference or a finer finish.',
      'interferenceMm',
    );
  const pressureMpa = effectiveMm * pressurePerMm(fit);
  const hub = { boreMm: d, outsideMm: fit.hubOutsideMm };
  const shaft = { boreMm: di, outsideMm: d };
  const hubHoopMpa = pressureMpa * hoopAtBore(hub);
  const pushForceN = friction * pressureMpa * Math.PI * d * lengthMm;
  return good({
    effectiveMm,
    pressureMpa,
    hubHoopMpa,
    stresses: [
      judge('hub', fit.hub, pressureMpa * trescaInside(hub), hubHoopMpa),
      judge('shaft', fit.shaft, pressureMpa * trescaOutside(shaft), 0),
    ],
    pushForceN,
    torqueNm: (pushForceN * d) / 2000,
    boreClosesMm: pressureMpa * di * boreClosing(shaft, fit.shaft),
  });
}

/**
 * Size to bore a bush to before it is pressed in, so that it comes right afterwards: the size wanted plus what it closes by.
 * Worked to a fixed point because the closing depends on the bore.
 */
export function boreBeforePressing(fit: PressFit, wantedBoreMm: number): Outcome<number> {
  let bore = wantedBoreMm;
  for (let round = 0; round < 20; round++) {
    const result = press({ ...fit, shaftBoreMm: bore });
    if (!result.ok) return result;
    const next = wantedBoreMm + result.value.boreClosesMm;
    if (Math.abs(next - bore) < 1e-7) return good(next);
    bore = next;
  }
  return good(bore);
}
