import { largestDiameterMm, partLengthMm, placeOutside, type Part, type PlacedSurface } from '../part';
import type { LengthUnit } from '../../terms/quantity';
import type { Lathe } from '../setups';
import { cutsOf, type Cut } from './cut';

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
  /** Diameter of the stock, mm. */
  readonly barMm: number;
  /** In which lengths are told that stand in words. */
  readonly unit: LengthUnit;
}

const NOTHING: ReadonlySet<string> = new Set();

/** The part as it is to be held; it must be valid and turned. */
export function workOf(part: Part, lathe: Lathe, barMm: number, unit: LengthUnit, asBought: ReadonlySet<string> = NOTHING): Work {
  const outside = placeOutside(part);
  const largestMm = largestDiameterMm(part);
  return {
    part,
    lathe,
    cuts: cutsOf(part, unit).filter((c) => !asBought.has(c.id)),
    asBought,
    outside,
    lengthMm: partLengthMm(part),
    largestMm,
    barMm: Math.max(barMm, largestMm),
    unit,
  };
}
