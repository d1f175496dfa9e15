import { threadLimits, THREAD_CLASSES } from './limits';
import { BA_NUT_MINOR_SHARE, BA_SOURCE, TRAPEZOIDAL_MINOR_4H } from './other.data';
import { minorMm, type Thread } from './thread';

/** From and to of the minor diameter of an inside thread, mm. */
export interface InsideMinor {
  readonly lowerMm: number;
  readonly upperMm: number;
  /** Which limits these are: `2B minor`. */
  readonly words: string;
  readonly source: string;
}

/**
 * The inside thread's own minor diameters: what its hole must measure. Unified 2B, metric 6H, Whitworth medium, G, ACME 2G,
 * trapezoidal 4H (ISO 2903), BA basic + 0.375 P (BS 93), cycle threads with the same room, as the book has no
 * limits of theirs; null for tapered pipe.
 *
 * @example M10: 8.376 to 8.676 mm
 */
export function insideMinor(t: Thread): InsideMinor | null {
  if (t.tapered) return null;
  const lowerMm = minorMm(t);
  const basic = (room: number, words: string, source: string): InsideMinor => ({ lowerMm, upperMm: lowerMm + room, words, source });
  switch (t.system) {
    case 'ba':
      return basic(BA_NUT_MINOR_SHARE * t.pitchMm, 'nut minor', BA_SOURCE);
    case 'cycle':
      return basic(BA_NUT_MINOR_SHARE * t.pitchMm, 'minor, with the room of a BA nut', `${t.source}; room by ${BA_SOURCE}`);
    case 'trapezoidal':
      return basic(TRAPEZOIDAL_MINOR_4H[t.pitchMm]!, '4H minor', 'ISO 2903');
    default: {
      const threadClass = THREAD_CLASSES[t.system]!.inside[0]!;
      const limits = threadLimits(t, 'inside', threadClass);
      const band = limits.ok ? limits.value.minor : null;
      // A special has no limits of its own: a share of thread from 85 to 60 %.
      if (!limits.ok && t.form.id === 'iso60') {
        const at = (share: number): number => t.majorMm - 2 * t.form.toPitchDiameter * t.pitchMm * share;
        return { lowerMm: Math.max(at(0.85), lowerMm), upperMm: at(0.6), words: '83 to 60 % of thread', source: t.source };
      }
      return band && band.lowerMm !== null && band.upperMm !== null
        ? {
            lowerMm: band.lowerMm,
            upperMm: band.upperMm,
            words: `${threadClass} minor`,
            source: limits.ok ? limits.value.source : t.source,
          }
        : null;
    }
  }
}
