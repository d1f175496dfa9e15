import { inSentence } from '../../terms/words';
import { hostOf, kindOf, largestDiameterMm, partLengthMm, type OperationDraft, type Part } from '../part';

/** One holding of the work and what is done in it. */
export interface SetUp {
  readonly number: number;
  readonly title: string;
  readonly hold: string;
  readonly zeroFace: string;
  readonly operations: readonly string[];
  readonly cautions: readonly string[];
  /** For the depth ladder: the zero face is the end farthest from the head. */
  readonly fromFarEnd: boolean;
  readonly partsOff: boolean;
}

/** Overhang up to this many diameters stands in the chuck alone. */
export const CHUCK_ONLY_RATIO = 3;
/** Beyond this even the tailstock is not enough: a steady is needed. */
export const TAILSTOCK_RATIO = 10;

/** How the bar is held for the first set-up, by overhang over diameter. */
export function holdFor(overhangMm: number, diameterMm: number): string {
  const ratio = overhangMm / diameterMm;
  if (ratio <= CHUCK_ONLY_RATIO) return 'three-jaw chuck, short overhang';
  return ratio <= TAILSTOCK_RATIO ? 'chuck and tailstock centre' : 'chuck, tailstock and travelling steady';
}

const LATHE_CAUTION = 'No gloves, no loose sleeves, chuck key out before the spindle turns, eyes covered.';
const BRONZE_CAUTION = 'Bronze and brass spray needle chips: guard and face shield.';

/** Machine on which an act is done; on the lathe it belongs into the first holding, so that it runs true with what is turned. */
const ON_LATHE: readonly OperationDraft['kind'][] = ['turn', 'bore', 'plunge', 'thread', 'knurl'];

function acts(part: Part): OperationDraft[] {
  return part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    return host ? kindOf(f.kind).operations(f, host) : [];
  });
}

/** What is turned into the surfaces beside plain edges, each once. */
const turnedWords = (part: Part): string[] => [
  ...new Set(
    part.features
      .filter((f) => f.kind !== 'chamfer')
      .flatMap((f) => {
        const host = hostOf(part, f.on);
        return host ? kindOf(f.kind).operations(f, host) : [];
      })
      .filter((o) => ON_LATHE.includes(o.kind))
      .map((o) => o.words),
  ),
];

/** What is milled and drilled across the axis, with where: from the zero face. */
const acrossWords = (part: Part): string[] =>
  part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    if (!host) return [];
    const kind = kindOf(f.kind);
    const cut = kind.cut(f, host);
    const [mark] = cut.shape === 'other' ? cut.marks : [];
    const at = mark?.kind === 'circle' ? mark.atMm : mark?.fromMm;
    const clock = 'clockDeg' in f ? `, ${f.clockDeg}°` : '';
    const where = at === undefined ? '' : ` at ${Number(at.toFixed(3))} mm${clock}`;
    const size = mark?.kind === 'circle' ? ` ${Number((2 * mark.radiusMm).toFixed(3))} mm` : '';
    return kind
      .operations(f, host)
      .filter((o) => !ON_LATHE.includes(o.kind) && o.kind !== 'broach')
      .map((o) => `${o.words}${size}${where}`);
  });

function firstOperations(part: Part, tailstock: boolean, near: 'near' | 'far'): string[] {
  const cylinders = part.outside.map((s) => inSentence(s.name));
  const bores = part.bores.filter((b) => b.from === near || b.through);
  return [
    'Face the end: this is the zero face',
    ...(tailstock ? ['Centre drill, bring up the tailstock'] : []),
    ...bores.map((b) => `Drill and bore ${b.through ? 'through, past the part-off' : 'to depth'}`),
    `Turn ${cylinders.reverse().join(', then ')}`,
    ...turnedWords(part),
    'Chamfers and edges',
    'Part off',
  ];
}

/**
 * The usual sequence for a pin or bush from bar: everything that must be concentric in the first holding.
 *
 * @param part a valid part
 */
export function setUpSequence(part: Part): SetUp[] {
  const headLast = part.outside.at(-1)?.kind === 'head' && part.outside.length > 1;
  const overhang = partLengthMm(part);
  const hold = holdFor(overhang, largestDiameterMm(part));
  const needle = part.materialId.startsWith('bronze') || part.materialId === 'brass';
  const first: SetUp = {
    number: 1,
    title: 'Turn complete from the bar',
    hold,
    zeroFace: headLast ? 'plain end, head towards the chuck' : 'far end, zero end towards the chuck',
    operations: firstOperations(part, hold.includes('tailstock'), headLast ? 'near' : 'far'),
    cautions: [LATHE_CAUTION, ...(needle ? [BRONZE_CAUTION] : [])],
    fromFarEnd: !headLast,
    partsOff: true,
  };
  const second: SetUp = {
    number: 2,
    title: 'Face the parted end',
    hold: part.bores.length ? 'on the outside in soft jaws, or on a mandrel' : 'on the finished body in a collet or soft jaws',
    zeroFace: 'the parted end',
    operations: [
      'Face to length',
      ...part.bores.filter((b) => !b.through && (b.from === 'near') === !headLast).map(() => 'Drill and bore to depth'),
      'Chamfer',
    ],
    cautions: [LATHE_CAUTION],
    fromFarEnd: headLast,
    partsOff: false,
  };
  const holes = acrossWords(part);
  const broached = acts(part).filter((o) => o.kind === 'broach');
  const third: SetUp = {
    number: 3,
    title: 'Across the axis, on the mill',
    hold: 'V-block or vise with a V, finder on the centre line',
    zeroFace: 'the same zero face as set-up 2',
    operations: [...holes, 'Deburr inside and out'],
    cautions: ['Clamp before drilling: a pin that turns under the drill takes the hand with it.'],
    fromFarEnd: headLast,
    partsOff: false,
  };
  const fourth: SetUp = {
    number: holes.length ? 4 : 3,
    title: 'Keyways',
    hold: 'on the arbor press with a guide bush, or in the slotting vise',
    zeroFace: 'the same zero face as set-up 2',
    operations: broached.map((o) => o.words),
    cautions: ['A broach under a press can shatter: stand aside, guard up.'],
    fromFarEnd: headLast,
    partsOff: false,
  };
  return [first, second, ...(holes.length ? [third] : []), ...(broached.length ? [fourth] : [])];
}
