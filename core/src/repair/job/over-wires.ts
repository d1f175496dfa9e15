import { hostOf } from '../../making/part';
import { overWiresOf, pitchByWires } from '../../making/schedule';
import type { Outcome } from '../../terms/outcome';
import type { PartFinding } from './part-finding';
import type { Repair } from './repair';

/** How an outside thread is proved with three wires. */
export interface WiresAt {
  readonly bestWireMm: number;
  /** What it read over the best wires when it was cut, mm; null where nobody read it. */
  readonly atCutMm: number | null;
  /** Its pitch diameter, mm, by what it measures over such wires. */
  readonly pitch: (wireMm: number, overMm: number) => Outcome<number>;
}

/**
 * The wires for a dimension of a part; null for all but the pitch diameter of an outside thread that the book knows.
 *
 * @param key of the dimension
 */
export function wiresAt({ part }: PartFinding, { sizes }: Pick<Repair, 'sizes'>, key: string): WiresAt | null {
  const f = part.features.find((x) => `${x.id}.pitch-diameter` === key);
  const host = f?.kind === 'thread' ? hostOf(part, f.on) : null;
  const over = f?.kind === 'thread' && host ? overWiresOf(f, host) : null;
  if (f?.kind !== 'thread' || !host || !over) return null;
  return {
    bestWireMm: over.wireMm,
    atCutMm: sizes.find((s) => s.key === `${f.id}.over-wires`)?.nowMm ?? null,
    pitch: (wireMm, overMm) => pitchByWires(f, host, wireMm, overMm)!,
  };
}
