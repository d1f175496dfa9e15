/**
 * Whether a text has every typed word somewhere in it, in any order and case; every text has, where nothing is typed.
 *
 * @returns asked once a text, so that what is typed is taken apart once
 */
export function havingWords(typed: string): (text: string) => boolean {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return (text) => {
    const lower = text.toLowerCase();
    return words.every((w) => lower.includes(w));
  };
}
