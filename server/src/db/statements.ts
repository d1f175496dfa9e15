/**
 * Splits a file of SQL into its named statements. A statement starts at a line `-- :name insertReading`.
 *
 * @param text the file
 * @param names every name that must be in it; a missing one is a bug and throws
 * @param lists what stands in the file for `{{name}}`: lists of columns that are kept in one place; one that is not known throws
 */
export function statements<N extends string>(
  text: string,
  names: readonly N[],
  lists: Readonly<Record<string, string>> = {},
): Record<N, string> {
  const list = (_: string, name: string): string => {
    const said = lists[name];
    if (said === undefined) throw new Error(`Nothing says what {{${name}}} is in the SQL file.`);
    return said;
  };
  const found = Object.fromEntries(
    text
      .split(/^-- :name /m)
      .slice(1)
      .map((block) => {
        const end = block.indexOf('\n');
        return [
          block.slice(0, end).trim(),
          block
            .slice(end + 1)
            .trim()
            .replace(/\{\{(\w+)\}\}/g, list),
        ];
      }),
  ) as Record<N, string>;
  for (const name of names) if (!found[name]) throw new Error(`The SQL file has no statement called ${name}.`);
  return found;
}
