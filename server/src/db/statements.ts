/**
 * Splits a file of SQL into its named statements. A statement starts at a line `-- :name insertReading`.
 *
 * @param text the file
 * @param names every name that must be in it; a missing one is a bug and throws
 */
export function statements<N extends string>(text: string, names: readonly N[]): Record<N, string> {
  const found = Object.fromEntries(
    text
      .split(/^-- :name /m)
      .slice(1)
      .map((block) => {
        const end = block.indexOf('\n');
        return [block.slice(0, end).trim(), block.slice(end + 1).trim()];
      }),
  ) as Record<N, string>;
  for (const name of names) if (!found[name]) throw new Error(`The SQL file has no statement called ${name}.`);
  return found;
}
