import { MM_PER_INCH } from '../../terms/quantity';
import { NPT_DRILLS_IN, NPT_ROWS, PIPE_55, R_DRILLS_MM } from './pipe.data';

/** One number that a tapered pipe thread is known by, mm. */
export type PipeSize = readonly [words: string, mm: number];

/** Depth of a truncated NPT thread, in pitches (ASME B1.20.1, h). */
const NPT_DEPTH = 0.8;
const TAPER = 1 / 16;

/**
 * What a tapered pipe thread measures where it is gauged. NPT by its formulas: E0 = D - (0.05 D + 1.1) p at the small end, E1 = E0 +
 * L1/16 at the hand-tight plane, K0 = E0 - 0.8 p the minor at the small end; R by its table, in the gauge plane. Nothing is worked
 * from the pipe's outside by a parallel thread's form.
 *
 * @example 1/2 NPT: E0 0.75843, E1 0.77843, L1 0.320, K0 0.70129 in
 * @returns undefined for what is neither
 */
export function taperPipe(name: string): readonly PipeSize[] | undefined {
  const npt = NPT_ROWS.find(([size]) => name === `${size} NPT`);
  if (npt) {
    const [, tpi, outside, hand] = npt;
    const e0 = outside - (0.05 * outside + 1.1) / tpi;
    return (
      [
        ['Pitch diameter at the small end, E0', e0],
        ['Pitch diameter hand tight, E1', e0 + hand * TAPER],
        ['Hand tight engagement, L1', hand],
        ['Minor at the small end, K0', e0 - NPT_DEPTH / tpi],
      ] as const
    ).map(([words, inch]) => [words, inch * MM_PER_INCH]);
  }
  const r = PIPE_55.find(([size, , , gauge]) => gauge !== null && name === `R ${size}`);
  return (
    r && [
      ['Major in the gauge plane', r[2]],
      ['Small end to the gauge plane', r[3]!],
    ]
  );
}

/** Published straight drills of a tapered pipe thread, mm: without a taper reamer, and before one, null where none is published. */
export function taperDrillsMm(name: string): { readonly plainMm: number; readonly reamedMm: number | null } | undefined {
  const npt = NPT_DRILLS_IN[name.replace(/ NPT$/, '')];
  if (name.endsWith(' NPT') && npt) return { plainMm: npt[0] * MM_PER_INCH, reamedMm: npt[1] * MM_PER_INCH };
  const r = R_DRILLS_MM[name.replace(/^R /, '')];
  return name.startsWith('R ') && r ? { plainMm: r, reamedMm: null } : undefined;
}
