/**
 * A name that somebody gave, inside a sentence: `Barrel bore` is `barrel bore` there, while `Seat DE`, `M12 thread` and `Ines’s pin` stay as
 * they were written, for a capital or a figure anywhere but at the head says that the writing means something.
 */
export function inSentence(name: string): string {
  const [first = '', ...rest] = name;
  const plain = rest.every((c) => c === c.toLowerCase()) && !/\d|['’]s\b/.test(name);
  return plain ? first.toLowerCase() + rest.join('') : name;
}
