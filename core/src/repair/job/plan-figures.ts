import type { AskedRunOut, SetUp } from '../../making/holdings';
import type { Rung } from '../../making/setups';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { minus, plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import { cuttingMin, type SegmentPasses } from './planned-passes';

/** Where the tool stands at a stop: the depth on the part, and the tool's own width where another edge of it cuts than touched. */
export function rungFigure(rung: Rung, setUp: number): Figure {
  const key = `set-up.${setUp}.${rung.key}`;
  const depth = workedOut(`${key}.depth`, inSentence(rung.what), rung.depthMm, 'distance from the zero face on the drawing', []);
  const width = rung.toolMm - rung.depthMm;
  const tool = ruled(`${key}.width`, 'width of the tool', Math.abs(width), 'the edge of it that touched the face is not the one that cuts');
  const label = rung.dial ? `tool at ${inSentence(rung.what)}` : inSentence(rung.what);
  return sumOf(key, label, [plus(depth), ...(width > 0 ? [plus(tool)] : width < 0 ? [minus(tool)] : [])]);
}

/**
 * Setting a holding up, turning to size in it and what is cut into that, min.
 *
 * @param into what is cut into it
 */
export function minutesOf(setUp: SetUp, passes: readonly SegmentPasses[], into: number): Figure {
  const key = `set-up.${setUp.number}.minutes`;
  const setting = ruled(`${key}.setting`, 'to set it up', setUp.settingMin, 'estimate of the shop', 'time');
  const cutting = cuttingMin(passes.filter((x) => setUp.cuts.includes(x.segment.segment.id)));
  const cut = workedOut(`${key}.cutting`, 'turning to size', cutting, 'passes at the usual feeds, back and measured between them', [], {
    measure: 'time',
  });
  const rest = workedOut(
    `${key}.into`,
    'drills, threads, grooves, keyseats and the rest',
    into,
    'travel at their feeds, and between the cuts',
    [],
    {
      measure: 'time',
    },
  );
  return sumOf(key, `set-up ${setUp.number}, about`, [
    plus(setting),
    ...(cutting > 0 ? [plus(cut)] : []),
    ...(into > 0 ? [plus(rest)] : []),
  ]);
}

/** The most that two surfaces run out to each other: every holding between them shifts the axis, at worst all one way. */
export function mostFigure({ id, words, predicted }: AskedRunOut, unit: LengthUnit): Figure | null {
  if (!predicted) return null;
  const steps = predicted.steps.map((s, i) => ruled(`run-out.${id}.step.${i}`, s.words, s.mm, 'indicator movement after holding it so'));
  const rest = steps.length > 1 ? `; usually about ${formatWithUnit(predicted.usualMm, unit)}, as they seldom lie one way` : '';
  return { ...sumOf(`run-out.${id}`, `${words}, at most`, steps.map(plus)), ...(rest ? { note: `All lying one way${rest}.` } : {}) };
}
