import { readFile } from 'node:fs/promises';
import type { SimulatedInstrument, TruePart } from '@iron-patch/core/evidence/simulated';

/** A hidden part and the instruments that it is measured with, as a file holds them. */
export interface GaugeFile {
  readonly part: TruePart;
  readonly instruments: readonly (SimulatedInstrument & { readonly id: string })[];
  /** Temperature of part and instruments, °C. */
  readonly partC: number;
  readonly instrumentC: number;
  /** Same seed, same readings. */
  readonly seed: number;
}

/**
 * Reads a gauge file.
 *
 * @throws with a sentence that names the file and what it lacks
 */
export async function readGaugeFile(path: string): Promise<GaugeFile> {
  let file: Partial<GaugeFile>;
  try {
    file = JSON.parse(await readFile(path, 'utf8')) as Partial<GaugeFile>;
  } catch (e) {
    throw new Error(`${path} cannot be read: ${(e as Error).message}`, { cause: e });
  }
  if (!file.part?.stretches?.length) throw new Error(`${path} holds no part with stretches.`);
  if (!file.instruments?.length) throw new Error(`${path} holds no instruments.`);
  return { partC: 20, instrumentC: 20, seed: 1, ...file } as GaugeFile;
}
