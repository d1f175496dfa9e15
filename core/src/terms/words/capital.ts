/** A word or a sentence with its first letter large; the rest stays as it was written. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
