import { DRILL_KINDS, DRILL_SOURCE, drillWords, DRILLS, inCrib, type Drill, type DrillKind } from '../../book/drills';
import { bad, good } from '../../terms/outcome';
import { leftForReamer, pilotMm } from '../../making/process';
import { hangingFor, type CribTool } from '../../making/tooling';
import { choice, length } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

const LEFT_SOURCE = 'usual practice for machine reamers in steel and cast iron; the reamer’s maker goes first';

const SETS: Readonly<Record<string, readonly DrillKind[]>> = {
  metric: ['metric'],
  fraction: ['fraction'],
  inch: ['fraction', 'number', 'letter'],
  all: DRILL_KINDS,
};

/** The largest drill of a set that is not over a size. */
const upTo = (mm: number, kinds: readonly DrillKind[]): Drill | undefined =>
  DRILLS.findLast((d) => d.diameterMm <= mm + 1e-9 && kinds.includes(d.kind));

/** Whether that reamer hangs in the crib; nothing where no reamers are listed there at all. */
function reamerWords(sizeMm: number, tools: readonly CribTool[]): string[] {
  if (!tools.some((t) => t.kind === 'reamer')) return [];
  const [here] = hangingFor(tools, 'reamer', { sizeMm });
  return [here ? `That reamer hangs in the crib${here.note ? `: ${here.note}` : ''}.` : 'No reamer of that size hangs in the crib.'];
}

/** Drills in their order before a reamer, with what each leaves. */
export const reamLadder: Sum = {
  id: 'ream-ladder',
  title: 'Drills before a reamer',
  about: 'reamer ream drill ladder allowance pilot core drill hole',
  group: 'Cutting',
  fields: () => [
    length('reamer', 'Reamer', 16, 80, 1),
    choice('set', 'Drills at hand', [
      ['metric', 'metric'],
      ['fraction', 'inch fractions'],
      ['inch', 'fractions, numbers, letters'],
      ['all', 'all of them'],
    ]),
  ],
  work: (v, { drillSets, tools }) => {
    const D = v.number('reamer');
    const kinds = SETS[v.choice('set')]!;
    const row = leftForReamer(D)!;
    // One that hangs in the crib is taken where it leaves no more than a reamer should take.
    const hanging = DRILLS.findLast(
      (d) =>
        d.diameterMm <= D - row.leastMm + 1e-9 && d.diameterMm >= D - row.mostMm - 1e-9 && inCrib(drillSets, d) && kinds.includes(d.kind),
    );
    const last = hanging ?? upTo(D - row.leastMm, kinds);
    if (!last) return bad('drill', 'No drill of that set is small enough.', 'set');
    const pilotAbout = pilotMm(last.diameterMm);
    const pilot = pilotAbout === null ? undefined : upTo(pilotAbout, kinds);
    const reamer = given('ream.reamer', 'reamer', D);
    const drill = fromTable('ream.drill', 'last drill', last.diameterMm, DRILL_SOURCE);
    const left = result('ream.left', 'left for the reamer', D - last.diameterMm, 'reamer less the last drill', [reamer, drill]);
    const steps = [...(pilot ? [pilot] : []), last];
    return good({
      answer: { label: 'last drill', text: drillWords(last) },
      figures: [
        left,
        drill,
        fromTable('ream.least', 'wanted at least', row.leastMm, LEFT_SOURCE),
        fromTable('ream.most', 'wanted at most', row.mostMm, LEFT_SOURCE),
      ],
      tables: [
        {
          title: 'In this order',
          columns: ['Tool', 'Diameter', 'Takes off'],
          rows: [
            ...steps.map((d, i) => [drillWords(d), d.diameterMm, d.diameterMm - (steps[i - 1]?.diameterMm ?? 0)]),
            ['reamer', D, left.value],
          ],
        },
      ],
      words: [
        ...reamerWords(D, tools),
        left.value > row.mostMm + 1e-9
          ? 'More than a reamer should take: bore, or core-drill, to leave what is wanted.'
          : 'A drill cuts a little large: where it leaves less than the least, take the next smaller.',
        'A reamer follows the hole that is there: where place or straightness count, bore before it. Half the speed of the drill, never turned back.',
      ],
      picture: [
        circle(D / 2),
        circle(last.diameterMm / 2, 'hidden'),
        ...(pilot ? [circle(pilot.diameterMm / 2, 'tool')] : []),
        ...cross(D / 2),
        size('reamer', [-D / 2, -D * 0.66], [D / 2, -D * 0.66]),
      ],
    });
  },
};
