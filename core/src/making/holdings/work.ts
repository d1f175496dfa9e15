import { largestDiameterMm, partLengthMm, placeOutside, type Part, type PlacedSurface } from '../part';
import type { LengthUnit } from '../../terms/quantity';
import type { Lathe } from '../setups';
import { cutsOf, type Cut } from './cut';
import type { AfterHoldId } from './after-hold-ids';

/** What a way to hold it is planned from. */
export interface Work {
  readonly part: Part;
  readonly lathe: Lathe;
  readonly cuts: readonly Cut[];
  /** Outside from left to right. */
  readonly outside: readonly PlacedSurface[];
  readonly lengthMm: number;
  readonly largestMm: number;
  /** Ids of surfaces that stay as they were bought: nothing turns them, and they are there to be held on from the beginning. */
  readonly asBought: ReadonlySet<string>;
  /** The stock has a hole already, which is opened rather than drilled. */
  readonly hollow: boolean;
  /** Diameter of the stock, mm. */
  readonly barMm: number;
  /** How it is held after turning, as somebody said. */
  readonly afterHolds: readonly AfterHoldId[];
  /** In which lengths are told that stand in words. */
  readonly unit: LengthUnit;
}

/** What is settled of how it is held before a way is planned. */
interface Settled {
  readonly asBought?: ReadonlySet<string>;
  readonly afterHolds?: readonly AfterHoldId[] | undefined;
  readonly hollow?: boolean;
}

/** The part as it is to be held; it must be valid and turned. */
export function workOf(
  part: Part,
  lathe: Lathe,
  barMm: number,
  unit: LengthUnit,
  { asBought = new Set(), afterHolds = [], hollow = false }: Settled = {},
): Work {
  const outside = placeOutside(part);
  const largestMm = largestDiameterMm(part);
  return {
    part,
    lathe,
    cuts: cutsOf(part, unit).filter((c) => !asBought.has(c.id)),
    asBought,
    afterHolds,
    hollow,
    outside,
    lengthMm: partLengthMm(part),
    largestMm,
    barMm: Math.max(barMm, largestMm),
    unit,
  };
}
