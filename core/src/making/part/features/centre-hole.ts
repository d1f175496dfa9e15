import type { End, FeatureBase, FeatureKind } from '../feature-kind';
import { frustumMm3 } from '../integrate';
import { END_OPTIONS, endAt, fromEnd, isPartEnd, lengthOf, otherEnd, radiusAtEnd } from './on-surface';

/** A 60° centre in an end face: its pilot and its mouth (ISO 866, form A). */
export interface CentreHole extends FeatureBase {
  readonly kind: 'centre-hole';
  readonly end: End;
  readonly pilotMm: number;
  readonly mouthMm: number;
  /** Over all, with the pilot. */
  readonly depthMm: number;
}

const coneMm = (f: Pick<CentreHole, 'mouthMm' | 'pilotMm'>): number => (f.mouthMm - f.pilotMm) / 2 / Math.tan(Math.PI / 6);

/** ISO 866 form A: mouth 2.12 times the pilot, pilot about as deep as it is wide. */
const PILOTS_MM = [1, 1.6, 2, 2.5, 3.15, 4, 6.3, 10] as const;
const MOUTH_OF = 2.12;

export const centreHole: FeatureKind<CentreHole> = {
  kind: 'centre-hole',
  name: 'Centre hole',
  sides: ['outside'],
  fields: {
    end: { kind: 'choice', label: 'In', options: END_OPTIONS },
    pilotMm: { kind: 'length', label: 'Pilot', from: 0.3, to: 20 },
    mouthMm: { kind: 'length', label: 'Mouth', from: 0.5, to: 60 },
    depthMm: { kind: 'length', label: 'Depth over all', from: 0.5, to: 100 },
  },
  asks: ['end'],
  start: (host) => {
    const pilotMm = PILOTS_MM.findLast((p) => p * 5 <= Math.min(host.surface.leftMm, host.surface.rightMm)) ?? PILOTS_MM[0];
    const mouthMm = Math.round(pilotMm * MOUTH_OF * 100) / 100;
    return { end: 'right', pilotMm, mouthMm, depthMm: Math.round((coneMm({ pilotMm, mouthMm }) + pilotMm) * 10) / 10 };
  },
  check: (f, host) => {
    if (f.mouthMm <= f.pilotMm) return [{ field: 'mouthMm', message: 'The mouth is wider than the pilot.' }];
    if (f.depthMm < coneMm(f))
      return [{ field: 'depthMm', message: 'It is deeper than its cone: the point of the centre must not touch bottom.' }];
    if (f.depthMm > lengthOf(host)) return [{ field: 'depthMm', message: `It is deeper than ${host.surface.name} is long.` }];
    if (!isPartEnd(host, f.end)) return [{ field: 'end', message: 'That end is no end of the part.' }];
    if (host.beyondAt(endAt(host, f.end)) > 0)
      return [{ field: 'end', message: 'There is a bore at that end: chamfer it at 60° instead.' }];
    return f.mouthMm / 2 >= radiusAtEnd(host, f.end) ? [{ field: 'mouthMm', message: 'It is wider than the end face.' }] : [];
  },
  dimensions: (f) => [
    { name: 'pilot', what: 'inside', label: 'pilot', value: f.pilotMm },
    { name: 'mouth', what: 'inside', label: 'mouth', value: f.mouthMm },
    { name: 'depth', what: 'depth', label: 'depth', value: f.depthMm },
  ],
  cut: (f, host) => {
    const cone = coneMm(f);
    return {
      shape: 'other',
      removedMm3: () => frustumMm3(cone, f.mouthMm / 2, f.pilotMm / 2) + (Math.PI / 4) * f.pilotMm ** 2 * (f.depthMm - cone),
      marks: [{ kind: 'box', ...fromEnd(host, f.end, f.depthMm), halfMm: f.pilotMm / 2, rounded: false }],
    };
  },
  raiser: () => null,
  mirrored: otherEnd,
  operations: (f) => [{ kind: 'centre', words: `Centre drill the ${f.end} end`, makes: ['pilot', 'mouth', 'depth'] }],
};
