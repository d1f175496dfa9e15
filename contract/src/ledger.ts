import type { LedgerSize } from '@iron-patch/core';

/** A job that was handed back, or one of an old list, as the ledger has it. */
export interface LedgerRow {
  /** Null for one of an old list: there is no sheet of it. */
  readonly jobId: string | null;
  /** As the list has it where it is of one; empty where that says none. */
  readonly number: string;
  readonly title: string;
  readonly customerName: string;
  readonly machine: string;
  /** Day of the shop's calendar; null where an old list does not say it. */
  readonly returnedOn: string | null;
  /** Handed over as not to be used yet. */
  readonly notPassed: boolean;
  readonly cause: string;
  readonly route: string;
  readonly lesson: string;
  /** Sizes of it that are the one that was looked for. */
  readonly sizes: readonly LedgerSize[];
  /** Jobs in which it came back. */
  readonly cameBack: readonly { readonly jobId: string; readonly number: number }[];
}

/** How often something stands in the ledger, and how often it came back. */
export interface LedgerCount {
  readonly id: string;
  readonly jobs: number;
  readonly cameBack: number;
}

/** The ledger as far as it was asked for. */
export interface LedgerPage {
  readonly rows: readonly LedgerRow[];
  /** How many have the words that were looked for. */
  readonly found: number;
}

/** What all that was handed back comes to. */
export interface LedgerSums {
  /** By root cause of the list, most first; those without one under an empty id. */
  readonly causes: readonly LedgerCount[];
  /** By what was done, as the chosen route is called; those without one under an empty id. */
  readonly routes: readonly LedgerCount[];
  /** Of those that had a day promised. */
  readonly promised: { readonly kept: number; readonly late: number };
}

/** So many rows at first, and at most; longest question, and the most words of it that are looked at. */
export const LEDGER = { first: 30, most: 300, length: 120, words: 8 } as const;
