import { bad, good, type Outcome } from '../../terms/outcome';
import { inSentence } from '../../terms/words';
import { hostOf, placeOutside, ringOf, surface, type Part, type PartFeature } from '../part';
import { liesAt } from './cut-span';

const EDGE_MM = 1e-6;

/**
 * A shaft with a shoulder in the place of a ring's groove: what the ring held stops against the shoulder where it stopped against the ring. The stretch
 * that carried the groove ends there, and goes on thicker beyond. What sits on it comes on from the other side then.
 *
 * @param grooveId of a ring's groove on the outside
 * @param side on which the shoulder stands: the side of the ring away from what it holds
 * @param diameterMm of the shoulder, mm
 * @param id of the new stretch
 * @returns a reason where what sits there could not come on, or something else is cut where the shoulder would stand
 */
export function shoulderInstead(part: Part, grooveId: string, side: 'left' | 'right', diameterMm: number, id: string): Outcome<Part> {
  const groove = part.features.find((f) => f.id === grooveId);
  const host = groove && hostOf(part, groove.on);
  if (groove?.kind !== 'ring-groove' || host?.surface.side !== 'outside') return bad('no-groove', 'Say which ring’s groove.', 'grooveId');
  const { surface: on } = host;
  if (on.kind === 'taper') return bad('taper', `${on.name} is a taper: no shoulder stands on it.`, 'grooveId');
  if (!(diameterMm > on.leftMm + EDGE_MM)) return bad('too-small', `A shoulder is thicker than ${inSentence(on.name)}.`, 'diameterMm');
  const row = placeOutside(part);
  const at = row.findIndex((s) => s.id === on.id);
  const comesOver = side === 'right' ? row.slice(0, at) : row.slice(at + 1);
  const thick = comesOver.find((s) => Math.max(s.leftMm, s.rightMm) > on.leftMm + EDGE_MM);
  if (thick)
    return bad(
      'cannot-come-on',
      `What sits on ${inSentence(on.name)} would have to come on over ${inSentence(thick.name)}, which is thicker.`,
      'side',
    );
  // A ring bears on the wall away from what it holds; a measured groove is taken as filled by its ring.
  const thicknessMm = ringOf(groove, host)?.thicknessMm ?? groove.widthMm;
  const alongMm = side === 'right' ? groove.atMm + groove.widthMm - thicknessMm : groove.atMm + thicknessMm;
  const lengthMm = on.toMm - on.fromMm;
  if (alongMm < EDGE_MM || alongMm > lengthMm - EDGE_MM)
    return bad('no-room', `${on.name} ends at the ring: there is nothing to stand a shoulder on.`, 'side');
  const faceMm = on.fromMm + alongMm;
  const features: PartFeature[] = [];
  for (const f of part.features) {
    if (f.id === grooveId) continue;
    const now = f.on === on.id ? onEither(f) : f;
    if (!now) return bad('in-the-way', `${f.name} lies where the shoulder would stand.`, 'side');
    features.push(now);
  }
  const stays = { ...part.outside[at]!, lengthMm: side === 'right' ? alongMm : lengthMm - alongMm };
  const shoulder = surface(id, 'cylinder', `Collar beside ${inSentence(on.name)}`, lengthMm - stays.lengthMm, diameterMm);
  const pair = side === 'right' ? [stays, shoulder] : [shoulder, stays];
  const limits = Object.fromEntries(Object.entries(part.limits).filter(([key]) => key !== grooveId && !key.startsWith(`${grooveId}.`)));
  return good({ ...part, outside: [...part.outside.slice(0, at), ...pair, ...part.outside.slice(at + 1)], features, limits });

  /** What is cut into the stretch, on the half that it lies on; null where it lies on both. */
  function onEither(f: PartFeature): PartFeature | null {
    const span = liesAt(f, host!);
    if (!span) return 'end' in f ? byEnd(f) : f;
    const left = span.toMm <= faceMm + EDGE_MM;
    const right = span.fromMm >= faceMm - EDGE_MM;
    if (!left && !right) return null;
    if ('end' in f) return byEnd(f);
    const there = left === (side === 'right') ? on.id : id;
    return 'atMm' in f ? { ...f, on: there, atMm: right ? f.atMm - alongMm : f.atMm } : { ...f, on: there };
  }

  /** What is told from an end stays at its end: the outer one is the shoulder's. */
  function byEnd<F extends PartFeature & { readonly end: 'left' | 'right' }>(f: F): PartFeature {
    return f.end === side ? { ...f, on: id } : f;
  }
}
