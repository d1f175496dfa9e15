import { findThread } from '../../book/threads';
import type { Host, PartFeature } from '../part';
import { EDGES, edgeSpeed, type Edge, type EdgeRow } from '../process';
import { setting, usual, type Bench, type Setting } from './schedule';
import { isTapped } from './thread';

/** An end mill for flats where nobody says which, mm. */
export const USUAL_END_MILL_MM = 16;

/** What of a feature is cut so: the tool turns on the mill, or the work on the lathe. */
interface CutSo {
  readonly edge: Edge;
  readonly name: string;
  readonly acrossMm: number;
  readonly turns: 'tool' | 'work';
}

function cutSo(f: PartFeature, { surface }: Host): CutSo | null {
  const work = { turns: 'work', acrossMm: Math.max(surface.leftMm, surface.rightMm) } as const;
  switch (f.kind) {
    case 'thread': {
      const t = f.thread.trim() ? findThread(f.thread) : undefined;
      if (!t || (surface.side === 'inside' && isTapped(t.name))) return null;
      return { ...work, edge: 'thread', name: 'single-pointed', acrossMm: Math.max(t.majorMm, work.acrossMm) };
    }
    case 'ring-groove':
    case 'oring-groove':
    case 'seal-groove':
    case 'relief':
    case 'undercut':
      return { ...work, edge: 'plunge', name: 'plunged' };
    case 'knurl':
      return { ...work, edge: 'knurl', name: 'knurled' };
    case 'keyseat':
      // Of a side cutter nobody said how large it is.
      return f.cutter === 'end-mill' ? { edge: 'end-mill', name: 'end mill', acrossMm: f.widthMm, turns: 'tool' } : null;
    case 'woodruff-seat':
      return { edge: 'seat-cutter', name: 'cutter', acrossMm: f.cutterMm, turns: 'tool' };
    case 'flats':
      return { edge: 'end-mill', name: 'end mill', acrossMm: USUAL_END_MILL_MM, turns: 'tool' };
    case 'cross-hole':
    case 'hole-pattern':
      return { edge: 'drill', name: 'drill', acrossMm: f.diameterMm, turns: 'tool' };
    default:
      return null;
  }
}

/** Cut with a cutter that the drawing does not size. */
const BY_OWN_SIZE: readonly PartFeature['kind'][] = ['keyseat', 'slot', 'spline'];
const OWN_SIZE = `${EDGES['end-mill'].share} of the turning speed of high-speed steel; rpm by the cutter’s own diameter, 1000 V/(pi D)`;

/** How fast what turns goes, and how far the tool is fed; nothing where the metal is not known, or where nothing turns. */
export function edgeSettings(f: PartFeature, host: Host, { hssMMin, lathe, mill, mostRpm }: Bench): Setting[] {
  const own = cutSo(f, host);
  if (hssMMin <= 0) return [];
  // Of a side cutter or a saw nobody said how large it is: the edge's own speed is told.
  if (BY_OWN_SIZE.includes(f.kind) && !own)
    return [setting(f, 'edge-speed', 'edge of the cutter, at', EDGES['end-mill'].share * hssMMin, OWN_SIZE, null, 'speed')];
  if (!own || !(own.acrossMm > 0)) return [];
  const [on, most] = own.turns === 'work' ? [lathe, mostRpm(f.id)] : [mill, null];
  const { rpm, words } = edgeSpeed(own.edge, hssMMin, own.acrossMm, on, most);
  const { feed }: EdgeRow = EDGES[own.edge];
  const assumed = f.kind === 'flats';
  return [
    ...(assumed ? [usual(f, 'mill', 'end mill, say', USUAL_END_MILL_MM, 'another one by its own diameter')] : []),
    setting(f, 'edge-rpm', `${own.name}, at`, rpm, words, null, 'rpm'),
    ...(feed ? [usual(f, 'edge-feed', `fed by, a ${feed.each}`, feed.mm(own.acrossMm), 'usual in high-speed steel')] : []),
  ];
}
