export { REFERENCE_TEMP_C, sizeAt20, temperatureUncertaintyMm, USUAL_TEMP_UNCERTAINTY_K, type Temperatures } from './temperature';
export { INSTRUMENT_KINDS, type InstrumentKind, type InstrumentKindRow } from './instruments.data';
export type { DiameterReading, Side } from './diameter-reading';
export { analyseSection, diameterAt, type Section } from './section';
export { fitTaper, type Taper } from './taper';
export { analyseShape, expand95, uncertaintyParts, type Shape, type UncertaintyParts } from './shape';
export { defaultClocks, defaultStations, FOUR_CLOCKS, nextSpot, plannedSpots, type Spot } from './measuring-plan';
export { doubtReading, PLAUSIBLE_SHARE, type Doubt } from './plausible';
export { suggestInstrument, type Suggestable } from './suggest-instrument';
