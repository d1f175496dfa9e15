import type { CribTool } from '../making/tooling';
import type { DrillSet } from '../book/drills';
import type { HouseRule } from '../book/fits';
import type { Outcome } from '../terms/outcome';
import type { LengthUnit } from '../terms/quantity';
import type { Lathe } from '../making/setups';
import type { Bar } from '../making/stock';
import type { Figure } from '../terms/working';
import type { SumField } from './sum-field';
import type { SumValues } from './values';

/** How a mark of a picture is drawn: the part, its mate, a tool, hidden or centre lines. */
export type MarkStyle = 'part' | 'mate' | 'tool' | 'hidden' | 'centre';

/** One mark of the small picture, mm, x to the right and y up. Data, not markup: the screen scales and draws it. */
export type Mark =
  | { readonly kind: 'circle'; readonly x: number; readonly y: number; readonly r: number; readonly style: MarkStyle }
  | { readonly kind: 'line'; readonly points: readonly (readonly [number, number])[]; readonly closed?: true; readonly style: MarkStyle }
  | { readonly kind: 'size'; readonly from: readonly [number, number]; readonly to: readonly [number, number]; readonly text: string };

/** A small table of a result: readings, drills, passes. Numbers are lengths in mm, strings stand as they are. */
export interface SumTable {
  readonly title: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
  /** Its rows can be chosen: the whole-number field that holds the row's number, from 1, and the row that is worked above. */
  readonly chosen?: { readonly field: string; readonly row: number };
}

/** What a calculation says. The answer is a name where there is one, else the first figure; the others stand beside it. */
export interface SumResult {
  /** An answer in words: which thread it is, which drill to take. */
  readonly answer?: { readonly label: string; readonly text: string };
  readonly figures: readonly Figure[];
  readonly tables?: readonly SumTable[];
  /** What to mind, in order. */
  readonly words?: readonly string[];
  /** What can hurt somebody. */
  readonly caution?: string;
  /** Of the book: what the metal that was told is taken for, where strength counts. */
  readonly materialId?: string;
  readonly picture: readonly Mark[];
}

/** What the shop lends to a calculation. */
export interface SumShop {
  readonly houseRules: readonly HouseRule[];
  readonly lathes: readonly Lathe[];
  readonly rack: readonly Bar[];
  /** Drills that hang in the crib: they are offered first. */
  readonly drillSets: readonly DrillSet[];
  /** Reamers, taps and dies that hang there. */
  readonly tools: readonly CribTool[];
}

/** A bench calculation. */
export interface Sum {
  readonly id: string;
  readonly title: string;
  /** The words that find it, besides its title. */
  readonly about: string;
  readonly group: 'Sizes and fits' | 'Threads' | 'Keys, rings, seals' | 'Setting out' | 'Cutting' | 'Stock and strength';
  readonly fields: (shop: SumShop) => readonly SumField[];
  readonly work: (values: SumValues, shop: SumShop, unit: LengthUnit) => Outcome<SumResult>;
}
