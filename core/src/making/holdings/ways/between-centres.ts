import { bad, good } from '../../../terms/outcome';
import { inSentence } from '../../../terms/words';
import type { PlacedSurface } from '../../part';
import type { SetUpDraft } from '../set-up';
import { turningSetUp } from '../turning';
import type { Work } from '../work';
import { gripOn, onBought } from './grip';
import type { HoldingWay } from './way';

/** Least length that a dog grips, mm. */
const DOG_MM = 12;

/** Where the dog sits first: at the end that nothing has to fit and nothing is asked of, then on the shorter one. */
function dogOn({ part, outside }: Work): PlacedSurface | null {
  const asked = (s: PlacedSurface): number =>
    s.fitsPlaceIds.length + part.features.filter((f) => f.kind === 'relation' && (f.on === s.id || f.to === s.id)).length;
  const ends = [outside[0]!, outside.at(-1)!].filter((s) => s.kind !== 'taper' && s.lengthMm >= DOG_MM);
  return ends.sort((p, q) => asked(p) - asked(q) || p.lengthMm - q.lengthMm)[0] ?? null;
}

/** Bores wait until the outside is done: they are bored in the chuck with the steady on a finished surface. */
function boring(work: Work, held: PlacedSurface | null): SetUpDraft[] {
  const bored = work.cuts.filter((c) => c.by === 'lathe' && c.side === 'inside');
  const of = (free: 'near' | 'far', cuts: typeof bored): SetUpDraft[] =>
    cuts.length
      ? [
          turningSetUp(work, {
            ...{ title: 'Bore', holding: 'four-jaw', locates: held ? { on: 'surface', id: held.id } : { on: 'stock' }, free, cuts },
            ...{ overhangMm: 0, heldMm: work.largestMm, heldOn: held ? `and a steady rest, dialled in on ${inSentence(held.name)}` : '' },
            ...{ zeroFace: `the ${free === 'near' ? 'zero' : 'far'} end`, facesFirst: false, toLength: false, partsOff: false },
          }),
        ]
      : [];
  const near = bored.filter((c) => c.from === 'near');
  return [
    ...of('near', near),
    ...of(
      'far',
      bored.filter((c) => !near.includes(c)),
    ),
  ];
}

/** All that must run true between the two centres, which stay in the part: turned end for end it comes back to the same axis. */
export const betweenCentres: HoldingWay = {
  name: 'Between centres',
  about: 'The axis is the two centres: taken out, turned end for end or put on another machine, it comes back to it.',
  cutsOff: false,
  plan: (work) => {
    const { outside, cuts, part, barMm, lengthMm } = work;
    if (outside.length < 2) return bad('one-surface', 'Its outside is one surface: the dog would leave a stretch that meets in a step.');
    if (part.bores.some((b) => b.through)) return bad('through', 'It is bored through and has no ends for centres: a mandrel holds it so.');
    const dog = dogOn(work);
    if (!dog) return bad('no-dog', 'Neither end is long and straight enough for a dog.');
    const atNear = dog.fromMm < 1e-9;
    const lathe = cuts.filter((c) => c.by === 'lathe' && c.side === 'outside' && !c.offAxis);
    const inFace = lathe.filter((c) => c.from !== 'either');
    const [rest, under] = [
      lathe.filter((c) => !inFace.includes(c) && c.on !== dog.id),
      lathe.filter((c) => !inFace.includes(c) && c.on === dog.id),
    ];
    const turned = {
      holding: 'centres',
      locates: { on: 'centres' },
      overhangMm: 0,
      heldMm: barMm,
      facesFirst: false,
      toLength: false,
      partsOff: false,
    } as const;
    return good([
      turningSetUp(work, {
        ...{
          title: 'Face to length, centre both ends',
          holding: 'three-jaw',
          locates: onBought(gripOn(work, [], 'near')),
          free: 'both',
          cuts: inFace,
        },
        ...{ overhangMm: Math.min(lengthMm, 3 * barMm), heldMm: barMm, heldOn: 'one end, then the other' },
        ...{ facesFirst: false, toLength: true, partsOff: false, centres: true, zeroFace: 'both ends, faced' },
      }),
      turningSetUp(work, {
        ...{
          ...turned,
          title: 'All that must run true',
          free: atNear ? 'far' : 'near',
          cuts: rest,
          heldOn: `dog on the stock of ${inSentence(dog.name)}`,
        },
        zeroFace: `the ${atNear ? 'far' : 'zero'} end`,
      }),
      turningSetUp(work, {
        ...{ ...turned, title: 'End for end', free: atNear ? 'near' : 'far', cuts: under },
        heldOn: `dog on ${inSentence(gripOn(work, rest, atNear ? 'far' : 'near')?.name ?? 'what is turned')}, copper under its screw`,
        zeroFace: `the ${atNear ? 'zero' : 'far'} end`,
      }),
      ...boring(work, gripOn(work, rest, 'near')),
    ]);
  },
};
