export { partFromEvidence, type EvidenceDrawing } from './from-evidence';
export { comparedWith, type Compared } from './compared';
