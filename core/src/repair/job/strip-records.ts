import type { Spot } from '../../evidence/readings';
import type { JobSheet } from './records';

/** How a component was found before it was undone. */
export interface StripChoice {
  /** Which way it faced, and match marks. */
  readonly faced: string;
  readonly shims: readonly { readonly side: string; readonly thicknessMm: number }[];
  readonly endPlayMm: number | null;
  readonly sidePlayMm: number | null;
  /** It had neither play nor shims that could be measured. */
  readonly noPlay: boolean;
  /** What had to be damaged to get it open. */
  readonly damaged: string;
}

export const SOFT_KINDS = ['o-ring', 'lip-seal', 'wiper', 'gasket', 'retaining-ring', 'split-pin', 'bolt', 'bearing', 'other'] as const;
export type SoftKind = (typeof SOFT_KINDS)[number];

/** A soft part or a fastener that is replaced whenever it was disturbed. */
export interface SoftPartChoice {
  readonly componentId: string | null;
  readonly what: SoftKind;
  /** As it is ordered. */
  readonly size: string;
  readonly count: number;
  readonly ordered: boolean;
  readonly removed: boolean;
}

/** A loose piece that must be accounted for before the thing is closed again. */
export interface FragmentChoice {
  readonly what: string;
  readonly where: string;
  /** How it was accounted for; empty while it is still loose. */
  readonly settled: string;
  readonly removed: boolean;
}

export interface EarlierRepairChoice {
  readonly componentId: string | null;
  readonly what: string;
  readonly judged: 'sound' | 'the fault' | 'not known';
  readonly removed: boolean;
}

export const ACT_KINDS = ['saw', 'cut-weld', 'drill-out', 'press-out', 'grind-off', 'bend', 'dress', 'bore', 'press-in', 'weld'] as const;
export type ActKind = (typeof ACT_KINDS)[number];

/** An act that destroys evidence. The part is another one after it: what is read then is kept apart from what was found. */
export interface ActChoice {
  readonly componentId: string;
  /** The one place of it that is changed; null or missing where all of them are. */
  readonly placeId?: string | null | undefined;
  readonly kind: ActKind;
  readonly where: string;
  readonly state: 'planned' | 'done';
  /** Why it goes ahead though something is not on record; empty while nobody said so. */
  readonly override: string;
  readonly removed: boolean;
}

/** Something of the catalogue found at a place. */
export interface FindingChoice {
  readonly findingId: string;
  readonly componentId: string;
  readonly placeId: string | null;
  /** Along the component, mm; null where it has no one place. */
  readonly atMm: number | null;
  readonly clockDeg: number | null;
  readonly words: string;
  readonly removed: boolean;
}

/** What is seen or tried of a place rather than measured in length. */
export interface SeenChoice {
  readonly surface: string;
  readonly hardness: number | null;
  readonly scale: 'HRC' | 'HB' | 'HV';
  /** Clockwise seen from the right end, °: from the top, or from the place that it is told from. */
  readonly clockDeg: number | null;
  readonly timedToPlaceId: string | null;
}

/** Which of two instruments that disagree is believed; the reason goes with the choice. */
export interface SettleChoice {
  readonly believed: string;
}

/** Planned spots that are passed over on purpose. */
export interface SkipChoice {
  readonly spots: readonly Spot[];
}

/** A choice that is one of many of its kind, with the id behind the colon of its key. */
export interface Item<T> {
  readonly id: string;
  readonly key: string;
  readonly value: T;
  readonly version: number;
}

/** The choices of a kind that were not taken off again, oldest first. */
export function itemsOf<T extends { readonly removed: boolean }>(sheet: Pick<JobSheet, 'choices'>, kind: string): Item<T>[] {
  const head = `${kind}:`;
  return sheet.choices
    .filter((c) => c.key.startsWith(head) && c.value !== null && !(c.value as T).removed)
    .map((c) => ({ id: c.key.slice(head.length), key: c.key, value: c.value as T, version: c.version }));
}

/** Soft parts and fasteners to replace, oldest first. */
export const softParts = (sheet: Pick<JobSheet, 'choices'>): Item<SoftPartChoice>[] => itemsOf(sheet, 'soft');
/** Loose pieces, oldest first. */
export const fragments = (sheet: Pick<JobSheet, 'choices'>): Item<FragmentChoice>[] => itemsOf(sheet, 'fragment');
/** Earlier repairs, oldest first. */
export const earlierRepairs = (sheet: Pick<JobSheet, 'choices'>): Item<EarlierRepairChoice>[] => itemsOf(sheet, 'earlier');
/** Acts that destroy evidence, in the order in which they were planned. */
export const acts = (sheet: Pick<JobSheet, 'choices'>): Item<ActChoice>[] => itemsOf(sheet, 'act');
/** What was found by the catalogue, oldest first. */
export const findings = (sheet: Pick<JobSheet, 'choices'>): Item<FindingChoice>[] => itemsOf(sheet, 'finding');

/** Pieces that nobody has accounted for yet. */
export const looseFragments = (sheet: Pick<JobSheet, 'choices'>): Item<FragmentChoice>[] =>
  fragments(sheet).filter((f) => f.value.settled.trim() === '');
