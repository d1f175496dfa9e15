/** The calendar that a database and a file share, ms since 1970. */
const [FIRST, LAST] = [Date.parse('0001-01-01T00:00:00Z'), Date.parse('9999-12-31T23:59:59.999Z')];

/** A moment as ISO text in UTC; null where the text is none, or lies outside of the years 1 to 9999. */
export function keptTime(text: string): string | null {
  const at = Date.parse(text);
  return at >= FIRST && at <= LAST ? new Date(at).toISOString() : null;
}
