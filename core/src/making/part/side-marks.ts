import type { SideMark } from './feature-kind';
import { kindOf } from './features';
import { hostOf } from './host';
import type { Part } from './part';

/** A mark of what is milled, drilled or threaded, with the radius of the surface that it is on. */
export interface PlacedMark {
  readonly featureId: string;
  readonly name: string;
  readonly side: 'outside' | 'inside';
  readonly radiusMm: number;
  readonly mark: SideMark;
}

/** Everything that is cut across, seen from the side as if each lay towards who looks. */
export const sideMarks = (part: Part): PlacedMark[] =>
  part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    const cut = host ? kindOf(f.kind).cut(f, host) : null;
    if (!host || cut?.shape !== 'other') return [];
    const radiusMm = host.surface.leftMm / 2;
    return cut.marks.map((mark) => ({ featureId: f.id, name: f.name, side: host.surface.side, radiusMm, mark }));
  });
