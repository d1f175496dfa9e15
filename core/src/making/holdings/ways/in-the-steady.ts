import { bad, good } from '../../../terms/outcome';
import { inSentence } from '../../../terms/words';
import { CHUCK_ONLY_RATIO } from '../overhang';
import { turningSetUp } from '../turning';
import { gripOn, onBought, onBoughtWords } from './grip';
import type { HoldingWay } from './way';

/**
 * Long work with bores: the outside on a centre, then, still in the chuck, its end in the fixed steady, which leaves the mouth free for drill and bar;
 * what is bored from the other end is bored so, turned round.
 */
export const inTheSteady: HoldingWay = {
  name: 'Outside on a centre, bored in the steady',
  about: 'A tube or a long bush: a centre in its end would stand in the way of the boring bar.',
  cutsOff: true,
  alone: true,
  plan: (work) => {
    const { part, cuts, barMm, lengthMm } = work;
    if (!part.bores.length) return bad('not-bored', 'Nothing is bored: a centre holds its end.');
    if (lengthMm <= CHUCK_ONLY_RATIO * barMm) return bad('short', 'It is short enough to be bored in the chuck alone.');
    const lathe = cuts.filter((c) => c.by === 'lathe' && !c.offAxis);
    const free = part.bores.find((b) => b.through)?.from ?? part.bores[0]!.from;
    const chuck = free === 'near' ? 'far' : 'near';
    const outer = lathe.filter((c) => c.side === 'outside' && c.from !== chuck);
    const rest = lathe.filter((c) => !outer.includes(c));
    const bored = rest.filter((c) => c.side === 'inside' && c.from !== chuck);
    const other = rest.filter((c) => !bored.includes(c));
    const [atFree, atChuck] = [gripOn(work, outer, free), gripOn(work, outer, chuck)];
    if (!atFree || !atChuck) return bad('nothing-to-run-in', 'Nothing round and straight runs in the steady.');
    const turned = { facesFirst: false, toLength: false, partsOff: false, heldMm: barMm };
    const bought = gripOn(work, [], chuck);
    const zero = (end: 'near' | 'far'): string => `the ${end === 'near' ? 'zero' : 'far'} end`;
    return good([
      turningSetUp(work, {
        ...turned,
        ...{ title: 'Outside', holding: 'three-jaw', locates: onBought(bought), free, cuts: outer, overhangMm: lengthMm },
        ...{ heldOn: onBoughtWords(bought), facesFirst: true, zeroFace: zero(free) },
      }),
      turningSetUp(work, {
        ...turned,
        ...{ title: 'Bored in the steady', holding: 'steady', locates: { on: 'surface', id: atFree.id }, free, cuts: bored, overhangMm: 0 },
        ...{ heldOn: `still in the chuck, the steady on ${inSentence(atFree.name)}`, partsOff: true, zeroFace: zero(free) },
      }),
      turningSetUp(work, {
        ...turned,
        ...{ title: 'Turned round in the steady', holding: 'steady', locates: { on: 'surface', id: atChuck.id }, free: chuck, cuts: other },
        ...{ overhangMm: 0, heldOn: `the steady on ${inSentence(atChuck.name)}`, toLength: true, zeroFace: zero(chuck) },
      }),
    ]);
  },
};
