export {
  ORINGS,
  oringOf,
  oringsFor,
  glandOf,
  mostGapMm,
  type Gland,
  type GlandKind,
  type GlandQuestion,
  type ORing,
  type RingHardness,
} from './orings';
export { LIP_SEAL_SIZES, LIP_SEAL_SHAFT, type LipSeal } from './lip-seals';
export {
  GAP_SOURCE,
  LIP_SEAL_INCH_SOURCE,
  LIP_SEAL_SOURCE,
  ORING_METRIC_SOURCE,
  ORING_PORT_METRIC_SOURCE,
  ORING_PORT_SOURCE,
  ORING_SOURCE,
} from './seals.data';
