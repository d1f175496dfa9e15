import type { Worktime } from './worktime';

/** An act that is to be put in order. Times are in min from a common beginning; people, machines and acts go by their place in their lists. */
export interface OrderAct {
  readonly job: number;
  /** Minutes of hands, without setting up. */
  readonly handsMin: number;
  /** Setting up; none where the machine did an act of the same set-up just before. */
  readonly setupMin: number;
  /** What it is set up for; empty where nothing is kept from one to the next. */
  readonly setup: string;
  /** What runs by itself after the hands: a saw, a cure. The machine is kept, nobody is. */
  readonly aloneMin: number;
  /** Machines that it can be done on; none where it needs none. */
  readonly machines: readonly number[];
  /** Who can do it; nobody where it is waited for. */
  readonly people: readonly number[];
  /** Acts that have to be done before. */
  readonly after: readonly number[];
  readonly notBefore: number;
  /** Somebody said that it begins at `notBefore`, on its one machine and by its one person: whoever puts it later pays for it. */
  readonly pinned: boolean;
}

export interface OrderJob {
  /** When it has to be done; Infinity where nothing was promised. */
  readonly due: number;
  /** How much its lateness weighs: 1 as usual. */
  readonly weight: number;
}

/** What is to be put in order. */
export interface OrderProblem {
  readonly acts: readonly OrderAct[];
  readonly jobs: readonly OrderJob[];
  /** When each machine is free. */
  readonly machines: readonly { readonly freeFrom: number }[];
  /** When each person works; null for somebody who always does. */
  readonly people: readonly { readonly work: Worktime | null }[];
  /** Nothing begins before. */
  readonly now: number;
  readonly cost: OrderCost;
}

/** What an order costs: all of it in min, by these weights. */
export interface OrderCost {
  /** A minute that a job of weight 1 is late. */
  readonly late: number;
  /** A minute until a job of weight 1 is done. */
  readonly flow: number;
  /** A minute until everything is done. */
  readonly span: number;
  /** A minute that a pinned act begins after its time. */
  readonly pin: number;
}

/** A shop's: a promise weighs most, then that things get done. */
export const SHOP_COST: OrderCost = { late: 1, flow: 0.02, span: 0.02, pin: 5 };
/** Of the classical job shop: the time until everything is done. */
export const SPAN_COST: OrderCost = { late: 0, flow: 0, span: 1, pin: 0 };

/** An order: acts in the sequence in which they take their machine and person; every act once, none before one that it waits for. */
export interface Order {
  readonly sequence: readonly number[];
  /** Of each act; -1 for none. */
  readonly machine: readonly number[];
  readonly person: readonly number[];
}
