import { bad, good, type Outcome } from '../outcome';
import { parseNumber } from './parse-number';

/** With semicolons a comma is the decimal sign; else commas part the numbers; else spaces do, but not inside `1 3/16`. */
const separatorIn = (text: string): RegExp => (text.includes(';') ? /;/ : text.includes(',') ? /,/ : /\s+(?!\d+\s*\/)/);

/**
 * Several numbers as people type them: `5, 20, 35`, `5 20 35`, `4,5; 20`, `1/2, 1 3/16`.
 *
 * @returns the numbers in the order typed, at least one, or the first word that is none
 */
export function parseNumberList(text: string): Outcome<number[]> {
  const words = text
    .split(separatorIn(text))
    .map((w) => w.trim())
    .filter(Boolean);
  const numbers: number[] = [];
  for (const word of words) {
    const parsed = parseNumber(word);
    if (!parsed.ok) return bad('not-a-number', `"${word.slice(0, 20)}" is no number. Type them like 5, 20, 35.`);
    numbers.push(parsed.value.value);
  }
  return numbers.length ? good(numbers) : bad('empty', 'Type at least one number.');
}
