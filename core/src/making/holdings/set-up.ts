import type { Act } from './act';
import type { AfterHoldId } from './after-hold-ids';
import type { AfterChoice } from './held-after';
import type { HoldingKind } from './holding';
import type { Support } from './overhang';

/** Which end of the part is free to the tool; `both` between centres. */
export type FreeEnd = 'near' | 'far' | 'both';

/** What the work is located on: raw stock, the two centres, or a surface that an earlier holding cut. */
export type Locates = { readonly on: 'stock' } | { readonly on: 'centres' } | { readonly on: 'surface'; readonly id: string };

/** One holding of the work and what is done in it, in words. */
export interface ToldSetUp {
  readonly number: number;
  readonly title: string;
  readonly hold: string;
  readonly zeroFace: string;
  /** Acts in their order, in words. */
  readonly operations: readonly string[];
  readonly cautions: readonly string[];
}

/** One holding of a turned part. */
export interface SetUp extends ToldSetUp {
  /** Of `operations`, with what each of them cuts. */
  readonly acts: readonly Act[];
  /** For the depth ladder: the zero face is the end farthest from the part's own zero. */
  readonly fromFarEnd: boolean;
  readonly partsOff: boolean;
  /** An end is faced to the length over all. */
  readonly toLength: boolean;
  readonly machine: 'lathe' | 'mill' | 'press' | 'bench';
  /** How it is held on the lathe; null at any other machine. */
  readonly holding: HoldingKind | null;
  /** What stands out of the holding, mm; 0 between centres. */
  readonly overhangMm: number;
  /** What helps it at the end that is not held. */
  readonly support: Support;
  readonly locates: Locates;
  /** Which end the tool reaches. */
  readonly free: FreeEnd;
  /** Ids of the surfaces and features that are cut in it, in the order of the acts. */
  readonly cuts: readonly string[];
  /** How else it could be held there, the best first, and how it is; null where that is the way's own. */
  readonly after: { readonly choices: readonly AfterChoice[]; readonly chosen: AfterHoldId } | null;
  /** To set it up once, min; the cutting comes on top. */
  readonly settingMin: number;
}

/** A set-up before it has its number. */
export type SetUpDraft = Omit<SetUp, 'number'>;

/** Acts and what follows from them: their words, and what is cut, in that order. */
export function doing(acts: readonly Act[], cuts: readonly string[]): Pick<SetUp, 'acts' | 'operations' | 'cuts'> {
  const inOrder = [...new Set(acts.flatMap((a) => a.cuts))].filter((id) => cuts.includes(id));
  return { acts, operations: acts.map((a) => a.words), cuts: [...inOrder, ...cuts.filter((id) => !inOrder.includes(id))] };
}
