import { type Limits } from '../../evidence/proof';
import type { Side } from '../../evidence/readings';
import type { Part } from '../../making/part';
import { crossTurns, toTurns, turnsWords } from '../../making/setups';
import type { Figure } from '../../terms/working';
import type { PlanFinding, PlannedSetUp } from './plan-finding';
import type { ProofFinding } from './proof-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';
import type { Trial } from './tried';

/** What it is with a size that is being cut: not read yet, metal still to go, inside, too near a limit to tell, past its far limit. */
export type SizeCutState = 'not-read' | 'go-on' | 'in' | 'close' | 'beyond';

/** Which slide makes it: along the part, or across it. */
export type Slide = 'along' | 'across';

/** A move as the dial of its slide counts it; on the mill the table's, and nothing for a depth, which the knee or the quill makes. */
export function dialWords(moveMm: number, slide: Slide, { dial, setUp }: PlannedSetUp, { lathe }: PlanFinding): string {
  if (slide === 'across')
    return setUp.machine === 'lathe' ? `${turnsWords(crossTurns(2 * moveMm, lathe), lathe.cross)} ${lathe.cross.unit}` : '';
  return dial ? `${turnsWords(toTurns(moveMm, dial), dial)} ${dial.unit}` : '';
}

/** A size to be cut to, and what a slide does for it. */
export interface Asked {
  readonly key: string;
  readonly name: string;
  readonly side: Side;
  readonly grows: boolean;
  readonly limits: Limits;
  readonly wanted: Figure;
  /** How far the slide goes for so much of the size, mm. */
  readonly moveFor: (lackMm: number) => number;
  readonly dialFor: (moveMm: number) => string;
  readonly wordsFor: (moveMm: number) => string;
  readonly due: boolean;
  /** Where it lies, not how large it is: it is moved, either way, before it is cut to its full size. */
  readonly placed?: true;
  readonly ofThread?: true;
}

/** What all sizes are worked out from. */
export interface At {
  readonly plan: PlanFinding;
  readonly part: Part;
  readonly live: readonly ReadingRecord[];
  readonly proofs: readonly ProofFinding[];
  readonly trials: readonly Trial[];
  readonly sheet: JobSheet;
  readonly shop: Shop;
}
