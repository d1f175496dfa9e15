/** Where work goes after turning: laid on the mill, stood on its end there, or turned about an axis beside its own. */
export const AFTER_IDS = ['lying', 'standing', 'beside'] as const;
export type AfterId = (typeof AFTER_IDS)[number];

/** How it is held there. */
export const AFTER_HOLD_IDS = [
  ...(['v-block', 'v-vise', 'dividing-head', 'notch-fixture'] as const),
  ...(['angle-plate', 'stood-in-v', 'rotary-table'] as const),
  ...(['beside-four-jaw', 'beside-packing', 'beside-faceplate', 'beside-centres'] as const),
] as const;
export type AfterHoldId = (typeof AFTER_HOLD_IDS)[number];
