import { bad, good, type Outcome } from '../../terms/outcome';
import { pitchDiameterMm, type Thread } from './thread';

/** Three-wire measuring of an outside thread. */
export interface WireSum {
  readonly bestWireMm: number;
  /** Smallest and largest wire that touches the straight flanks and stands out above the crest. */
  readonly leastWireMm: number;
  readonly mostWireMm: number;
  /** Over the wires used, for the pitch diameter asked for. */
  readonly overWiresMm: number;
  /** How much of it is the lead angle's correction. */
  readonly leadCorrectionMm: number;
}

const halfAngle = (t: Pick<Thread, 'form'>): number => (t.form.angleDeg * Math.PI) / 360;

/** Lead angle at the pitch diameter, radians. */
const leadAngle = (t: Pick<Thread, 'pitchMm'>, pitchDiameter: number, starts: number): number =>
  Math.atan((starts * t.pitchMm) / (Math.PI * pitchDiameter));

/** From this lead angle on the short correction is too coarse. */
const STEEP_RAD = (5 * Math.PI) / 180;
const involute = (x: number): number => Math.tan(x) - x;

/** The angle whose involute that is, by halving: the function rises without bound towards a right angle. */
function angleOfInvolute(inv: number): number {
  let [low, high] = [0, Math.PI / 2];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (involute(middle) < inv) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
const HALVINGS = 60;

/**
 * Over wires of a steep thread, taken as a helical gear of `starts` teeth: inv m = t/d + inv f + W/(d_b cos b) - pi/starts, with the
 * transverse pressure angle f from tan f = tan(half angle)/tan(lead). Flanks straight along the axis differ from its involute
 * helicoid by a micrometre or so.
 *
 * Source: measurement of helical gears over balls or pins (AGMA 2002, ISO 21771), applied to threads by Buckingham.
 */
function overSteep(t: Thread, wireMm: number, pitchDiameter: number, starts: number): number {
  const lead = leadAngle(t, pitchDiameter, starts);
  const f = Math.atan(Math.tan(halfAngle(t)) / Math.tan(lead));
  const baseDiameter = pitchDiameter * Math.cos(f);
  const helixAtBase = Math.atan(Math.cos(f) / Math.tan(lead));
  const thickness = t.pitchMm / 2 / Math.tan(lead);
  const inv = thickness / pitchDiameter + involute(f) + wireMm / (baseDiameter * Math.cos(helixAtBase)) - Math.PI / starts;
  return baseDiameter / Math.cos(angleOfInvolute(inv)) + wireMm;
}

/** Over wires without any lead angle: M = E + factor x wire - factor x pitch. */
const overFlat = (t: Thread, wireMm: number, pitchDiameter: number): number =>
  pitchDiameter + t.form.wireFactor * wireMm - t.form.pitchFactor * t.pitchMm;

/**
 * What the lead angle adds, mm: W/2 tan²(lead) cos(half angle) cot(half angle) up to 5° (NBS Handbook H28), above that the whole
 * of the helicoid.
 */
export function leadCorrectionMm(t: Thread, wireMm: number, pitchDiameter: number, starts = 1): number {
  const lead = leadAngle(t, pitchDiameter, starts);
  if (lead > STEEP_RAD) return overSteep(t, wireMm, pitchDiameter, starts) - overFlat(t, wireMm, pitchDiameter);
  const half = halfAngle(t);
  return (wireMm / 2) * Math.tan(lead) ** 2 * Math.cos(half) * (1 / Math.tan(half));
}

/**
 * The wires that touch the straight flanks of a form and stand out above its crests, in pitches. The wire touches at
 * W cos² a/(2 sin a) over the apex of the groove, which lies 1/(4 tan a) under the pitch line.
 *
 * @example 60°: 0.505 to 1.010 P; Whitworth 0.506 to 0.853 P; BA 0.498 to 0.730 P; ACME 0.487 to 0.650 P, as published
 */
export function wireRange({ form }: Pick<Thread, 'form'>): { readonly least: number; readonly most: number } {
  const half = (form.angleDeg * Math.PI) / 360;
  const apex = 1 / (4 * Math.tan(half));
  const touchingAt = (overPitchLine: number): number => ((2 * Math.sin(half)) / Math.cos(half) ** 2) * (apex + overPitchLine);
  const standingOut = (2 * (apex + form.crest)) / (1 / Math.sin(half) + 1);
  return { least: Math.max(touchingAt(-form.flankIn), standingOut), most: touchingAt(form.flankOut) };
}

/**
 * Over wires for a wanted pitch diameter, lead angle and all.
 *
 * @param pitchDiameter wanted, mm; basic when left out
 * @example 1/2-13 UNC, wire 0.0444 in, E 0.4500: M = 0.5166 in
 */
export function overWires(t: Thread, wireMm: number, pitchDiameter = pitchDiameterMm(t), starts = 1): Outcome<WireSum> {
  const { least, most } = wireRange(t);
  const [leastWireMm, mostWireMm] = [least * t.pitchMm, most * t.pitchMm];
  const bestWireMm = t.form.bestWire * t.pitchMm;
  if (!(wireMm >= leastWireMm && wireMm <= mostWireMm))
    return bad(
      'wire',
      `A wire for ${t.name} lies between ${leastWireMm.toFixed(3)} and ${mostWireMm.toFixed(3)} mm, best ${bestWireMm.toFixed(3)} mm: ${
        wireMm > mostWireMm ? 'this one rides on the crests' : 'this one sinks under the crests'
      }.`,
      'wireMm',
    );
  const leadCorrection = leadCorrectionMm(t, wireMm, pitchDiameter, starts);
  return good({
    bestWireMm,
    leastWireMm,
    mostWireMm,
    leadCorrectionMm: leadCorrection,
    overWiresMm: overFlat(t, wireMm, pitchDiameter) + leadCorrection,
  });
}

/** The pitch diameter that a measurement over wires means, mm: the sum turned round by halving, correction and all. */
export function pitchDiameterFromWires(t: Thread, wireMm: number, overMm: number, starts = 1): number {
  const flat = overMm - t.form.wireFactor * wireMm + t.form.pitchFactor * t.pitchMm;
  // The correction only ever adds to what is read over the wires, and by less than a wire.
  let [low, high] = [Math.max(flat - wireMm, t.pitchMm / 4), flat];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (overFlat(t, wireMm, middle) + leadCorrectionMm(t, wireMm, middle, starts) < overMm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
