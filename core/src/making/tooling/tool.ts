/** What cuts, or finds an edge, as it hangs or lies in the crib; drills are told of by the set. */
export const TOOL_KINDS = [
  'turning',
  'boring',
  'parting',
  'threading',
  'end-mill',
  'cutter',
  'reamer',
  'tap',
  'die',
  'finder',
  'other',
] as const;
export type ToolKind = (typeof TOOL_KINDS)[number];

/** Kinds that cut a thread of one name. */
export const threadedKind = (kind: ToolKind): boolean => kind === 'tap' || kind === 'die';

export const TOOL_WORDS: Readonly<Record<ToolKind, string>> = {
  turning: 'Turning tool',
  boring: 'Boring bar',
  parting: 'Parting tool',
  threading: 'Threading tool',
  'end-mill': 'End mill',
  cutter: 'Milling cutter',
  reamer: 'Reamer',
  tap: 'Tap',
  die: 'Die',
  finder: 'Edge finder',
  other: 'Tool',
};

/** A tool of the crib. */
export interface CribTool {
  readonly id: string;
  readonly kind: ToolKind;
  /** What it cuts to or how wide it is, mm; null where its size says nothing, or it cuts a thread. */
  readonly sizeMm: number | null;
  /** The thread that a tap or die cuts, by its name in the book; empty for any other. */
  readonly thread: string;
  /** What else is told of it: grade, teeth, shank, carbide, where it hangs. */
  readonly note: string;
  readonly pieces: number;
  readonly version: number;
}
