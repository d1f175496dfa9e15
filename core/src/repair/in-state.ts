import type { FeatureFinding } from './feature-finding';

/** The place as it was last measured: after an act where it was read since, else as found. What is made has to fit this. */
export const asItIsNow = (f: FeatureFinding): FeatureFinding => f.after.findLast((a) => a.readings.length > 0) ?? f;

/** The place in one state of its part; as found where that state is not known of it. */
export const inState = (f: FeatureFinding, actId: string | null): FeatureFinding => f.after.find((a) => a.state.actId === actId) ?? f;

/**
 * The place in the state that somebody picked; where nobody did, in the one that the part is in: after the last act that changes sizes.
 *
 * @param picked id of an act, null for as found, undefined where nobody picked
 */
export const inHand = (f: FeatureFinding, picked?: string | null): FeatureFinding =>
  picked === undefined ? (f.after.findLast((a) => a.state.resizes) ?? f) : inState(f, picked);
