export { REFERENCE_TEMP_C } from './reference-temperature';
export { askedSizes, sizeAmong, type AskedSize, type SizeAmong } from './asked-size';
export { MM_PER_INCH, MM_PER_THOU, toUnit, fromUnit, otherUnit, roundStart, type LengthUnit } from './units';
export {
  USUAL_DECIMALS,
  formatLength,
  formatWithUnit,
  spanWords,
  formatPlace,
  nearRuleMark,
  placeWithUnit,
  decimalsInOther,
  sawFraction,
  toInchFraction,
  type InchFraction,
} from './format-length';
export { parseNumber, parseSignedNumber, type TypedNumber } from './parse-number';
export { inMark, outOfMark, type DecimalMark } from './decimal-mark';
export { aLength, lengthsIn } from './lengths-in';
export { significant } from './significant';
export { parseNumberList } from './parse-number-list';
export { parseLength, MOST_LENGTH_MM, MOST_MISTYPED_MM, type TypedLength, type ParseLengthOptions } from './parse-length';
