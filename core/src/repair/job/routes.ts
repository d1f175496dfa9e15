import { FINDINGS, type FindingId } from '../../evidence/diagnosis';
import type { JobSheet } from './records';
import { findings } from './strip-records';

/** Routes that people consider for what was found on a job, each once, in their usual order; none where nothing was found. */
export const routesOf = (sheet: Pick<JobSheet, 'choices'>): readonly string[] => [
  ...new Set(findings(sheet).flatMap((f) => FINDINGS[f.value.findingId as FindingId].routes)),
];
