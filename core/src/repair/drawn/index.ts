export { strengthFinding, type StrengthFinding, type StrengthRow } from './strength-finding';
export { partFromEvidence, type EvidenceDrawing } from './from-evidence';
export { comparedWith, type Compared } from './compared';
export { notAsWeak, soundsLikeGivingWay } from './gives-way';
export { keptAlive } from './kept-alive';
export { readAcrossMm, readLengthMm } from './read-length';
