import { keeper } from '../../terms/kept';
import type { InstrumentRecord, ReadingRecord, Shop } from './records';

interface Known {
  readonly byId: ReadonlyMap<string, InstrumentRecord>;
  /** Checks of each instrument, oldest first. */
  readonly checks: ReadonlyMap<string, readonly { readonly at: string; readonly biasMm: number }[]>;
}

// A shop is one frozen answer of the server: its look-up tables live as long as it does.
const keepKnown = keeper<Shop, Known>();
const known = (shop: Shop): Known => keepKnown(shop, [], () => tablesOf(shop));

function tablesOf(shop: Shop): Known {
  const checks = new Map<string, { at: string; biasMm: number }[]>();
  for (const c of [...shop.instrumentChecks].sort((p, q) => p.at.localeCompare(q.at))) {
    const list = checks.get(c.instrumentId) ?? [];
    list.push({ at: c.at, biasMm: c.readMm - c.referenceMm });
    checks.set(c.instrumentId, list);
  }
  return { byId: new Map(shop.instruments.map((i) => [i.id, i])), checks };
}

/** The instrument of that id; undefined where the crib has none. */
export const instrumentOf = (shop: Shop, id: string): InstrumentRecord | undefined => known(shop).byId.get(id);

/** What the instrument read too big at that time, mm: by the newest check before it, else by its calibration record. */
export function biasAtMm(shop: Shop, instrumentId: string, at: string): number {
  const before = known(shop)
    .checks.get(instrumentId)
    ?.findLast((c) => c.at <= at);
  return before?.biasMm ?? instrumentOf(shop, instrumentId)?.biasMm ?? 0;
}

/** What to say of a reading by an instrument that was overdue for calibration on that day; null when it was not. */
export function overdueFlag(shop: Shop, r: Pick<ReadingRecord, 'instrumentId' | 'takenAt'>): string | null {
  const instrument = instrumentOf(shop, r.instrumentId);
  if (!instrument?.dueOn || r.takenAt.slice(0, 10) <= instrument.dueOn) return null;
  return `${instrument.name} was overdue for calibration since ${instrument.dueOn}`;
}
