import { hostOf, kindOf, type Host, type Part, type PartFeature } from '../part';

/** Where something cut lies along its part, mm from the zero face. */
export interface CutSpan {
  readonly fromMm: number;
  readonly toMm: number;
}

/** From where to where a feature cuts; null for what cuts nothing. */
export function cutSpan(f: PartFeature, host: Host): CutSpan | null {
  const cut = kindOf(f.kind).cut(f, host);
  const xs =
    cut.shape === 'turned'
      ? cut.contour.map((c) => c.x)
      : cut.marks.flatMap((m) => (m.kind === 'circle' ? [m.atMm - m.radiusMm, m.atMm + m.radiusMm] : [m.fromMm, m.toMm]));
  return xs.length ? { fromMm: Math.min(...xs), toMm: Math.max(...xs) } : null;
}

/** From where to where a feature lies; what cuts nothing lies where it says, null where it is all of its surface. */
export function liesAt(f: PartFeature, host: Host): CutSpan | null {
  const cut = cutSpan(f, host);
  if (cut || !('atMm' in f)) return cut;
  const { fromMm, toMm } = host.surface;
  const there = kindOf(f.kind).mirrored(f, toMm - fromMm) as unknown as { readonly atMm: number };
  // What it reaches from its place to the right is what its mirror image is told by.
  const reach = toMm - fromMm - f.atMm - there.atMm;
  return { fromMm: fromMm + f.atMm, toMm: fromMm + f.atMm + reach };
}

/** Where everything that is cut into the outside of a part lies, with its radius there, mm. */
export const outsideCuts = (part: Part): (CutSpan & { readonly id: string; readonly name: string; readonly radiusMm: number })[] =>
  part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    const span = host?.surface.side === 'outside' ? cutSpan(f, host) : null;
    return host && span ? [{ id: f.id, name: f.name, ...span, radiusMm: host.radiusAt((span.fromMm + span.toMm) / 2) }] : [];
  });
