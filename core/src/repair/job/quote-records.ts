import type { IsoDay } from '../../terms/calendar';

/** A way to put it right as a customer reads it: frozen when the quote is made. */
export interface QuotedWay {
  /** Id of the route that was weighed. */
  readonly id: string;
  readonly name: string;
  /** With tax, in the smallest coin, and the span of eight in ten; null where the shop has not said what an hour costs. */
  readonly priceMinor: number | null;
  readonly lowMinor: number | null;
  readonly highMinor: number | null;
  /** What is not in the price as nobody knows it yet. */
  readonly unpriced: readonly string[];
  readonly lasts: string;
  readonly risk: string;
  /** Who else has to decide, or does it; empty where it is the shop's own. */
  readonly decides: string;
  readonly readyBy: IsoDay;
  /** The chance of it when the quote was made, 0 to 1: for the shop alone. Null where nobody looked at the run order; absent in old quotes. */
  readonly readyChance?: number | null;
}

/** Exactly what a customer is shown. It never changes. */
export interface QuoteCard {
  readonly shop: string;
  readonly currency: string;
  readonly jobNumber: number;
  readonly title: string;
  readonly machine: string;
  readonly customer: string;
  readonly complaint: string;
  /** Why it wore or broke; empty where it is not on record. */
  readonly cause: string;
  readonly madeOn: IsoDay;
  readonly validUntil: IsoDay;
  readonly ways: readonly QuotedWay[];
  readonly words: string;
  readonly notIncluded: string;
  /** Nothing is done beyond it without asking; null where nothing is said. */
  readonly stopAtMinor: number | null;
  readonly cautions: readonly string[];
  readonly photoIds: readonly string[];
}

/** What the customer said: which way, or that none of them is wanted. */
export interface QuoteAnswer {
  readonly wayId: string | null;
  readonly name: string;
  readonly note: string;
  readonly at: string;
}

/** A quote with what became of it. */
export interface QuoteRecord {
  readonly id: string;
  readonly jobId: string;
  /** 1, 2, 3 on its job; the second after a yes is for what was found later. */
  readonly number: number;
  readonly card: QuoteCard;
  readonly personId: string;
  readonly at: string;
  readonly withdrawn: { readonly why: string; readonly personId: string; readonly at: string } | null;
  readonly answer: QuoteAnswer | null;
  readonly questions: readonly { readonly name: string; readonly text: string; readonly at: string }[];
}
