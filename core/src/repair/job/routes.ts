import { FINDINGS, ROUTES, type FindingId, type RouteId } from '../../evidence/diagnosis';
import type { JobSheet } from './records';
import { findings } from './strip-records';

/** Routes that people consider for what was found on a job, each once, in their usual order; none where nothing was found. */
export const routeIdsOf = (sheet: Pick<JobSheet, 'choices'>): readonly RouteId[] => [
  ...new Set(findings(sheet).flatMap((f) => FINDINGS[f.value.findingId as FindingId].routes)),
];

/** The same as people call them. */
export const routesOf = (sheet: Pick<JobSheet, 'choices'>): readonly string[] => routeIdsOf(sheet).map((id) => ROUTES[id].name);
