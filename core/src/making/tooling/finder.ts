import { MM_PER_INCH, type LengthUnit } from '../../terms/quantity';
import type { CribTool } from './tool';

/** Tip of an ordinary edge finder, mm, by what the job is measured in. */
const USUAL_MM: Readonly<Record<LengthUnit, number>> = { mm: 10, in: 0.2 * MM_PER_INCH };

/** The edge finder that edges are found with. */
export interface Finder {
  /** Diameter of its tip, mm. */
  readonly mm: number;
  readonly how: string;
}

/** The edge finder of the crib, else an ordinary one. */
export function finderOf(tools: readonly Pick<CribTool, 'kind' | 'sizeMm'>[], unit: LengthUnit): Finder {
  const own = tools.find((t) => t.kind === 'finder' && t.sizeMm !== null);
  return own
    ? { mm: own.sizeMm!, how: 'the edge finder of the crib' }
    : { mm: USUAL_MM[unit], how: 'an ordinary edge finder: none is in the crib' };
}
