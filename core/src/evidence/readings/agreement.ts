import { commonMm, scatterMm, type DiameterReading } from './diameter-reading';
import { K95 } from './harmonics';

/** Readings of one spot by one instrument. */
export interface SideOfDispute {
  readonly instrumentId: string;
  readonly meanMm: number;
  readonly readings: number;
  readonly uMm: number;
}

/** Two instruments at the same spots that cannot both be right. */
export interface Dispute {
  readonly first: SideOfDispute;
  readonly second: SideOfDispute;
  readonly stationMm: number;
  readonly clockDeg: number;
  readonly differenceMm: number;
  /** What both together allow at 95 %, mm. */
  readonly allowedMm: number;
}

export interface InstrumentReading extends DiameterReading {
  readonly instrumentId: string;
}

const sideOf = (instrumentId: string, of: readonly InstrumentReading[]): SideOfDispute => ({
  instrumentId,
  meanMm: of.reduce((s, r) => s + r.valueMm, 0) / of.length,
  readings: of.length,
  uMm: Math.hypot(Math.max(...of.map(commonMm)), Math.max(...of.map(scatterMm)) / Math.sqrt(of.length)),
});

/**
 * Instruments that disagree by more than their uncertainties allow, each pair once, at its worst spot. A three-point head and a
 * two-point gauge measure different things on an oval and are not held against each other.
 */
export function disputes(readings: readonly InstrumentReading[]): Dispute[] {
  const spots = new Map<string, InstrumentReading[]>();
  for (const r of readings) {
    const key = `${Math.round(r.stationMm * 100)} ${Math.round((r.clockDeg % 180) * 100)} ${r.points}`;
    const there = spots.get(key);
    if (there) there.push(r);
    else spots.set(key, [r]);
  }
  const worst = new Map<string, Dispute>();
  for (const there of spots.values()) {
    const ids = [...new Set(there.map((r) => r.instrumentId))].sort();
    if (ids.length < 2) continue;
    const sides = ids.map((id) =>
      sideOf(
        id,
        there.filter((r) => r.instrumentId === id),
      ),
    );
    sides.forEach((first, i) =>
      sides.slice(i + 1).forEach((second) => {
        const differenceMm = Math.abs(first.meanMm - second.meanMm);
        const allowedMm = K95 * Math.hypot(first.uMm, second.uMm);
        const key = `${first.instrumentId}|${second.instrumentId}`;
        const { stationMm, clockDeg } = there[0]!;
        if (differenceMm > allowedMm && differenceMm > (worst.get(key)?.differenceMm ?? 0))
          worst.set(key, { first, second, stationMm, clockDeg, differenceMm, allowedMm });
      }),
    );
  }
  return [...worst.values()].sort((p, q) => q.differenceMm - p.differenceMm);
}
