import { LANGUAGE } from '../../terms/words';
import { toUnit, type LengthUnit } from '../../terms/quantity';
import { hangingFor, TOOL_WORDS, type CribTool } from '../tooling';
import type { Schedule, ToolNeed } from './schedule';

const LIST = new Intl.ListFormat(LANGUAGE, { style: 'long', type: 'conjunction' });

/** A tool that a plan asks for and the crib has not. */
export interface MissingTool {
  /** Of the features that it is for. */
  readonly ids: readonly string[];
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

/**
 * What has to be bought, ground or borrowed first, each once with all that it is for. A crib where no tool of a kind is listed tells nothing of that
 * kind: then none of it is missed.
 */
export function missingTools(schedules: readonly Schedule[], crib: readonly CribTool[], unit: LengthUnit): MissingTool[] {
  const wanted = new Map<string, Schedule[]>();
  for (const s of schedules)
    for (const need of s.tools) {
      if (!crib.some((t) => t.kind === need.kind) || hangs(need, crib)) continue;
      const words = needWords(need, unit);
      wanted.set(words, [...(wanted.get(words) ?? []), s]);
    }
  return [...wanted].map(([words, of]) => ({ ids: of.map((s) => s.id), words: `${words}, for ${LIST.format(of.map((s) => s.title))}` }));
}
