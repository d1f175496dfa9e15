const RULES = new Intl.PluralRules('en');

/**
 * A count with its noun in the right number: `1 bar`, `3 bars`.
 *
 * @param many the word for any other number than one; the noun with an s where it is left out
 */
export function countOf(n: number, one: string, many = `${one}s`): string {
  return `${n} ${RULES.select(n) === 'one' ? one : many}`;
}
