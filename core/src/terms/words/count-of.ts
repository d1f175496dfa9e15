import { LANGUAGE } from './language';

const ORDER: readonly Intl.LDMLPluralRule[] = ['zero', 'one', 'two', 'few', 'many', 'other'];

/** A count with its noun in the right number. */
type Counted = (n: number, one: string, ...others: readonly string[]) => string;

/** How a language counts, by Unicode's rules (CLDR): its forms stand in the order zero, one, two, few, many, other, as far as it has them. */
export function countIn(language: string): Counted {
  const rules = new Intl.PluralRules(language);
  const categories = ORDER.filter((f) => rules.resolvedOptions().pluralCategories.includes(f));
  return (n, one, ...others) => {
    const forms = others.length ? [one, ...others] : [one, `${one}s`];
    return `${n} ${forms[categories.indexOf(rules.select(n))] ?? forms.at(-1)!}`;
  };
}

/**
 * A count with its noun: `1 bar`, `3 bars`; the plural has an s where it is left out.
 *
 * @param n the count, also a broken one
 */
export const countOf: Counted = countIn(LANGUAGE);
