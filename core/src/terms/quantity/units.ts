/** Exact by definition since 1959. */
export const MM_PER_INCH = 25.4;
export const MM_PER_THOU = 0.0254;

export type LengthUnit = 'mm' | 'in';

/** Millimetres to the given unit: 25.4 mm are 1 in, exactly. */
export const toUnit = (mm: number, unit: LengthUnit): number => (unit === 'mm' ? mm : mm / MM_PER_INCH);

/** A number in the given unit to millimetres. */
export const fromUnit = (value: number, unit: LengthUnit): number => (unit === 'mm' ? value : value * MM_PER_INCH);

/** A starting value that is round in the unit it is read in, mm: no inch shop begins with 1.5748. */
export const roundStart = (unit: LengthUnit, mm: number, inches: number): number => (unit === 'mm' ? mm : inches * MM_PER_INCH);

/** Inch for millimetre, and the other way round. */
export const otherUnit = (unit: LengthUnit): LengthUnit => (unit === 'mm' ? 'in' : 'mm');
