/** A word that somebody reads: letters, two of them small. `M12`, `h6` and `IT7` are the same in every language. */
const WORD = /\p{L}*\p{Ll}{2}/u;
/** What goes to a machine: statements, columns, paths, styles, drawing elements, headers, media types, patterns, attributes. */
const TECHNICAL = [
  /^\s*(select|insert|update|delete|with|create|lock|notify|set|begin|commit|rollback)\s[\s\S]*\b(from|into|set|table|values|transaction|config|as)\b/i,
  /^\s*(case when|to_char\(|begin isolation)|^\{1\} as "/,
  /^(event|retry|data): |^noindex|^default-src |^ (checked|selected|disabled)$|^\s+[\w-]+="/,
  /^[./#@[]|^:\w|^\w+:\/\/|^[\w-]+\/[\w+.-]+($|;)|;\s*$/,
  /^(Content|X)-[\w-]+: |^Subject: =|\bmax-age=/,
  /^\s*:?[\w.-]+ \{\s*[a-z-]+:/,
  /^\([\w-]+: [\w-]+\)$/,
  /^<\/?(\?|path|circle|svg|g|defs|text|line|rect)\b|^[\w-]+="[^"]*"/,
  /\(\?[:=!<]|\\[dswb]|^--|^\w+=\S*$|^(--)?[\w-]+:[\w-]+$|^-\w/,
];
/** Units, schemes and hosts: the same everywhere. */
const UNITS = new Set(['mm', 'in', 'kg', 'kW', 'rpm', 'px', 'min', 'thou', 'deg', 'tpi', 'http', 'https', 'ws', 'wss', 'localhost']);
/** One word, as a heading or a button has it. */
const HEADING = /^\p{Lu}(-?\p{Ll}+)+[.…:!?]?$/u;

const withoutGaps = (text: string): string => text.replace(/\{\/?\d+\}/g, ' ').trim();

/** Whether a text has a word to be read in it at all. */
export function hasWord(text: string): boolean {
  if (TECHNICAL.some((t) => t.test(text))) return false;
  return withoutGaps(text)
    .split(/[\s,.;:()/×+–-]+/)
    .some((w) => WORD.test(w) && !UNITS.has(w));
}

/** Whether a text is wording by how it is written, wherever it stands: several words, or one as a heading has it. */
export function isWording(text: string): boolean {
  if (!hasWord(text)) return false;
  return HEADING.test(text.trim()) || /[\p{L}\d}"”.,;:)]\s+\S|\S\s+[\p{L}\d{"“(]/u.test(text.trim()) || /^\s.*\p{L}|\p{L}.*\s$/u.test(text);
}

/** Whether one word that is written small may be wording where it stands. */
export const isSmallWord = (text: string): boolean =>
  hasWord(text) && /^[\p{L}’']+[.…,]?$/u.test(text.trim()) && !/\p{Ll}\p{Lu}/u.test(text);
