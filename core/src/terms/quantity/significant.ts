const formats = new Map<number, Intl.NumberFormat>();

/** A number to so many significant digits, never with an exponent: 137.8 to two digits is 140, 1.5 to three 1.50. */
export function significant(value: number, digits: number): string {
  let format = formats.get(digits);
  if (!format) {
    format = new Intl.NumberFormat('en', { minimumSignificantDigits: digits, maximumSignificantDigits: digits, useGrouping: false });
    formats.set(digits, format);
  }
  return format.format(value);
}
