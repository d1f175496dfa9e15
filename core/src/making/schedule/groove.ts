import { formatWithUnit, placeWithUnit } from '../../terms/quantity';
import { kindOf, type Host, type PartFeature } from '../part';
import { equalCuts, setting, type Bench, type Schedule } from './schedule';

type Grooved = Extract<PartFeature, { kind: 'ring-groove' | 'oring-groove' | 'seal-groove' | 'relief' | 'undercut' }>;

/** A plunge goes on by this before chips are cleared, mm on the radius. */
const PECK_MM = 0.5;
/** Neighbouring plunges overlap by this share of the tool. */
const OVERLAP = 0.2;

/** Depth of the floor below the surface, on the radius, and from wall to wall; mm. */
function groove(f: Grooved, host: Host): { readonly depthMm: number; readonly widthMm: number } | null {
  const cut = kindOf(f.kind).cut(f, host);
  if (cut.shape !== 'turned') return null;
  const xs = cut.contour.map((p) => p.x);
  const rs = cut.contour.map((p) => p.r);
  const inside = host.surface.side === 'inside';
  const floor = inside ? Math.max(...rs) : Math.min(...rs);
  const [from, to] = [Math.min(...xs), Math.max(...xs)];
  return { depthMm: Math.abs(floor - host.radiusAt((from + to) / 2)), widthMm: to - from };
}

/** How often a tool plunges that is no wider than the groove, both mm. */
const plungesOf = (widthMm: number, toolMm: number): number =>
  1 + Math.max(0, Math.ceil((widthMm - toolMm) / (toolMm * (1 - OVERLAP)) - 1e-9));

/** A groove's depth on the radius, mm, and how often the tool plunges into it; nothing where it takes nothing off. */
export function plunged(f: Grooved, host: Host, partingMm: number): { readonly depthMm: number; readonly plunges: number } {
  const g = groove(f, host);
  return g && g.depthMm >= 1e-6
    ? { depthMm: g.depthMm, plunges: plungesOf(g.widthMm, Math.min(partingMm, g.widthMm)) }
    : { depthMm: 0, plunges: 0 };
}

/** A groove plunged with a tool narrower than it, wall by wall, by the cross-slide dial; null where it takes nothing off the round. */
export function grooveSchedule(f: Grooved, host: Host, { partingMm, unit }: Bench): Omit<Schedule, 'id' | 'title'> | null {
  const g = groove(f, host);
  if (!g || g.depthMm < 1e-6) return null;
  const fits = partingMm <= g.widthMm + 1e-9;
  const tool = fits ? partingMm : g.widthMm;
  const plunges = plungesOf(g.widthMm, tool);
  const last = g.widthMm - tool;
  return {
    settings: [
      setting(
        f,
        'depth',
        host.surface.side === 'inside' ? 'out from touching the bore' : 'in from touching the surface',
        g.depthMm,
        'half the difference of surface and floor',
        'cross',
      ),
      ...(plunges > 1
        ? [setting(f, 'over', 'then over, to the other wall', last, 'width of the groove less width of the tool', 'carriage')]
        : []),
    ],
    tools: [{ kind: 'parting', atMostMm: g.widthMm }],
    cuts: { on: 'cross', toMm: equalCuts(g.depthMm, PECK_MM) },
    words: [
      ...(fits
        ? []
        : [
            `The tool is ${placeWithUnit(partingMm, unit)} wide and the groove ${formatWithUnit(g.widthMm, unit)}: grind one to the width first.`,
          ]),
      plunges > 1
        ? `${plunges} plunges, each 0.2 of the tool over the last; the second wall goes to its rung, then one light pass along the floor.`
        : 'One plunge; light feed at the floor, and no dwell.',
      ...(f.kind === 'ring-groove' ? ['A ring needs square walls: hone the tool’s corners sharp, no radius on the loaded side.'] : []),
    ],
  };
}
