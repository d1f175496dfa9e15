import { inSentence } from '../../terms/words';
import {
  hostOf,
  kindOf,
  largestDiameterMm,
  partLengthMm,
  type Host,
  type OperationDraft,
  type OperationKind,
  type Part,
  type PartFeature,
} from '../part';

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
const CHUCK_ONLY_RATIO = 3;
/** Beyond this even the tailstock is not enough: a steady is needed. */
const TAILSTOCK_RATIO = 10;

/** How the bar is held for the first set-up, by overhang over diameter. */
export function holdFor(overhangMm: number, diameterMm: number): string {
  const ratio = overhangMm / diameterMm;
  if (ratio <= CHUCK_ONLY_RATIO) return 'three-jaw chuck, short overhang';
  return ratio <= TAILSTOCK_RATIO ? 'chuck and tailstock centre' : 'chuck, tailstock and travelling steady';
}

const LATHE_CAUTION = 'No gloves, no loose sleeves, chuck key out before the spindle turns, eyes covered.';
const BRONZE_CAUTION = 'Bronze and brass spray needle chips: guard and face shield.';

/** Acts of the lathe: they belong into the first holding, so that what they make runs true with what is turned. */
const ON_LATHE: readonly OperationKind[] = ['turn', 'bore', 'plunge', 'thread', 'centre', 'knurl', 'polish', 'hold'];

interface Act {
  readonly feature: PartFeature;
  readonly host: Host;
  readonly operation: OperationDraft;
}

/** Everything that is done for the features of a part, in their order. */
const acts = (part: Part): Act[] =>
  part.features.flatMap((feature) => {
    const host = hostOf(part, feature.on);
    return host
      ? kindOf(feature.kind)
          .operations(feature, host)
          .map((operation) => ({ feature, host, operation }))
      : [];
  });

/** Where an act across the axis is done, from the zero face, and how large a hole is. */
function whereWords({ feature, host }: Act): string {
  const cut = kindOf(feature.kind).cut(feature, host);
  const [mark] = cut.shape === 'other' ? cut.marks : [];
  if (!mark) return '';
  const clock = 'clockDeg' in feature ? `, ${feature.clockDeg}°` : '';
  const show = (mm: number): string => `${Number(mm.toFixed(3))} mm`;
  return mark.kind === 'circle' ? ` ${show(2 * mark.radiusMm)} at ${show(mark.atMm)}${clock}` : ` at ${show(mark.fromMm)}${clock}`;
}

function firstOperations(part: Part, turned: readonly string[], tailstock: boolean, near: 'near' | 'far'): string[] {
  const cylinders = part.outside.map((s) => inSentence(s.name));
  const bores = part.bores.filter((b) => b.from === near || b.through);
  return [
    'Face the end: this is the zero face',
    ...(tailstock ? ['Centre drill, bring up the tailstock'] : []),
    ...bores.map((b) => `Drill and bore ${b.through ? 'through, past the part-off' : 'to depth'}`),
    `Turn ${cylinders.reverse().join(', then ')}`,
    ...turned,
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
  const all = acts(part);
  // Plain edges have a line of their own, at the end.
  const turned = [
    ...new Set(all.filter((a) => a.feature.kind !== 'chamfer' && ON_LATHE.includes(a.operation.kind)).map((a) => a.operation.words)),
  ];
  const across = all.filter((a) => !ON_LATHE.includes(a.operation.kind) && a.operation.kind !== 'broach' && a.operation.kind !== 'treat');
  const treated = all.filter((a) => a.operation.kind === 'treat');
  const broached = all.filter((a) => a.operation.kind === 'broach');
  const first: SetUp = {
    number: 1,
    title: 'Turn complete from the bar',
    hold,
    zeroFace: headLast ? 'plain end, head towards the chuck' : 'far end, zero end towards the chuck',
    operations: firstOperations(part, turned, hold.includes('tailstock'), headLast ? 'near' : 'far'),
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
      ...treated.map((a) => a.operation.words),
    ],
    cautions: [LATHE_CAUTION],
    fromFarEnd: headLast,
    partsOff: false,
  };
  const third: SetUp = {
    number: 3,
    title: 'Across the axis, on the mill',
    hold: 'V-block or vise with a V, finder on the centre line',
    zeroFace: 'the same zero face as set-up 2',
    operations: [...across.map((a) => a.operation.words + whereWords(a)), 'Deburr inside and out'],
    cautions: ['Clamp before drilling: a pin that turns under the drill takes the hand with it.'],
    fromFarEnd: headLast,
    partsOff: false,
  };
  const fourth: SetUp = {
    number: across.length ? 4 : 3,
    title: 'Keyways',
    hold: 'on the arbor press with a guide bush, or in the slotting vise',
    zeroFace: 'the same zero face as set-up 2',
    operations: broached.map((a) => a.operation.words),
    cautions: ['A broach under a press can shatter: stand aside, guard up.'],
    fromFarEnd: headLast,
    partsOff: false,
  };
  return [first, second, ...(across.length ? [third] : []), ...(broached.length ? [fourth] : [])];
}
