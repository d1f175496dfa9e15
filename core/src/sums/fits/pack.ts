import { toUnit, type LengthUnit } from '../../terms/quantity';

/** Some shims laid together. */
export interface Pack {
  readonly shimsMm: readonly number[];
  readonly totalMm: number;
}

const MOST_SHIMS = 8;
/** Packs nearer than this to each other's miss count as equal; then the one of fewer shims is better. */
const EQUAL_MM = 0.002;
const MOST_TRIED = 200_000;

/** `2 x 0.5 + 1 x 0.1`, in the reader's unit. */
export const packWords = ({ shimsMm }: Pick<Pack, 'shimsMm'>, unit: LengthUnit): string => {
  const counts = new Map<number, number>();
  for (const s of shimsMm) counts.set(s, (counts.get(s) ?? 0) + 1);
  return [...counts].map(([t, n]) => `${n} x ${Number(toUnit(t, unit).toFixed(4))}`).join(' + ');
};

/**
 * Packs of up to eight shims, each thickness as often as wanted, nearest to the target first and with fewest shims among equals.
 *
 * @param atHandMm thicknesses, mm
 */
export function packsFor(atHandMm: readonly number[], targetMm: number, how = 5): Pack[] {
  const sizes = [...new Set(atHandMm)].sort((a, b) => b - a);
  let best: { shims: number[]; total: number }[] = [];
  let tried = 0;
  const better = (a: { shims: number[]; total: number }, b: { shims: number[]; total: number }): number => {
    const [x, y] = [Math.abs(a.total - targetMm), Math.abs(b.total - targetMm)];
    return Math.abs(x - y) > EQUAL_MM ? x - y : a.shims.length - b.shims.length || x - y;
  };
  const keep = (shims: number[], total: number): void => {
    best.push({ shims: [...shims], total });
    if (best.length > 200) best = best.sort(better).slice(0, how);
  };
  const walk = (from: number, shims: number[], total: number): void => {
    if (shims.length) keep(shims, total);
    if (shims.length === MOST_SHIMS || total >= targetMm || ++tried > MOST_TRIED) return;
    for (let i = from; i < sizes.length; i++) walk(i, [...shims, sizes[i]!], total + sizes[i]!);
  };
  walk(0, [], 0);
  return best
    .sort(better)
    .slice(0, how)
    .map(({ shims, total }) => ({ shimsMm: shims, totalMm: total }));
}
