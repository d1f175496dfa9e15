import { DRILL_KINDS, drillWords, inCrib, type Drill, type DrillKind } from '../../book/drills';
import { good, type Outcome } from '../../terms/outcome';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { formingHole, minorMm, neededEngagement, taperDrills, taperPipe, tapHole, type TapHole, type Thread } from '../../book/threads';
import { hangingFor, type CribTool } from '../../making/tooling';
import { tabled } from '../../terms/working';
import { choice, number, thread } from '../fields';
import { result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum, SumResult } from '../sum';

const SETS = [
  ['all', 'all drills'],
  ['inch', 'inch: fraction, number, letter'],
  ['metric', 'metric'],
  ['fraction', 'fractions only'],
] as const;

const TAPS = [
  ['cutting', 'a cutting tap'],
  ['forming', 'a forming tap, without chips'],
] as const;

const kindsOf = (set: string): readonly DrillKind[] =>
  set === 'all' ? DRILL_KINDS : set === 'inch' ? ['fraction', 'number', 'letter'] : [set as DrillKind];

/** A tapered pipe thread: what it is gauged by, and its published drills. */
function tapered(t: Thread): Outcome<SumResult> {
  const drills = taperDrills(t);
  const sizes = taperPipe(t.name) ?? [];
  const r = t.majorMm / 2;
  const bored = sizes.at(-1);
  return good({
    answer: { label: `Drill for ${t.name}`, text: drills ? drillWords(drills.plain) : 'bore it' },
    figures: [
      ...(drills ? [tabled('tap.drill', 'drill without a taper reamer', drills.plain.diameterMm, `tap chart, ${t.source}`)] : []),
      ...(drills?.reamed ? [tabled('tap.reamed', 'drill before a taper reamer', drills.reamed.diameterMm, `tap chart, ${t.source}`)] : []),
      ...sizes.map(([words, mm], i) => tabled(`tap.pipe${i}`, words, mm, t.source)),
    ],
    words: [
      drills
        ? 'A taper reamer leaves an even thread all the way; without one the tap cuts most at the large end.'
        : `No drill of this size is sold: bore ${bored ? bored[0].toLowerCase() : 'the small end'} and taper it.`,
      'Gauge it by how far the plug or ring goes on by hand.',
    ],
    picture: [circle(r, 'hidden'), ...(drills ? [circle(drills.plain.diameterMm / 2)] : []), ...cross(r)],
  });
}

/** What to say of a hole: what to bore where nothing is sold for it, and the chart's own drill where it is out. */
function holeWords(t: Thread, hole: TapHole, unit: LengthUnit): string[] {
  const { limits, chart, drills } = hole;
  const band = `${formatWithUnit(limits.lowerMm, unit)} to ${formatWithUnit(limits.upperMm, unit)}`;
  const out = chart && `${formatWithUnit(Math.abs(chart.outsideMm), unit)} ${chart.outsideMm > 0 ? 'over' : 'under'}`;
  return [
    ...(drills.length ? [] : [`No drill at hand is within ${limits.words}: bore it ${band}.`]),
    ...(chart
      ? [
          `The nearest ${t.unit === 'in' ? 'inch' : 'metric'} drill, ${drillWords(chart.drill)}, is ${out} of ${limits.words}: charts name it all the same.`,
        ]
      : []),
  ];
}

/** Whether a tap of that thread hangs in the crib; nothing where no taps are listed there at all. */
function tapWords(t: Thread, tools: readonly CribTool[]): string[] {
  if (!tools.some((tool) => tool.kind === 'tap')) return [];
  const taps = hangingFor(tools, 'tap', { thread: t.name });
  const notes = taps.map((tool) => tool.note).filter(Boolean);
  if (!taps.length) return [`No ${t.name} tap hangs in the crib.`];
  return [`A tap for it hangs in the crib${notes.length ? `: ${notes.join('; ')}` : ''}.`];
}

/** Drills at hand for a tapped hole, and how deep a screw must go. */
export const tapDrill: Sum = {
  id: 'tap-drill',
  title: 'Tap drill',
  about: 'tapping hole drill percent thread engagement strip tap for form',
  group: 'Threads',
  fields: () => [
    thread('thread', 'Thread', 'M10'),
    choice('tap', 'Tapped with', TAPS),
    number('percent', 'Full thread', '%', 75, 40, 100),
    choice('set', 'Drills at hand', SETS),
    number('screw', 'Screw, tensile strength', 'MPa', 800, 50, 2000),
    number('nut', 'Tapped part, tensile strength', 'MPa', 400, 20, 2000),
  ],
  work: (v, { drillSets, tools }, unit) => {
    const t = v.thread('thread');
    if (t.tapered) return tapered(t);
    const kinds = kindsOf(v.choice('set'));
    const has = (d: Drill): boolean => inCrib(drillSets, d);
    const found = v.choice('tap') === 'forming' ? formingHole(t, kinds, has) : tapHole(t, v.number('percent'), kinds, has);
    if (!found.ok) return found;
    const { limits, aimMm, drills, chart } = found.value;
    const best = drills[0];
    const holeMm = best?.drill.diameterMm ?? aimMm;
    const hole = best
      ? tabled('tap.drill', `drill ${drillWords(best.drill)}`, holeMm, `drills as sold, within ${limits.words}`)
      : tabled('tap.drill', 'bore to', holeMm, `${limits.words}, ${limits.source}`);
    const share =
      best &&
      result('tap.percent', 'full thread that it leaves', best.percent / 100, 'what is left between hole and major', [hole], 'probability');
    const deep = neededEngagement(t, v.number('screw'), v.number('nut'));
    const r = t.majorMm / 2;
    const crib = drillSets.length > 0;
    const shown = chart ? [...drills, chart] : drills;
    return good({
      answer: {
        label: `${best ? 'Drill' : 'Bore'} for ${t.name}`,
        text: best ? drillWords(best.drill) : `${formatWithUnit(limits.lowerMm, unit)} to ${formatWithUnit(limits.upperMm, unit)}`,
      },
      figures: [
        hole,
        ...(share ? [share] : []),
        tabled('tap.least', `least, ${limits.words}`, limits.lowerMm, limits.source),
        tabled('tap.most', `most, ${limits.words}`, limits.upperMm, limits.source),
        tabled('tap.minor', `basic minor of ${t.name}`, minorMm(t), t.source),
        ...(deep.ok
          ? [
              result(
                'tap.engagement',
                'engagement so that the screw breaks first',
                deep.value.neededMm,
                `stress area over shear area at the worst limits; ${deep.value.strips} would strip`,
              ),
            ]
          : []),
      ],
      tables: shown.length
        ? [
            {
              title: 'Drills, best first',
              columns: ['Drill', 'Size', 'Full thread', 'Outside the limits by', ...(crib ? ['In the crib'] : [])],
              rows: shown.map((d) => [
                drillWords(d.drill),
                d.drill.diameterMm,
                `${d.percent.toFixed(0)} %`,
                d.outsideMm === 0 ? 'within' : d.outsideMm,
                ...(crib ? [has(d.drill) ? 'yes' : 'no'] : []),
              ]),
            },
          ]
        : [],
      words: [...holeWords(t, found.value, unit), ...tapWords(t, tools), ...(deep.ok ? [] : deep.problems.map((p) => p.message))],
      picture: [circle(r, 'hidden'), circle(holeMm / 2), ...cross(r), size('drill', [-holeMm / 2, -r * 1.3], [holeMm / 2, -r * 1.3])],
    });
  },
};
