export { keySeats, chordHeightMm, isListedFor, keyDepthOverMm, type KeySeat } from './keyseat';
export { WOODRUFF, woodruffLimits, woodruffSeat, type Woodruff, type WoodruffSeat } from './woodruff';
export { B17_2_SEAT_DEEPER, DIN6885_ROWS, DIN6885_SOURCE, B17_1_ROWS, B17_1_SOURCE } from './keys.data';
export { keySeatLimits, keyZones, type KeySeatLimits, type KeyZone } from './zones';
