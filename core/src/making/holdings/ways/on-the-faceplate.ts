import { bad, good } from '../../../terms/outcome';
import { placeWithUnit } from '../../../terms/quantity';
import { inSentence } from '../../../terms/words';
import { turningSetUp } from '../turning';
import type { HoldingWay } from './way';

/** What is longer for its width stands better in a chuck. */
const FLAT_RATIO = 0.5;

/**
 * Rings, flanges and plates: clamped at the rim while the face and the bore are made, then turned over on that face, held through the bore, for rim and
 * other face.
 */
export const onTheFaceplate: HoldingWay = {
  name: 'On the faceplate',
  about:
    'A ring, a flange or a plate that jaws would spring or cannot reach: face against the plate, so what is bored stands square to it.',
  cutsOff: false,
  plan: (work) => {
    const { part, cuts, barMm, lengthMm, lathe, unit } = work;
    const bore = part.bores.find((b) => b.through);
    const hole = bore?.surfaces.reduce((least, s) => (s.diameterMm < least.diameterMm ? s : least));
    if (lengthMm > FLAT_RATIO * barMm)
      return bad('long', `It is ${placeWithUnit(lengthMm, unit)} long for ${placeWithUnit(barMm, unit)} across: a chuck holds it better.`);
    if (!bore || !hole) return bad('nothing-to-clamp-through', 'No hole goes through it: clamps would stand where the tool has to go.');
    const turned = cuts.filter((c) => c.by === 'lathe' && !c.offAxis);
    const first = turned.filter((c) => (c.side === 'inside' && c.from !== 'near' && c.from !== 'far') || c.from === bore.from);
    const second = turned.filter((c) => !first.includes(c));
    const other = bore.from === 'near' ? 'far' : 'near';
    const zero = (end: 'near' | 'far'): string => `the ${end === 'near' ? 'zero' : 'far'} end`;
    const held = { holding: 'faceplate', overhangMm: 0, heldMm: barMm, partsOff: false } as const;
    const plan = [
      turningSetUp(work, {
        ...{ ...held, title: 'Face and bore', locates: { on: 'stock' }, free: bore.from, cuts: first, facesFirst: true, toLength: false },
        ...{ heldOn: 'clamps at the rim, packing behind it so that the drill comes through clear of the plate', zeroFace: zero(bore.from) },
      }),
      turningSetUp(work, {
        ...{ ...held, title: 'Rim and other face', locates: { on: 'surface', id: hole.id }, free: other, cuts: second, facesFirst: false },
        ...{ heldOn: `face to the plate, clamped through ${inSentence(hole.name)}`, toLength: true, zeroFace: zero(other) },
      }),
    ];
    return barMm > lathe.swingMm
      ? bad('swing', `It is ${placeWithUnit(barMm, unit)} across and ${lathe.name} swings ${placeWithUnit(lathe.swingMm, unit)}.`)
      : good(plan);
  },
};
