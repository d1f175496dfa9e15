import { inSentence } from '../../terms/words';
import { largestDiameterMm, partLengthMm, type TurnedPart } from '../part';

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

function firstOperations(part: TurnedPart, tailstock: boolean): string[] {
  const cylinders = part.segments.map((s) => inSentence(s.name));
  return [
    'Face the end: this is the zero face',
    ...(tailstock ? ['Centre drill, bring up the tailstock'] : []),
    ...(part.bore ? [`Drill and bore ${part.bore.depthMm === null ? 'through, past the part-off' : 'to depth'}`] : []),
    `Turn ${cylinders.reverse().join(', then ')}`,
    'Chamfers and edges',
    'Part off',
  ];
}

/**
 * The usual sequence for a pin or bush from bar: everything that must be concentric in the first holding.
 *
 * @param part a valid part
 */
export function setUpSequence(part: TurnedPart): SetUp[] {
  const headLast = part.segments.at(-1)?.kind === 'head' && part.segments.length > 1;
  const overhang = partLengthMm(part);
  const hold = holdFor(overhang, largestDiameterMm(part));
  const needle = part.materialId.startsWith('bronze') || part.materialId === 'brass';
  const first: SetUp = {
    number: 1,
    title: 'Turn complete from the bar',
    hold,
    zeroFace: headLast ? 'plain end, head towards the chuck' : 'far end, zero end towards the chuck',
    operations: firstOperations(part, hold.includes('tailstock')),
    cautions: [LATHE_CAUTION, ...(needle ? [BRONZE_CAUTION] : [])],
    fromFarEnd: !headLast,
    partsOff: true,
  };
  const second: SetUp = {
    number: 2,
    title: 'Face the parted end',
    hold: part.bore ? 'on the outside in soft jaws, or on a mandrel' : 'on the finished body in a collet or soft jaws',
    zeroFace: 'the parted end',
    operations: ['Face to length', 'Chamfer'],
    cautions: [LATHE_CAUTION],
    fromFarEnd: headLast,
    partsOff: false,
  };
  const holes = part.crossHoles.map((h) => `Drill ${h.diameterMm} mm at ${h.atMm} mm, ${h.clockDeg}°`);
  const third: SetUp = {
    number: 3,
    title: 'Cross holes on the mill',
    hold: 'V-block or vise with a V, finder on the centre line',
    zeroFace: 'the same zero face as set-up 2',
    operations: [...holes, 'Deburr inside and out'],
    cautions: ['Clamp before drilling: a pin that turns under the drill takes the hand with it.'],
    fromFarEnd: headLast,
    partsOff: false,
  };
  return holes.length ? [first, second, third] : [first, second];
}
