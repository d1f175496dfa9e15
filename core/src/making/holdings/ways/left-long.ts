import { bad, good } from '../../../terms/outcome';
import { inSentence } from '../../../terms/words';
import { turningSetUp } from '../turning';
import { fallsMm } from './from-the-bar';
import { gripOn, onBought } from './grip';
import type { HoldingWay } from './way';

/**
 * Between centres with the blank left long for the dog: the whole outside in one go, also where it is one surface; what the dog was on is cut off
 * last.
 */
export const leftLongBetweenCentres: HoldingWay = {
  name: 'Between centres, left long for the dog',
  about: 'The whole outside between the centres without a step where two ends meet; what the dog holds is cut off last.',
  cutsOff: true,
  alone: true,
  plan: (work) => {
    const { outside, cuts, barMm, lengthMm, part } = work;
    if (part.bores.length) return bad('bored', 'It is bored, and what is bored takes its centre away: the fixed steady holds it so.');
    if (part.features.some((f) => f.kind === 'centre-hole'))
      return bad('keeps-centres', 'Its own centres are drawn: between centres they are made first, and nothing is cut off.');
    const free = fallsMm(outside, 'near') < fallsMm(outside, 'far') - 1e-9 ? 'near' : 'far';
    const chuck = free === 'near' ? 'far' : 'near';
    const lathe = cuts.filter((c) => c.by === 'lathe' && !c.offAxis);
    const inFace = lathe.filter((c) => c.from === chuck);
    const rest = lathe.filter((c) => !inFace.includes(c));
    const held = gripOn(work, rest, chuck);
    return good([
      turningSetUp(work, {
        ...{
          title: 'Face and centre both ends',
          holding: 'three-jaw',
          locates: onBought(gripOn(work, [], 'near')),
          free: 'both',
          cuts: [],
        },
        ...{ overhangMm: Math.min(lengthMm, 3 * barMm), heldMm: barMm, heldOn: 'one end, then the other' },
        ...{ facesFirst: true, toLength: false, partsOff: false, centres: true, zeroFace: 'both ends, faced' },
      }),
      turningSetUp(work, {
        ...{ title: 'The whole outside', holding: 'centres', locates: { on: 'centres' }, free, cuts: rest },
        ...{ overhangMm: 0, heldMm: barMm, heldOn: 'dog on the stock that is cut off last', facesFirst: false, toLength: false },
        ...{ partsOff: false, zeroFace: `the ${free === 'near' ? 'zero' : 'far'} end` },
      }),
      turningSetUp(work, {
        ...{ title: 'Cut off what the dog held', holding: 'soft-jaws', free: chuck, cuts: inFace },
        locates: held ? { on: 'surface', id: held.id } : { on: 'stock' },
        ...{ overhangMm: 0, heldMm: held?.diameterMm ?? barMm, heldOn: held ? `on ${inSentence(held.name)}` : '' },
        ...{
          facesFirst: false,
          toLength: true,
          partsOff: false,
          zeroFace: `the ${chuck === 'near' ? 'zero' : 'far'} end, faced to length`,
        },
      }),
    ]);
  },
};
