import { bad, good, type Outcome } from '../../terms/outcome';
import { boreClosing, boreOpening, outsideClosing, outsideOpening, type Elastic, type Ring } from './elastic';

/** One ring of a stack such as bush in sleeve in housing, from the inside out. */
export interface Layer extends Ring, Elastic {
  readonly name: string;
}

export interface LayersResult {
  /** Pressure at each joint from the inside out, MPa. */
  readonly pressuresMpa: readonly number[];
  /** How much the innermost bore closes, mm; negative opens. */
  readonly boreClosesMm: number;
  /** How much the outermost diameter grows, mm. */
  readonly outsideGrowsMm: number;
}

/** Tridiagonal system by elimination (Thomas); `below[0]` and the last of `above` are not read. */
function solve(below: number[], middle: number[], above: number[], right: number[]): number[] {
  const [c, d] = [[...above], [...right]];
  middle.forEach((m, i) => {
    const pivot = m - (i ? below[i]! * c[i - 1]! : 0);
    c[i] = c[i]! / pivot;
    d[i] = (d[i]! - (i ? below[i]! * d[i - 1]! : 0)) / pivot;
  });
  for (let i = d.length - 2; i >= 0; i--) d[i] = d[i]! - c[i]! * d[i + 1]!;
  return d;
}

/**
 * Pressures in a stack of rings pressed into each other, all joints gripping at once (Lamé; each ring feels both its joints).
 *
 * @param interferencesMm effective, on the diameter, one a joint from the inside out
 */
export function pressLayers(layers: readonly Layer[], interferencesMm: readonly number[]): Outcome<LayersResult> {
  if (layers.length < 2 || interferencesMm.length !== layers.length - 1)
    return bad('layers', 'Give two or more rings and one interference for each joint between them.');
  const loose = interferencesMm.findIndex((i) => !(i > 0));
  if (loose >= 0)
    return bad('no-interference', `${layers[loose + 1]!.name} does not grip ${layers[loose]!.name}.`, `interferencesMm.${loose}`);
  const thin = layers.findIndex((l) => !(l.outsideMm > l.boreMm && l.boreMm >= 0));
  if (thin >= 0) return bad('wall', `${layers[thin]!.name} has no wall: check its bore and outside.`, `layers.${thin}`);
  const joints = interferencesMm.map((_, j) => layers[j]!.outsideMm);
  const middle = joints.map((d, j) => d * (outsideClosing(layers[j]!, layers[j]!) + boreOpening(layers[j + 1]!, layers[j + 1]!)));
  // The pressure one joint in pushes this ring's outside out; the one further out squeezes the next ring's bore in.
  const below = joints.map((d, j) => -d * outsideOpening(layers[j]!, layers[j]!));
  const above = joints.map((d, j) => -d * boreClosing(layers[j + 1]!, layers[j + 1]!));
  const pressuresMpa = solve(below, middle, above, [...interferencesMm]);
  const [inner, outer] = [layers[0]!, layers.at(-1)!];
  return good({
    pressuresMpa,
    boreClosesMm: pressuresMpa[0]! * inner.boreMm * boreClosing(inner, inner),
    outsideGrowsMm: pressuresMpa.at(-1)! * outer.outsideMm * outsideOpening(outer, outer),
  });
}
