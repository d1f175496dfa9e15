import { bad, good } from '../../../terms/outcome';
import { placeWithUnit } from '../../../terms/quantity';
import type { PlacedSurface } from '../../part';
import type { Cut } from '../cut';
import type { HoldingKind } from '../holding';
import { turningSetUp } from '../turning';
import type { Work } from '../work';
import { gripOn, onBought } from './grip';
import type { HoldingWay } from './way';

/** What is cut in the second holding sits true to the rest only in a good one; for a bare face copper under the jaws will do. */
function secondHolding({ lathe }: Work, held: PlacedSurface | null, cuts: readonly Cut[]): HoldingKind {
  if (!cuts.length) return 'three-jaw';
  const fits = (held?.diameterMm ?? 0) <= (lathe.spindleBoreMm ?? Infinity);
  return lathe.holdings?.some((h) => h.kind === 'collet') && fits ? 'collet' : 'soft-jaws';
}

/** How much of the diameter falls from one surface to the next on the way from the free end to the chuck, mm: a tool comes at it from behind. */
export function fallsMm(outside: readonly PlacedSurface[], free: 'near' | 'far'): number {
  const inwards = free === 'near' ? outside : [...outside].reverse();
  const [begins, ends] = free === 'near' ? (['leftMm', 'rightMm'] as const) : (['rightMm', 'leftMm'] as const);
  return inwards.slice(1).reduce((sum, s, i) => sum + Math.max(inwards[i]![ends] - s[begins], 0), 0);
}

const ZERO_FACES = {
  head: 'plain end, head towards the chuck',
  near: 'zero end, far end towards the chuck',
  far: 'far end, zero end towards the chuck',
} as const;

/**
 * Everything that can be reached in one holding of the bar, which is cut off last; then the end that was cut off.
 *
 * @param holding of the bar
 */
const allFromTheBar = (holding: 'three-jaw' | 'collet', name: string, about: string): HoldingWay => ({
  name,
  about,
  cutsOff: true,
  plan: (work) => {
    const { outside, cuts, barMm, lengthMm, lathe, unit } = work;
    if (holding === 'collet' && barMm > (lathe.spindleBoreMm ?? Infinity))
      return bad(
        'collet-too-small',
        `The bar is ${placeWithUnit(barMm, unit)} thick, too thick for a collet: the spindle takes ${placeWithUnit(lathe.spindleBoreMm ?? 0, unit)}.`,
      );
    const headLast = outside.at(-1)?.kind === 'head' && outside.length > 1;
    // The thicker end stays at the bar, so that shoulders face the tool.
    const free = headLast || fallsMm(outside, 'near') < fallsMm(outside, 'far') - 1e-9 ? 'near' : 'far';
    const chuck = free === 'near' ? 'far' : 'near';
    const turned = cuts.filter((c) => c.by === 'lathe' && !c.offAxis);
    const first = turned.filter((c) => c.from === free || c.from === 'either');
    const second = turned.filter((c) => !first.includes(c));
    const held = gripOn(work, first, chuck);
    const again = secondHolding(work, held, second);
    const bought = gripOn(work, [], chuck);
    return good([
      turningSetUp(work, {
        ...{ title: 'Turn complete from the bar', holding, locates: onBought(bought), free, cuts: first },
        ...{ overhangMm: lengthMm, heldMm: barMm, heldOn: '', facesFirst: true, toLength: false, partsOff: true },
        zeroFace: ZERO_FACES[headLast ? 'head' : free],
      }),
      turningSetUp(work, {
        ...{ title: 'Face the end that was cut off', holding: again, free: chuck, cuts: second },
        locates: held ? { on: 'surface', id: held.id } : { on: 'stock' },
        ...{ overhangMm: 0, heldMm: held?.diameterMm ?? barMm, heldOn: held ? `on ${held.name}` : '' },
        ...{ zeroFace: 'the end that was cut off', facesFirst: false, toLength: true, partsOff: false },
      }),
    ]);
  },
});

/** In the three-jaw chuck: any bar. */
export const fromTheBar = allFromTheBar(
  'three-jaw',
  'All from the bar, cut off last',
  'The bar is left long to hold on: what is turned in one holding runs true by itself.',
);

/** In a collet: what the bar keeps of its own size runs true to what is turned. */
export const fromACollet = allFromTheBar(
  'collet',
  'Bar in a collet, cut off last',
  'For bright or ground bar of a collet’s own size: no marks, and what stays of the bar runs true to what is turned.',
);
