import type { Part, PartFeature } from '../../making/part';
import { isOwnHexagon, isOwnSize, overCornersMm, type Bar, type OtherStock } from '../../making/stock';
import { treatmentOf } from './before-treatment';
import type { PartFinding } from './part-finding';

type Flats = Extract<PartFeature, { kind: 'flats' }>;
/** The corners of a hexagon bar are a little rounded, and a chamfer takes a little of its length, mm. */
const CORNER_MM = 0.5;

/** Two that are drawn as one size are one, mm. */
const SAME_MM = 1e-6;

/** What of a drawn part says which stock will do. */
type Drawn = Pick<PartFinding, 'part' | 'dimensions'>;

const fromOf = ({ dimensions }: Drawn, id: string): string | undefined => dimensions.find((d) => d.dimension.key === id)?.from;
const mayStay = (drawn: Drawn, s: Part['outside'][number]): boolean =>
  fromOf(drawn, s.id) !== 'fit' && s.kind !== 'taper' && !treatmentOf(drawn.part, s.id);

/** A hexagon all over a stretch, which is round over its corners: a hexagon bar has both. */
function hexagonOn(drawn: Drawn, s: Part['outside'][number]): Flats | null {
  const found = drawn.part.features.find((f): f is Flats => f.kind === 'flats' && f.on === s.id);
  // Limits of its own no drawn bar keeps.
  if (!found || found.count !== 6 || !mayStay(drawn, s) || fromOf(drawn, `${found.id}.across`) !== 'general') return null;
  const whole = found.atMm < CORNER_MM && found.atMm + found.lengthMm > s.lengthMm - CORNER_MM;
  return whole && s.diameterMm > overCornersMm({ shape: 'hexagon', diameterMm: found.acrossMm }) - CORNER_MM ? found : null;
}

/**
 * A bar stays as it is where only the general tolerance asks for its size, and one that is ground or chromed to size where that has limits of its own;
 * a tube does where a bore goes right through.
 */
export function otherStock(drawn: Drawn): OtherStock {
  const { part } = drawn;
  const largest = part.outside.reduce((most, s) => (s.diameterMm > most.diameterMm ? s : most));
  const through = part.bores.find((b) => b.through);
  return {
    ownSizeMm: mayStay(drawn, largest) ? largest.diameterMm : null,
    toLimits: fromOf(drawn, largest.id) !== 'general',
    ownHexMm: hexagonOn(drawn, largest)?.acrossMm ?? null,
    boreMm: through ? Math.min(...part.bores.flatMap((b) => b.surfaces.map((s) => s.diameterMm))) : null,
  };
}

/** Surfaces, and what is on them, that stay as the bar is bought, and what to mind then; null where all of it is turned. */
export interface AsBought {
  readonly ids: readonly string[];
  readonly words: string;
}

/** What of a part the bar has already, where it is left as thick as it comes. */
export function asBoughtFrom(drawn: Drawn, other: OtherStock, bar: Bar | null): AsBought | null {
  if (!bar || !isOwnSize(bar, other)) return null;
  const { outside } = drawn.part;
  if (isOwnHexagon(bar, other)) {
    const hexagons = outside.flatMap((s) => {
      const f = hexagonOn(drawn, s);
      return f && Math.abs(f.acrossMm - other.ownHexMm!) < SAME_MM ? [{ s, f }] : [];
    });
    const names = hexagons.map((h) => h.s.name).join(', ');
    return {
      ids: hexagons.flatMap((h) => [h.s.id, h.f.id]),
      words: `${names} ${hexagons.length > 1 ? 'stay' : 'stays'} as the hexagon is bought: nothing is milled there. Held by its flats, it runs true to them.`,
    };
  }
  const own = outside.filter((s) => Math.abs(s.diameterMm - other.ownSizeMm!) < SAME_MM && mayStay(drawn, s));
  const stays = own.filter((s) => other.toLimits || fromOf(drawn, s.id) === 'general');
  const named = stays.map((s) => s.name).join(', ');
  const read = other.toLimits ? ': read it over its length before it is sawn, it has limits' : '';
  const chrome =
    bar.finish === 'chromed'
      ? ' Copper or a collet round it, no bare jaws. Where it is turned the first cut goes in under the chrome: a tool that rubs on it is gone. Chrome dust is poison: no dry grinding of it.'
      : '';
  return {
    ids: stays.map((s) => s.id),
    words: `${stays.length > 1 ? `${named} stay as bought` : `${named} stays as bought`}${read}.${chrome}`,
  };
}
