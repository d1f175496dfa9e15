export { COMPOSITION, type Composition } from './composition.data';
export { besideWeld, weldReachMm } from './beside-weld';
export { hssMMin, MATERIALS, materialName, materialOf, UNKNOWN_MATERIAL, enduranceGuideMpa, type Material } from './material';
export { MATERIAL_SOURCE, type Family } from './physical.data';
export { coolantFor, WETTED_WORDS, type Coolant } from './coolant';
export { WETTED, type Wetted } from './coolant.data';
export { heatJM3K } from './heat';
