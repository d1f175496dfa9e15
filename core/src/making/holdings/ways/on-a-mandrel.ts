import { bad, good } from '../../../terms/outcome';
import { inSentence } from '../../../terms/words';
import { turningSetUp } from '../turning';
import type { HoldingWay } from './way';

/** Bored first; then the whole outside is turned on a mandrel that fills the bore. */
export const onAMandrel: HoldingWay = {
  name: 'Bore, then on a mandrel',
  about: 'A bush whose outside must run true to its bore, or that is too thin for a chuck.',
  cutsOff: false,
  plan: (work) => {
    const { part, cuts, barMm, lengthMm } = work;
    const bore = part.bores.find((b) => b.through);
    const hole = bore?.surfaces.reduce((least, s) => (s.diameterMm < least.diameterMm ? s : least));
    if (!bore || !hole) return bad('not-through', 'It is not bored through.');
    if (hole.kind !== 'cylinder') return bad('taper-bore', 'Its bore is a taper: a plain mandrel does not hold in it.');
    const lathe = cuts.filter((c) => c.by === 'lathe' && !c.offAxis);
    const mouth = bore.from;
    const inside = lathe.filter((c) => c.side === 'inside' && (c.from === 'either' || c.from === mouth));
    const other = lathe.filter((c) => c.side === 'inside' && !inside.includes(c));
    if (other.length) return bad('two-mouths', 'It is bored from both ends: what is bored second would sit on the mandrel.');
    const outer = lathe.filter((c) => c.side === 'outside');
    return good([
      turningSetUp(work, {
        ...{ title: 'Face and bore', holding: 'three-jaw', locates: { on: 'stock' }, free: mouth, cuts: inside },
        ...{ overhangMm: lengthMm, heldMm: barMm, heldOn: 'on the stock', facesFirst: true, toLength: false, partsOff: false },
        zeroFace: `the ${mouth === 'near' ? 'zero' : 'far'} end`,
      }),
      turningSetUp(work, {
        ...{ title: 'Outside and both faces', holding: 'mandrel', locates: { on: 'surface', id: hole.id }, free: 'both', cuts: outer },
        ...{
          overhangMm: 0,
          heldMm: hole.diameterMm,
          heldOn: `in ${inSentence(hole.name)}`,
          facesFirst: false,
          toLength: true,
          partsOff: false,
        },
        zeroFace: 'the face at the tailstock',
      }),
    ]);
  },
};
