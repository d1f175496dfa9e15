import { instrumentsFor, readsAt, readsIt, type InstrumentRecord, type LengthUnit, type Repair, type Shop } from '@iron-patch/core';
import type { LineTarget } from './spot';

/** Id of the instrument planned for a place, where that reads its size; else of what a machinist would reach for; empty in an empty crib. */
export function lineInstrument(target: LineTarget | null, repair: Repair | null, { instruments }: Shop, unit: LengthUnit): string {
  const reads = target && repair ? readsAt(repair, target).reads : 'outside';
  const size = reads === 'indicator' ? null : (target?.expectedMm ?? null);
  const planned = instruments.find((i) => i.id === target?.instrumentId);
  if (planned && readsIt(planned, reads, size)) return planned.id;
  const [suggested] = instrumentsFor(instruments, reads, size, unit);
  return (suggested ?? planned ?? instruments[0])?.id ?? '';
}

const plain = (name: string): string => name.split(',')[0]!.trim().toLowerCase();

/** The instrument that a gauge calls itself, without what it says behind a comma; undefined where the crib has none. */
export const instrumentCalled = (name: string, { instruments }: Shop): InstrumentRecord | undefined =>
  instruments.find((i) => plain(i.name) === plain(name));
