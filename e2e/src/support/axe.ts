import { readFileSync } from 'node:fs';
import type { Page } from './page';

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly impact: string;
  readonly nodes: { readonly html: string; readonly failureSummary: string }[];
}

/** What axe finds serious or critical on the page as it stands. */
export async function seriousProblems(page: Page): Promise<string[]> {
  // Once a page: where one is turned to without loading, it is still there.
  if (!(await page.run<boolean>('return "axe" in window'))) await page.run(AXE);
  const violations = await page.driver.executeAsyncScript<Violation[]>(
    `const done = arguments[arguments.length - 1];
     axe.run(document, { resultTypes: ['violations'], preload: false, runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'] }).then((r) => done(r.violations));`,
  );
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`);
}
