import { formatWithUnit, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import type { Held } from '../process';
import type { Lathe, LatheHolding } from '../setups';
import { bestFirst, type HoldWay } from './hold-way';
import { HOLDINGS, lacks, runOutOf } from './holding';
import { CHUCK_ONLY_RATIO, supportFor } from './overhang';

/** How a shaft that stays is held while some of its outside is turned again. */
export const TURNED_AGAIN_IDS = ['centres', 'jaws-centre', 'jaws-steady', 'jaws'] as const;
export type TurnedAgainId = (typeof TURNED_AGAIN_IDS)[number];
export type TurnedAgainChoice = HoldWay<TurnedAgainId>;

/** What is turned again; all as far as it was read, mm. */
export interface TurnedAgainWork {
  /** The smallest of what is turned. */
  readonly diameterMm: number;
  /** The thickest of the whole. */
  readonly thickestMm: number;
  readonly longMm: number;
  /** What stands out of jaws that leave all of it free: to the nearer end. */
  readonly overhangMm: number;
}

/** How it stands against the push of the tool, and how much of it may bend, mm; nothing where a steady goes along. */
export interface StandsAgain {
  readonly held: Held;
  readonly freeMm: number;
}

/** How a way holds it; null where a steady stands beside what is turned. */
export function standsAgain(id: TurnedAgainId, { longMm, overhangMm }: TurnedAgainWork): StandsAgain | null {
  if (id === 'centres') return { held: 'centres', freeMm: longMm };
  if (id === 'jaws-centre') return { held: 'chuck and centre', freeMm: longMm };
  return id === 'jaws' ? { held: 'chuck', freeMm: overhangMm } : null;
}

const DOG_CAUTION = 'The dog’s tail and the faceplate catch a sleeve: guard over it, nothing loose near it.';
const CENTRE_CAUTION = 'A centre that runs dry welds itself in: grease it, and look at it as the work warms and grows.';
const STEADY_CAUTION = 'A steady that is set while it turns pinches fingers: stop the spindle first.';
const JAW_CAUTION = 'No key left in the chuck; jaws within the body; swing it by hand past everything before the spindle starts.';

/**
 * Every way to hold what is turned again, the best first: what will do, then what runs truest, then what is set up sooner. Run-outs are those of the
 * lathe's card, else of shops as they are; minutes are an estimate.
 */
export function turnedAgainWays(work: TurnedAgainWork, lathe: Lathe | null, unit: LengthUnit): TurnedAgainChoice[] {
  const { diameterMm, thickestMm, longMm, overhangMm } = work;
  const runOut = (kind: LatheHolding['kind']): number => (lathe ? runOutOf(kind, lathe).mm : HOLDINGS[kind].runOutMm);
  const lacksAny = (...kinds: LatheHolding['kind'][]): string => {
    if (!lathe) return 'The shop has no lathe on record.';
    if (thickestMm > lathe.swingMm)
      return `It is ${placeWithUnit(thickestMm, unit)} thick, and ${lathe.name} swings ${placeWithUnit(lathe.swingMm, unit)}.`;
    return kinds.map((k) => lacks(k, lathe)).find(Boolean) ?? '';
  };
  const tooLong = (): string =>
    lathe && longMm > lathe.centresMm
      ? `It is ${placeWithUnit(longMm, unit)} long, and ${lathe.name} takes ${placeWithUnit(lathe.centresMm, unit)} between centres.`
      : '';
  const times = (mm: number): string => (mm / diameterMm).toFixed(1);
  const near = (mm: number): string => `within ${formatWithUnit(mm, unit)} of what it is dialled in on`;
  const ways: readonly (TurnedAgainChoice & { readonly runOutMm: number })[] = [
    {
      ...{ id: 'centres', name: 'Between its own centres', minutes: HOLDINGS.centres.minutes, runOutMm: runOut('centres') },
      hold: 'between its own centres, with a dog; centre holes cleaned and looked at, a sound place read with the indicator first',
      about: 'What it was turned and ground on, where the holes are unhurt. An indicator on a sound place says so.',
      gives: `within ${formatWithUnit(runOut('centres'), unit)} of its own centres`,
      cautions: [DOG_CAUTION, CENTRE_CAUTION],
      cannot: lacksAny('centres') || tooLong(),
    },
    {
      ...{
        id: 'jaws-centre',
        name: 'Four-jaw, its far end on a centre',
        minutes: HOLDINGS['four-jaw'].minutes,
        runOutMm: runOut('four-jaw'),
      },
      hold: 'four-jaw chuck on a sound place, copper under the jaws, dialled in; its far end on a centre that was looked at',
      about: 'Where one centre hole is hurt, or no dog goes on.',
      gives: near(runOut('four-jaw')),
      cautions: [JAW_CAUTION, CENTRE_CAUTION],
      cannot:
        lacksAny('four-jaw') ||
        tooLong() ||
        (supportFor(longMm, diameterMm) === 'steady' ? `It is ${times(longMm)} times as long as thick: a steady has to help.` : ''),
    },
    {
      ...{ id: 'jaws-steady', name: 'Four-jaw, a steady on a sound place', minutes: HOLDINGS.steady.minutes, runOutMm: runOut('steady') },
      hold: 'four-jaw chuck on a sound place, dialled in; fixed steady on a round and sound place beside what is turned, set by the indicator',
      about: 'An end without a centre, or one that is long for its thickness.',
      gives: near(runOut('steady')),
      cautions: [JAW_CAUTION, STEADY_CAUTION],
      cannot: lacksAny('four-jaw', 'steady'),
    },
    {
      ...{ id: 'jaws', name: 'Four-jaw, nothing at the far end', minutes: HOLDINGS['four-jaw'].minutes, runOutMm: runOut('four-jaw') },
      hold: 'four-jaw chuck on a sound place, copper under the jaws, dialled in; what goes through the spindle is kept from whipping',
      about: `What stands out no more than ${CHUCK_ONLY_RATIO} times its thickness.`,
      gives: near(runOut('four-jaw')),
      cautions: [JAW_CAUTION],
      cannot:
        lacksAny('four-jaw') ||
        (supportFor(overhangMm, diameterMm) === 'none'
          ? ''
          : `It stands out ${times(overhangMm)} times its thickness: a centre or a steady.`),
    },
  ];
  return bestFirst(ways, (w) => w.runOutMm);
}
