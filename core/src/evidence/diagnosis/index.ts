export { FINDING_IDS, FINDINGS, type FindingId, type FindingRow } from './findings.data';
export { LASTS, LASTS_WORDS, ROUTE_IDS, ROUTES, type Lasts, type RouteId, type RouteRow } from './routes.data';
export { CAUSE_IDS, CAUSES, type CauseId, type CauseRow } from './causes.data';
export { diagnose, type Banded, type DiagnosisEvidence, type PairEvidence, type RankedCause } from './diagnose';
