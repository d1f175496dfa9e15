import type { Help, PlacedAct, ReadyChances, RunJob, ShopOrderInputs } from '@iron-patch/core/repair/order';

/** What the worker is asked: all of the shop but its clock, which it makes itself. */
export interface OrderQuestion {
  readonly inputs: Omit<ShopOrderInputs, 'momentOf'>;
  readonly zone: string;
  /** How long it may look; 0 where only what would help is asked for. */
  readonly forMs: number;
  /** A job as it would be by each of its ways: when it would be ready is all that is asked for. */
  readonly ifChosen?: readonly { readonly wayId: string; readonly job: RunJob }[];
}

/** What it tells on its way, and in the end. */
export type OrderMessage =
  | { readonly kind: 'progress'; readonly share: number }
  /** An order, and whether it is better than the one that is in force. */
  | { readonly kind: 'order'; readonly placed: readonly PlacedAct[]; readonly better: boolean }
  | { readonly kind: 'ready'; readonly wayId: string; readonly ready: ReadyChances }
  | { readonly kind: 'helps'; readonly helps: readonly Help[] };
