import { FEATURE_KINDS, kindOf, type FeatureKindId, type PartFeature } from './features';
import { hostOf } from './host';
import { placeAll, type Part } from './part';
import { surface } from './surface';
import { validatePart } from './validate-part';
import { volumeMm3 } from './volume';

/** A seal land only smooths, a knurl only moves metal, and some only ask for something. */
export const TAKES_NOTHING: readonly FeatureKindId[] = ['seal-land', 'knurl', 'relation', 'surface-finish', 'hardness', 'treatment'];
export const KINDS = Object.keys(FEATURE_KINDS) as FeatureKindId[];

/** A part of one to four steps, sometimes bored, with whatever of each kind may sit on it: only what is valid stays. */
export function anyPart(random: () => number): Part {
  const between = (a: number, b: number): number => a + (b - a) * random();
  const outside = Array.from({ length: 1 + Math.floor(random() * 4) }, (_, i) => {
    const d = between(18, 70);
    const s = surface(`s${i}`, 'cylinder', `Step ${i}`, between(12, 90), d);
    return random() < 0.2 ? { ...s, kind: 'taper' as const, farDiameterMm: d * between(0.8, 1.2) } : s;
  });
  const least = Math.min(...outside.flatMap((s) => [s.diameterMm, s.farDiameterMm ?? Infinity]));
  const hole = surface('hole', 'cylinder', 'Bore', 8, between(0.2, 0.6) * least);
  const bores =
    random() < 0.5
      ? [{ id: 'b', from: random() < 0.5 ? ('near' as const) : ('far' as const), through: random() < 0.5, surfaces: [hole] }]
      : [];
  let part: Part = { name: 'Any', materialId: 'steel-c45', outside, bores, features: [], limits: {}, block: null };
  for (const kind of [...KINDS].sort(() => random() - 0.5))
    for (const on of placeAll(part).map((s) => s.id)) {
      const host = hostOf(part, on)!;
      if (!kindOf(kind).sides.includes(host.surface.side) || random() < (TAKES_NOTHING.includes(kind) ? 0.85 : 0.5)) continue;
      const start = kindOf(kind).start(host) as Record<string, unknown>;
      // Inside, one whose crests are the hole: 1.0825 pitches over it.
      const inside = host.surface.side === 'inside';
      if (kind === 'thread')
        start['thread'] = `M${inside ? (host.surface.leftMm + 1.0825 * 1.5).toFixed(2) : Math.round(host.surface.leftMm)} x 1.5`;
      const more = {
        ...part,
        features: [
          ...part.features,
          { ...start, id: `f${part.features.length}`, kind, on, name: kindOf(kind).name } as unknown as PartFeature,
        ],
      };
      // What crosses counts twice: a part that is eaten up so is no part to try things on.
      if (validatePart(more).ok && volumeMm3(more) > 0) part = more;
    }
  return part;
}
