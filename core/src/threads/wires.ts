import { bad, good, type Outcome } from '../outcome';
import { pitchDiameterMm, type Thread } from './thread';

/** Three-wire measuring of an outside thread. */
export interface WireSum {
  readonly bestWireMm: number;
  /** Smallest and largest wire that touches the flanks and stands out above the crest. */
  readonly leastWireMm: number;
  readonly mostWireMm: number;
  /** Over the wires used, for the pitch diameter asked for. */
  readonly overWiresMm: number;
  /** How much of it is the lead angle's correction. */
  readonly leadCorrectionMm: number;
}

/** Added for the lead angle: W/2 tan²(lead) cos(half angle) cot(half angle); small but for coarse or several starts (NBS H28). */
export function leadCorrectionMm(t: Pick<Thread, 'form' | 'pitchMm'>, wireMm: number, pitchDiameter: number, starts = 1): number {
  const half = (t.form.angleDeg * Math.PI) / 360;
  const lead = (starts * t.pitchMm) / (Math.PI * pitchDiameter);
  return (wireMm / 2) * lead ** 2 * Math.cos(half) * (1 / Math.tan(half));
}

/** A wire that sits on the flanks at the pitch line stays so within this share of the best wire. */
const LEAST_SHARE = 0.875;
const MOST_SHARE = 1.56;

/**
 * Over wires for a wanted pitch diameter: M = E + factor x wire - factor x pitch, and the lead-angle correction.
 *
 * @param pitchDiameter wanted, mm; basic when left out
 * @example 1/2-13 UNC, wire 0.0444 in, E 0.4500: M = 0.5166 in
 */
export function overWires(t: Thread, wireMm: number, pitchDiameter = pitchDiameterMm(t), starts = 1): Outcome<WireSum> {
  const bestWireMm = t.form.bestWire * t.pitchMm;
  const [least, most] = [bestWireMm * LEAST_SHARE, bestWireMm * MOST_SHARE];
  if (!(wireMm >= least && wireMm <= most))
    return bad(
      'wire',
      `A wire for ${t.name} lies between ${least.toFixed(3)} and ${most.toFixed(3)} mm; best ${bestWireMm.toFixed(3)} mm.`,
      'wireMm',
    );
  const correction = leadCorrectionMm(t, wireMm, pitchDiameter, starts);
  return good({
    bestWireMm,
    leastWireMm: least,
    mostWireMm: most,
    leadCorrectionMm: correction,
    overWiresMm: pitchDiameter + t.form.wireFactor * wireMm - t.form.pitchFactor * t.pitchMm + correction,
  });
}

/** The pitch diameter that a measurement over wires means, mm: the sum turned round, correction and all. */
export function pitchDiameterFromWires(t: Thread, wireMm: number, overMm: number, starts = 1): number {
  let e = overMm - t.form.wireFactor * wireMm + t.form.pitchFactor * t.pitchMm;
  for (let round = 0; round < 4; round++)
    e = overMm - t.form.wireFactor * wireMm + t.form.pitchFactor * t.pitchMm - leadCorrectionMm(t, wireMm, e, starts);
  return e;
}
