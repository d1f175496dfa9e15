const DELIMITERS = [',', ';', '\t'] as const;

/** What stands between the cells of a table: comma, semicolon or tab, whichever its first line has most of; spreadsheets write all of them. */
export function delimiterOf(csv: string): string {
  const header = csv.split('\n', 1)[0]!;
  const count = (d: string): number => header.split(d).length;
  return DELIMITERS.reduce<string>((best, d) => (count(d) > count(best) ? d : best), ',');
}
