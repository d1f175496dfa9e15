export { MATERIALS, materialOf, enduranceGuideMpa, type Material } from './material';
export { MATERIAL_SOURCE, type Family } from './physical.data';
