export {
  ORINGS,
  oringOf,
  oringsFor,
  glandOf,
  GLAND_RULES,
  MOST_FILL,
  BACK_UP_MPA,
  type Gland,
  type GlandKind,
  type GlandQuestion,
  type ORing,
} from './orings';
export { LIP_SEAL_SIZES, LIP_SEAL_SHAFT, lipSealsFor, type LipSeal } from './lip-seals';
export { LIP_SEAL_SOURCE, ORING_SOURCE } from './seals.data';
