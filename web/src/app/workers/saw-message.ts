import type { BlankNeed, CuttingPlan, SawOptions, StockBar } from '@iron-patch/core';

/** What the worker is asked. */
export interface SawQuestion {
  readonly needs: readonly BlankNeed[];
  readonly bars: readonly StockBar[];
  readonly options: SawOptions;
}

/** What it tells on its way: how many ways it looked at, then the plan. */
export type SawMessage = { readonly kind: 'progress'; readonly ways: number } | { readonly kind: 'done'; readonly plan: CuttingPlan };
