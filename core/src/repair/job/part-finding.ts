import { inSentence } from '../../terms/words';
import { generalToleranceMm, GENERAL_TOLERANCE_SOURCE } from '../../book/fits';
import { materialOf } from '../../book/materials';
import type { Problem } from '../../terms/outcome';
import { massKg, placeSegments, validatePart, volumeMm3, type PlacedSegment, type TurnedPart } from '../../making/part';
import { minus, plus, sumOf, tabled, typed, workedOut, type Figure } from '../../terms/working';
import { chosenPart } from './choices';
import type { FitFinding } from './fit-finding';
import type { JobSheet } from './records';

/** A segment of the new part with its size and limits as figures. */
export interface SegmentFinding {
  readonly segment: PlacedSegment;
  /** Size to turn to. */
  readonly diameter: Figure;
  readonly limits: { readonly lowerMm: number; readonly upperMm: number };
  /** The mates that it must fit, the tightest first. */
  readonly fits: readonly FitFinding[];
}

export interface PartFinding {
  /** The drawn part with the fitted diameters put in. */
  readonly part: TurnedPart;
  readonly segments: readonly SegmentFinding[];
  readonly problems: readonly Problem[];
  readonly volumeMm3: number | null;
  readonly mass: Figure | null;
}

function typedDiameter(s: PlacedSegment): Omit<SegmentFinding, 'segment' | 'fits'> {
  const band = generalToleranceMm(s.diameterMm);
  const limits = { lowerMm: s.diameterMm - band, upperMm: s.diameterMm + band };
  const drawn = typed(`segment.${s.id}.drawn`, `${inSentence(s.name)} as drawn`, s.diameterMm, 'the drawing at Draw');
  const general = tabled(`segment.${s.id}.general`, 'general tolerance', band, GENERAL_TOLERANCE_SOURCE);
  const diameter = workedOut(
    `segment.${s.id}.diameter`,
    `diameter of ${inSentence(s.name)}`,
    s.diameterMm,
    'as drawn, with the general tolerance',
    [drawn, general],
    {
      limits: { lower: limits.lowerMm, upper: limits.upperMm },
    },
  );
  return { diameter, limits };
}

function fittedDiameter(s: PlacedSegment, tightestFirst: readonly FitFinding[]): Omit<SegmentFinding, 'segment' | 'fits'> {
  const tightest = tightestFirst[0]!;
  const { lowerMm, upperMm, aimMm } = tightest.target!;
  const how =
    tightestFirst.length > 1
      ? `the tightest of ${tightestFirst.length} mates governs: ${inSentence(tightest.hole.place.name)}`
      : `fits ${inSentence(tightest.hole.place.name)}`;
  return {
    limits: { lowerMm, upperMm },
    diameter: workedOut(
      `segment.${s.id}.diameter`,
      `diameter of ${inSentence(s.name)}`,
      aimMm,
      how,
      tightestFirst.map((f) => f.figures!.aim),
      {
        limits: { lower: lowerMm, upper: upperMm },
      },
    ),
  };
}

/** The drawn part with everything that the fits decide; null while nothing is drawn. */
export function partFinding(fits: readonly FitFinding[], sheet: JobSheet): PartFinding | null {
  const drawn = chosenPart(sheet);
  if (!drawn) return null;
  const segments = placeSegments(drawn).map((segment): SegmentFinding => {
    const mates = fits
      .filter((f) => f.target && segment.fitsPlaceIds.includes(f.hole.place.id))
      .sort((p, q) => p.target!.aimMm - q.target!.aimMm);
    const size = mates.length ? fittedDiameter(segment, mates) : typedDiameter(segment);
    return { segment: { ...segment, diameterMm: size.diameter.value }, ...size, fits: mates };
  });
  const part: TurnedPart = {
    ...drawn,
    segments: drawn.segments.map((s, i) => ({ ...s, diameterMm: segments[i]!.segment.diameterMm })),
  };
  const checked = validatePart(part);
  const volume = checked.ok ? volumeMm3(part) : null;
  const mass = checked.ok ? massKg(part) : null;
  return {
    part,
    segments,
    problems: checked.ok ? [] : checked.problems,
    volumeMm3: volume,
    mass:
      mass === null
        ? null
        : workedOut(
            'part.mass',
            'mass of the new part',
            mass,
            `volume ${(volume! / 1000).toFixed(1)} cm³ x density of ${materialOf(part.materialId)!.name}`,
            [],
            { measure: 'mass' },
          ),
  };
}

/** Predicted play of a segment in one mate, from the size it has or will have. */
export function predictedPlay(size: Figure, mate: FitFinding): { readonly tight: Figure; readonly loose: Figure } {
  const id = mate.hole.place.id;
  const tightest = mate.figures!.hole;
  const widest = mate.choice?.hole === 'true' ? tightest : mate.hole.largest!;
  return {
    tight: sumOf(`${id}.play-tight`, 'play at the tightest place', [plus(tightest), minus(size)]),
    loose: sumOf(`${id}.play-loose`, 'play at the widest place', [plus(widest), minus(size)]),
  };
}
