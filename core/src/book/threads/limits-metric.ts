import { bad, good, type Outcome } from '../../terms/outcome';
import type { ThreadLimits } from './thread-limits';
import { METRIC_LIMITS_SOURCE, PITCH_DIAMETER_ROWS, PITCH_ROWS } from './metric.data';
import type { Thread } from './thread';

/** The R 40 series over one decade; tolerances stand on it and a grade is four steps. */
const R40 = [
  100, 106, 112, 118, 125, 132, 140, 150, 160, 170, 180, 190, 200, 212, 224, 236, 250, 265, 280, 300, 315, 335, 355, 375, 400, 425, 450,
  475, 500, 530, 560, 600, 630, 670, 710, 750, 800, 850, 900, 950,
];
const STEPS_PER_GRADE = 4;

/** A tolerance of another grade from the one of grade 6. */
function fromSix(grade6: number, grade: number): number {
  const decade = grade6 >= 100 ? 1 : 10;
  const at = R40.indexOf(grade6 * decade) + (grade - 6) * STEPS_PER_GRADE;
  const turns = Math.floor(at / R40.length);
  return (R40[at - turns * R40.length]! * 10 ** turns) / decade;
}

interface ClassParts {
  readonly pitchGrade: number;
  readonly crestGrade: number;
  readonly letter: 'g' | 'e' | 'h' | 'G' | 'H';
}

/** `6g`, `4g6g`, `6H`: grade of pitch diameter and of the crest (major outside, minor inside). */
function partsOf(threadClass: string): ClassParts {
  const [, pitchGrade, letter, crest] = /^(\d)([a-zA-Z])(?:(\d)[a-zA-Z])?$/.exec(threadClass)!;
  return { pitchGrade: Number(pitchGrade), crestGrade: Number(crest ?? pitchGrade), letter: letter as ClassParts['letter'] };
}

/** Deviation of the letter from basic, micrometres, away from the other part. */
const deviationOf = (letter: ClassParts['letter'], g: number, e: number | null): number | null =>
  letter === 'H' || letter === 'h' ? 0 : letter === 'e' ? e : g;

/**
 * Limits of a metric thread, ISO 965-1, normal length of engagement.
 *
 * @example M10 6g: major 9.968 to 9.732, pitch diameter 8.994 to 8.862 mm
 */
export function metricLimits(t: Thread, side: 'outside' | 'inside', threadClass: string): Outcome<ThreadLimits> {
  const { pitchGrade, crestGrade, letter } = partsOf(threadClass);
  const row = PITCH_ROWS.find(([p]) => p === t.pitchMm);
  const pd = PITCH_DIAMETER_ROWS.find((s) => t.majorMm <= s.upToMm)?.rows.find(([p]) => p === t.pitchMm);
  const deviation = row ? deviationOf(letter, row[1], row[2]) : null;
  const pitch6 = side === 'outside' ? pd?.[1] : pd?.[2];
  const crest6 = side === 'outside' ? row?.[3] : row?.[4];
  if (deviation === null || !pitch6 || !crest6)
    return bad(
      'out-of-table',
      `${METRIC_LIMITS_SOURCE} in the book gives no ${threadClass} for ${t.name}: gauge it or fit it to its mate.`,
    );
  const um = (mm: number): number => Math.round(mm * 1000) / 1000;
  const pitch = um(t.majorMm - t.form.toPitchDiameter * t.pitchMm);
  const minor = um(t.majorMm - t.form.toMinor * t.pitchMm);
  const pitchTolerance = fromSix(pitch6, pitchGrade) / 1000;
  const crestTolerance = fromSix(crest6, crestGrade) / 1000;
  const shift = deviation / 1000;
  const base = { side, threadClass, source: METRIC_LIMITS_SOURCE };
  if (side === 'outside')
    return good({
      ...base,
      major: { lowerMm: um(t.majorMm - shift - crestTolerance), upperMm: um(t.majorMm - shift) },
      pitchDiameter: { lowerMm: um(pitch - shift - pitchTolerance), upperMm: um(pitch - shift) },
      minor: { lowerMm: null, upperMm: um(minor - shift) },
    });
  return good({
    ...base,
    major: { lowerMm: um(t.majorMm + shift), upperMm: null },
    pitchDiameter: { lowerMm: um(pitch + shift), upperMm: um(pitch + shift + pitchTolerance) },
    minor: { lowerMm: um(minor + shift), upperMm: um(minor + shift + crestTolerance) },
  });
}
