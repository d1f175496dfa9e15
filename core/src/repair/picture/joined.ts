import { isDrawn, placeOutside, type PlacedSurface } from '../../making/part';
import { axisStartMm, type PartFinding, type PlaceFinding, type Repair } from '../job';
import { along } from './along';
import type { Drawing } from './model';
import { newPart } from './new-part';
import { endMm } from './outline-of';
import { reworked } from './reworked';

const middle = (fromMm: number, toMm: number): number => (fromMm + toMm) / 2;

/**
 * The first measured place that a made part sits in or on, and how far it is moved along the axis to sit there: home against its head or shoulder
 * where it has one on one side, else middle on middle.
 */
function seatOf(
  { part, segments }: PartFinding,
  places: readonly PlaceFinding[],
): { readonly componentId: string; readonly byMm: number } | null {
  for (const { segment } of segments) {
    const seat = places.find((f) => segment.fitsPlaceIds.includes(f.place.id));
    if (!seat) continue;
    const row = placeOutside(part);
    const at = row.findIndex((s) => s.id === segment.id);
    const thicker = (s: PlacedSurface | undefined): boolean => s !== undefined && Math.max(s.leftMm, s.rightMm) > segment.diameterMm;
    const [head, foot] = at < 0 ? [false, false] : [thicker(row[at - 1]), thicker(row[at + 1])];
    const byMm =
      head === foot
        ? middle(axisStartMm(seat), endMm(seat)) - middle(segment.fromMm, segment.toMm)
        : head
          ? axisStartMm(seat) - segment.fromMm
          : endMm(seat) - segment.toMm;
    return { componentId: seat.component.id, byMm };
  }
  return null;
}

/** Components with the parts that go into them or onto them, each where it sits: the wide ones under the narrow. Null where nothing of it is drawn. */
export function joined({ items, places, at }: Repair): Drawing | null {
  const parts = items.filter((i) => at!.item.after.includes(i.item.id) && i.part && !i.part.problems.length);
  const cut = parts.filter((i) => i.item.kind === 'rework');
  const made = parts.flatMap(({ item, part }) => {
    if (item.kind !== 'make' || !isDrawn(part!.part) || part!.part.block) return [];
    const drawing = newPart(part!);
    const seat = seatOf(part!, places);
    const byMm = seat?.byMm ?? 0;
    const spans = drawing.spans.map((s) => ({ ...s, id: `${item.id}.${s.id}`, fromMm: s.fromMm + byMm, toMm: s.toMm + byMm }));
    const radiusMm = Math.max(...spans.map((s) => s.radiusMm));
    return [{ in: seat?.componentId ?? [], lines: drawing.lines.map((l) => along(l, byMm)), spans, radiusMm }];
  });
  if (!made.length) return null;
  const ids = [...new Set([...at!.item.componentIds, ...cut.flatMap((i) => i.item.componentIds), ...made.flatMap((m) => m.in)])];
  // What a new part takes the place of is not there any more.
  const replaced = new Set(parts.filter((i) => i.item.kind === 'make').flatMap((i) => i.item.componentIds));
  const base = reworked(
    places,
    ids.filter((id) => !replaced.has(id)),
    { dimensions: cut.flatMap((i) => i.part!.dimensions) },
  );
  const inward = [...made].sort((p, q) => q.radiusMm - p.radiusMm);
  return {
    shows: 'joined',
    contour: [],
    lines: [...base.lines, ...inward.flatMap((m) => m.lines)],
    spans: inward.flatMap((m) => m.spans),
    cuts: [],
    own: ids,
  };
}
