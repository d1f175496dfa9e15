import type { PlaceFinding } from './place-finding';

/** The place as it was last measured: after an act where it was read since, else as found. What is made has to fit this. */
export const asItIsNow = (f: PlaceFinding): PlaceFinding => f.after.findLast((a) => a.readings.length > 0) ?? f;

/** The place in one state of its part; as found where that state is not known of it. */
export const inState = (f: PlaceFinding, actId: string | null): PlaceFinding => f.after.find((a) => a.state.actId === actId) ?? f;

/**
 * The place in the state that somebody picked; where nobody did, in the one that the part is in: after the last act that changes sizes.
 *
 * @param picked id of an act, null for as found, undefined where nobody picked
 */
export const inHand = (f: PlaceFinding, picked?: string | null): PlaceFinding =>
  picked === undefined ? (f.after.findLast((a) => a.state.resizes) ?? f) : inState(f, picked);
