export { featureById, features, featuresOf } from './feature-queries';
