import type { PlacedSurface } from '../part';
import { MM_PER_INCH, type LengthUnit } from '../../terms/quantity';
import { setting, type Schedule } from './schedule';

/** Half of a taper's included angle, radians. */
export const halfAngleRad = (largeMm: number, smallMm: number, lengthMm: number): number => Math.atan((largeMm - smallMm) / 2 / lengthMm);
/** How far the tailstock is set over for it, mm. */
export const setOverMm = (largeMm: number, smallMm: number, lengthMm: number, betweenCentresMm: number): number =>
  (betweenCentresMm * (largeMm - smallMm)) / (2 * lengthMm);

/** On whose length the scale of a taper attachment tells the change of diameter: a foot, or 100 mm. */
const SCALE_MM = { in: 12 * MM_PER_INCH, mm: 100 } as const;
/** What a taper attachment's scale is set to, mm of diameter: a foot of it, or 100 mm. */
export const perScaleMm = (largeMm: number, smallMm: number, lengthMm: number, unit: LengthUnit): number =>
  ((largeMm - smallMm) / lengthMm) * SCALE_MM[unit];

/** Compound, tailstock and attachment for a taper; null for anything else. */
export function taperSchedule(s: PlacedSurface, partLengthMm: number, unit: LengthUnit): Schedule | null {
  const [large, small] = [Math.max(s.leftMm, s.rightMm), Math.min(s.leftMm, s.rightMm)];
  if (s.kind !== 'taper' || large - small < 1e-6) return null;
  const own = { id: s.id };
  return {
    ...{ id: s.id, title: s.name, tools: [], cuts: null },
    settings: [
      setting(
        own,
        'compound',
        'compound, from the axis',
        halfAngleRad(large, small, s.toMm - s.fromMm),
        'half the change of diameter over the length',
        null,
        'angle',
      ),
      ...(s.side === 'outside'
        ? [
            setting(
              own,
              'set-over',
              'or tailstock set over',
              setOverMm(large, small, s.toMm - s.fromMm, partLengthMm),
              'length between centres by the change of diameter over twice the taper’s length',
            ),
          ]
        : []),
      setting(
        own,
        'attachment',
        `or taper attachment, by ${unit === 'in' ? 'the foot' : '100 mm'}`,
        perScaleMm(large, small, s.toMm - s.fromMm, unit),
        'change of diameter over that length; where its scale is in degrees, the compound’s angle',
      ),
      setting(own, 'one', 'taper 1 to', (s.toMm - s.fromMm) / (large - small), 'length over change of diameter', null, 'count'),
    ],
    words: [
      'Tool dead on centre, or the taper comes out hollow. Blue it against the mate before the last cut.',
      'With an attachment begin each pass well before the taper: its play is taken up by then.',
      `In by what is left on the diameter moves the fit along by ${Number(((s.toMm - s.fromMm) / (large - small)).toFixed(1))} times as much.`,
    ],
  };
}
