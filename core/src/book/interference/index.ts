export {
  press,
  boreBeforePressing,
  pressurePerMm,
  type PressFit,
  type PressMaterial,
  type PressResult,
  type StressJudgement,
} from './press';
export { shrinkWays, coldAlphaPerK, HEAT_LIMIT_C, type ColdBath, type Heated, type ShrinkQuestion, type ShrinkWay } from './shrink';
export { pressLayers, type Layer, type LayersResult } from './layers';
export { hoopAtBore, trescaInside, type Elastic, type Ring } from './elastic';
