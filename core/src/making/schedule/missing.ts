import { toUnit, type LengthUnit } from '../../terms/quantity';
import { hangingFor, TOOL_WORDS, type CribTool } from '../tooling';
import type { Schedule, ToolNeed } from './schedule';

/** A tool that a plan asks for and the crib has not. */
export interface MissingTool {
  /** Of the feature that it is for. */
  readonly id: string;
  readonly words: string;
}

function hangs(need: ToolNeed, crib: readonly CribTool[]): boolean {
  if ('atMostMm' in need) return crib.some((t) => t.kind === need.kind && t.sizeMm !== null && t.sizeMm <= need.atMostMm + 1e-9);
  return hangingFor(crib, need.kind, need).length > 0;
}

/** A tool's size as it is called: without noughts behind. */
const plain = (mm: number, unit: LengthUnit): string => `${Number(toUnit(mm, unit).toFixed(unit === 'mm' ? 2 : 4))} ${unit}`;

function needWords(need: ToolNeed, unit: LengthUnit): string {
  const name = TOOL_WORDS[need.kind];
  if ('thread' in need) return `${name} ${need.thread}`;
  return 'sizeMm' in need ? `${name}, ${plain(need.sizeMm, unit)}` : `${name} no wider than ${plain(need.atMostMm, unit)}`;
}

/** What has to be bought, ground or borrowed first. A crib where no tool of a kind is listed tells nothing of that kind: then none of it is missed. */
export const missingTools = (schedules: readonly Schedule[], crib: readonly CribTool[], unit: LengthUnit): MissingTool[] =>
  schedules.flatMap((s) =>
    s.tools
      .filter((need) => crib.some((t) => t.kind === need.kind) && !hangs(need, crib))
      .map((need) => ({ id: s.id, words: `${needWords(need, unit)}, for ${s.title}` })),
  );
