import { MM_PER_INCH } from '../quantity';
import { NPT_ROWS, PIPE_55 } from './pipe.data';

/** What a tapered pipe thread measures where it is gauged. */
export interface TaperPipe {
  /** Pitch diameter at the small end (NPT), or major in the gauge plane (R), mm. */
  readonly gaugedMm: number;
  /** From the small end to the gauge plane: hand-tight engagement, mm. */
  readonly handTightMm: number;
  readonly words: string;
}

/** NPT by its formulas: E0 = D - (0.05 D + 1.1) p; R by its table; undefined for what is neither. */
export function taperPipe(name: string): TaperPipe | undefined {
  const npt = NPT_ROWS.find(([size]) => name === `${size} NPT`);
  if (npt) {
    const [, tpi, outside, hand] = npt;
    const e0 = outside - (0.05 * outside + 1.1) / tpi;
    return { gaugedMm: e0 * MM_PER_INCH, handTightMm: hand * MM_PER_INCH, words: 'pitch diameter at the small end' };
  }
  const r = PIPE_55.find(([size, , , gauge]) => gauge !== null && name === `R ${size}`);
  return r ? { gaugedMm: r[2], handTightMm: r[3]!, words: 'major diameter in the gauge plane' } : undefined;
}
