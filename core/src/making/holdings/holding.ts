import type { Lathe, LatheHolding } from '../setups';

/** How work is held on a lathe. */
export type HoldingKind = LatheHolding['kind'] | 'mandrel';

interface Usual {
  readonly words: string;
  /** What of the lathe it takes, as its card lists it. */
  readonly needs: string;
  /** Full indicator movement after holding it again, mm. */
  readonly runOutMm: number;
  /** To change over, hold and true it, min. */
  readonly minutes: number;
}

/**
 * Run-outs as shops find them: a worn three-jaw 0.05 to 0.1, collet 0.02, four-jaw or faceplate dialled in 0.01, a steady set by indicator 0.02,
 * centres 0.005. The minutes are an estimate.
 */
export const HOLDINGS: Readonly<Record<HoldingKind, Usual>> = {
  'three-jaw': { words: 'three-jaw chuck', needs: 'three-jaw chuck', runOutMm: 0.08, minutes: 4 },
  'soft-jaws': { words: 'soft jaws, bored to the size', needs: 'soft jaws', runOutMm: 0.02, minutes: 15 },
  collet: { words: 'collet', needs: 'collet', runOutMm: 0.02, minutes: 5 },
  'four-jaw': { words: 'four-jaw chuck, dialled in', needs: 'four-jaw chuck', runOutMm: 0.01, minutes: 12 },
  centres: { words: 'between centres, with a dog', needs: 'centres', runOutMm: 0.005, minutes: 6 },
  faceplate: { words: 'clamped to the faceplate, dialled in', needs: 'faceplate', runOutMm: 0.01, minutes: 20 },
  steady: { words: 'chuck and fixed steady, set by indicator', needs: 'fixed steady', runOutMm: 0.02, minutes: 15 },
  mandrel: { words: 'on a mandrel between centres', needs: 'centres for a mandrel', runOutMm: 0.01, minutes: 8 },
};

/** What one chucking of the spindle leaves between two surfaces that are cut in it, mm: its bearings and slides. */
export const ONE_HOLDING_MM = 0.005;

/** What a holding runs out by on this lathe, and who says so. */
export function runOutOf(kind: HoldingKind, lathe: Pick<Lathe, 'holdings' | 'name'>): { readonly mm: number; readonly source: string } {
  const own = lathe.holdings?.find((h) => h.kind === kind)?.runOutMm ?? null;
  return own === null ? { mm: HOLDINGS[kind].runOutMm, source: 'usual' } : { mm: own, source: `record of ${lathe.name}` };
}

/** Why a lathe cannot hold it so; empty where it can. */
export const lacks = (kind: HoldingKind, lathe: Pick<Lathe, 'holdings' | 'name'>): string =>
  hasHolding(kind, lathe) ? '' : `${lathe.name} has no ${HOLDINGS[kind].needs} on its card.`;

/** Whether the lathe's card has it: one without a list of holdings has the usual ones, and a mandrel runs between centres. */
const hasHolding = (kind: HoldingKind, { holdings }: Pick<Lathe, 'holdings'>): boolean =>
  !holdings?.length ||
  (kind === 'soft-jaws'
    ? holdings.some((h) => h.kind === 'soft-jaws' || h.kind === 'three-jaw')
    : holdings.some((h) => h.kind === (kind === 'mandrel' ? 'centres' : kind)));
