/** Whole money of the smallest coin; null for none said. */
export const toWhole = (minor: number | null): number | null => (minor === null ? null : minor / 100);
/** The smallest coin of whole money as typed: null for none said, NaN for what cannot be read. */
export const fromWhole = (whole: number | null): number | null => (whole === null ? null : Math.round(whole * 100));
