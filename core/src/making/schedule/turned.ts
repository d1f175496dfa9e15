import type { PlacedSurface } from '../part';
import { setting, type Schedule } from './schedule';

/** Half of a taper's included angle, radians. */
export const halfAngleRad = (largeMm: number, smallMm: number, lengthMm: number): number => Math.atan((largeMm - smallMm) / 2 / lengthMm);
/** How far the tailstock is set over for it, mm. */
export const setOverMm = (largeMm: number, smallMm: number, lengthMm: number, betweenCentresMm: number): number =>
  (betweenCentresMm * (largeMm - smallMm)) / (2 * lengthMm);

/** Compound and tailstock for a taper; null for anything else. */
export function taperSchedule(s: PlacedSurface, partLengthMm: number): Schedule | null {
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
      setting(own, 'one', 'taper 1 to', (s.toMm - s.fromMm) / (large - small), 'length over change of diameter', null, 'count'),
    ],
    words: [
      'Tool dead on centre, or the taper comes out hollow. Blue it against the mate before the last cut.',
      `In by what is left on the diameter moves the fit along by ${Number(((s.toMm - s.fromMm) / (large - small)).toFixed(1))} times as much.`,
    ],
  };
}
