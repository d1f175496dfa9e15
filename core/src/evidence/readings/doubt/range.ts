import { INSTRUMENT_KINDS, type InstrumentKind, type Reads } from '../instruments.data';

interface Ranged {
  readonly kind: InstrumentKind;
  readonly rangeLowMm: number;
  readonly rangeHighMm: number;
}

/** Beyond the ends of its range an instrument still shows a little, as a share of the upper end. */
const OVERRUN_SHARE = 0.005;

/** Whether an instrument can show that number at all: a 0 to 1 in mic cannot show 1.575. */
export const outOfRange = (valueMm: number, i: Pick<Ranged, 'rangeLowMm' | 'rangeHighMm'>): boolean => {
  const overrun = OVERRUN_SHARE * i.rangeHighMm;
  return valueMm < i.rangeLowMm - overrun || valueMm > i.rangeHighMm + overrun;
};

/** Whether an instrument of that kind reads such a thing, and its range holds the size. */
export const readsIt = (i: Ranged, reads: Reads, sizeMm: number | null): boolean =>
  (INSTRUMENT_KINDS[i.kind].reads as readonly Reads[]).includes(reads) && (sizeMm === null || !outOfRange(sizeMm, i));
