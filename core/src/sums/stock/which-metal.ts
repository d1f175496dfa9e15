import { materialName, materialOf } from '../../book/materials';
import {
  METAL_KINDS,
  METAL_QUESTION_IDS,
  METAL_QUESTIONS,
  METAL_SOURCE,
  tellsMost,
  whichMetal,
  type MetalAnswers,
  type MetalKind,
} from '../../book/salvage';
import { good } from '../../terms/outcome';
import { choice } from '../fields';
import { fromTable } from '../given';
import { circle, line } from '../marks';
import type { Mark, Sum } from '../sum';

const NOT_TRIED = 'not-tried';
/** What is at hand first; the wheel tells the rest. */
const START: MetalAnswers = { magnet: 'strong', file: 'works' };
/** What is not likelier than this is neither named nor assumed: what breaks where it was taken for stronger costs more than a line. */
const WORTH_NAMING = 0.01;
/** Above this the answer is one; below it is a choice between some. */
const SURE = 0.7;

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How a stream looks at the wheel: its length, mm, forks along it, and whether they burst at the end. */
const STREAMS: Readonly<Record<string, readonly [longMm: number, forks: number, burst: boolean]>> = {
  few: [180, 1, false],
  forks: [180, 4, false],
  bursts: [140, 6, true],
  arrows: [160, 1, true],
  'red-fine': [65, 0, true],
  'red-broken': [150, 0, false],
  straw: [110, 0, false],
  'white-all': [115, 7, true],
  glare: [70, 3, false],
};
const WHEEL_MM = 40;

/** The wheel and its stream, as the sparks that were seen would look; a wheel alone for none. */
function stream(spark: string): Mark[] {
  const [long, forks, burst] = STREAMS[spark] ?? [0, 0, false];
  const rays = long ? [-0.12, -0.04, 0.04, 0.12] : [];
  return [
    circle(WHEEL_MM, 'tool'),
    ...rays.flatMap((slope): Mark[] => {
      const at = (s: number, up = 0): readonly [number, number] => [WHEEL_MM + s, slope * s + up];
      const branches = Array.from({ length: forks }, (_, i) => (long * (i + 1)) / (forks + 1));
      return [
        line('part', at(0), at(long)),
        ...branches.map((s) => line('part', at(s), at(s + 9, 6))),
        ...(burst ? [line('part', at(long - 6, 6), at(long), at(long - 6, -6))] : []),
      ];
    }),
  ];
}

/** What metal is it? From a magnet, a file, the wheel and a chip; what to assume of it for its strength and for its cut. */
export const whichMetalSum: Sum = {
  id: 'which-metal',
  title: 'Which metal is it?',
  about: 'unknown salvage scrap steel spark test file magnet chip identify material',
  group: 'Stock and strength',
  fields: () =>
    METAL_QUESTION_IDS.map((q) =>
      choice(q, METAL_QUESTIONS[q].name, [[NOT_TRIED, 'not tried'], ...Object.entries(METAL_QUESTIONS[q].answers)], START[q] ?? NOT_TRIED),
    ),
  work: (v) => {
    const answers: MetalAnswers = Object.fromEntries(
      METAL_QUESTION_IDS.flatMap((q) => (v.choice(q) === NOT_TRIED ? [] : [[q, v.choice(q)]])),
    );
    const ranked = whichMetal(answers);
    const named = ranked.filter((r) => r.share >= WORTH_NAMING);
    const [first] = ranked as [(typeof ranked)[0]];
    const top: MetalKind = METAL_KINDS[first.id];
    const kinds = named.map((r): MetalKind => METAL_KINDS[r.id]);
    // As weak as the weakest, and as slow to cut as the slowest, that it may still be.
    const weakest = kinds
      .map((k) => materialOf(k.weakestId)!)
      .reduce((a, b) => ((b.yieldMpa ?? b.tensileMpa) < (a.yieldMpa ?? a.tensileMpa) ? b : a));
    const slowest = kinds.map((k) => materialOf(k.hardestId)!).reduce((a, b) => (b.speedHss < a.speedHss ? b : a));
    const next = tellsMost(answers);
    const tried = Object.keys(answers).length;
    return good({
      answer: {
        label: !tried ? 'Nothing tried yet' : first.share >= SURE ? 'It is' : 'Most likely, and not sure',
        text: tried ? `${top.name}, ${percent(first.share)}` : 'try a file and a magnet first',
      },
      figures: tried
        ? [
            fromTable(
              'metal.strength',
              weakest.yieldMpa === null ? 'assume it breaks at' : 'assume it yields at',
              weakest.yieldMpa ?? weakest.tensileMpa,
              `as ${materialName(weakest.id)}, the weakest that it may be`,
              'stress',
            ),
            fromTable(
              'metal.speed',
              'cut it at, high-speed steel',
              slowest.speedHss,
              `as ${materialName(slowest.id)}, the slowest to cut that it may be`,
              'speed',
            ),
          ]
        : [],
      tables: [
        {
          title: `By ${METAL_SOURCE}`,
          columns: ['Metal', 'likely', 'for its strength', 'for its cut'],
          rows: named.map((r) => {
            const k: MetalKind = METAL_KINDS[r.id];
            return [k.name, percent(r.share), materialName(k.weakestId), materialName(k.hardestId)];
          }),
        },
      ],
      words: [
        ...(tried ? [top.words] : []),
        ...(next ? [`What would tell most: ${METAL_QUESTIONS[next].name.toLowerCase()}.`] : []),
        'No test at the bench tells a grade. What must not break is made of bar with a certificate.',
      ],
      caution:
        'Sparks: eyes covered, nothing near that burns, a clean wheel. No spark or file where it may be magnesium or beryllium copper.',
      ...(tried ? { materialId: weakest.id } : {}),
      picture: stream(v.choice('spark')),
    });
  },
};
