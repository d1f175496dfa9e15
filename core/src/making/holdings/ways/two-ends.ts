import { bad, good } from '../../../terms/outcome';
import { placeWithUnit } from '../../../terms/quantity';
import { inSentence } from '../../../terms/words';
import type { Cut } from '../cut';
import type { HoldingKind } from '../holding';
import { turningSetUp } from '../turning';
import type { Work } from '../work';
import { gripOn, leastGripMm, onBought, onBoughtWords } from './grip';
import type { HoldingWay } from './way';

/** Up to which surface the first end is turned: past the largest, unless that is at the end itself. */
function sides({ outside }: Work): { readonly free: 'near' | 'far'; readonly first: ReadonlySet<string> } {
  const largest = outside.reduce((best, s, i) => (s.diameterMm > outside[best]!.diameterMm + 1e-9 ? i : best), 0);
  const last = outside.length - 1;
  const free = largest > last / 2 ? 'near' : 'far';
  const reached = outside.filter((_, i) =>
    free === 'near' ? (largest === last ? i < largest : i <= largest) : largest === 0 ? i > largest : i >= largest,
  );
  return { free, first: new Set(reached.map((s) => s.id)) };
}

/** One end, then turned round and held on what was turned: how true that is hangs on what holds it. */
export const twoEnds = (holding: HoldingKind, name: string, about: string): HoldingWay => ({
  name,
  about,
  cutsOff: false,
  plan: (work) => {
    const { outside, cuts, barMm, asBought } = work;
    if (outside.length < 2) return bad('one-surface', 'Its outside is one surface: turned from both ends it would show where they meet.');
    const { free, first } = sides(work);
    const other = free === 'near' ? 'far' : 'near';
    const lathe = cuts.filter((c) => c.by === 'lathe' && !c.offAxis);
    const isFirst = (c: Cut): boolean => (c.from === 'either' ? c.side === 'inside' || first.has(c.on) : c.from === free);
    const [one, two] = [lathe.filter(isFirst), lathe.filter((c) => !isFirst(c))];
    const held = gripOn(work, one, free);
    if (!held) return bad('nothing-to-hold', 'Nothing round is left to hold it on when it is turned round.');
    if (held.lengthMm < leastGripMm(held.diameterMm))
      return bad('short-grip', `${held.name} is only ${placeWithUnit(held.lengthMm, work.unit)} long: too short to hold it on.`);
    if (holding === 'collet' && held.diameterMm > (work.lathe.spindleBoreMm ?? Infinity))
      return bad(
        'collet-too-small',
        `${held.name} is too thick for a collet: the spindle takes ${placeWithUnit(work.lathe.spindleBoreMm ?? 0, work.unit)}.`,
      );
    // What stays as it was bought is in the chuck, or behind it.
    const standsOut = (atFirst: boolean): number =>
      outside.filter((s) => first.has(s.id) === atFirst && !asBought.has(s.id)).reduce((sum, s) => sum + s.lengthMm, 0);
    const bought = gripOn(work, [], other);
    return good([
      turningSetUp(work, {
        // Raw stock is held in any chuck; what stays as it was bought is worth as much care as what was turned.
        ...{ title: 'One end', holding: bought ? holding : 'three-jaw', locates: onBought(bought), free, cuts: one },
        ...{
          overhangMm: standsOut(true),
          heldMm: barMm,
          heldOn: onBoughtWords(bought),
          facesFirst: true,
          toLength: false,
          partsOff: false,
        },
        zeroFace: `the ${free === 'near' ? 'zero' : 'far'} end`,
      }),
      turningSetUp(work, {
        ...{ title: 'Turned round, the other end', holding, locates: { on: 'surface', id: held.id }, free: other, cuts: two },
        ...{ overhangMm: standsOut(false), heldMm: held.diameterMm, heldOn: `on ${inSentence(held.name)}` },
        ...{
          facesFirst: false,
          toLength: true,
          partsOff: false,
          zeroFace: `the ${other === 'near' ? 'zero' : 'far'} end, faced to length`,
        },
      }),
    ]);
  },
});
