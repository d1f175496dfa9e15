import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './test-database';

const READER = join(ROOT, 'tools/pdf-text.mjs');

/** The text of each page of a PDF, read back by a reader that knows nothing of how it was written. */
export const textOfPdf = (pdf: Buffer): string[] =>
  JSON.parse(execFileSync(process.execPath, [READER], { input: pdf, encoding: 'utf8', stdio: ['pipe', 'pipe', 'ignore'] })) as string[];
