export { proofsOf } from './proof-queries';
export { mountProofs } from './proof-routes';
