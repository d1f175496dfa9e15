export { COMPOSITION, type Composition } from './composition.data';
export { besideWeld, weldReachMm } from './beside-weld';
export { MATERIALS, materialName, materialOf, UNKNOWN_MATERIAL, enduranceGuideMpa, type Material } from './material';
export { MATERIAL_SOURCE, type Family } from './physical.data';
