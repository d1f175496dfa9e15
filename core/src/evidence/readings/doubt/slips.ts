import { formatLength, MM_PER_INCH, type LengthUnit } from '../../../terms/quantity';

/** A number that differs from the typed one by one slip of hand or eye, and what slipped. */
export interface Slip {
  readonly mm: number;
  readonly why: string;
}

/** What a thimble or a scale is misread by, in its own unit. Smaller ones look like wear and are left alone. */
const STEPS: Readonly<Record<LengthUnit, readonly (readonly [step: number, why: string])[]>> = {
  mm: [
    [0.5, 'one turn of the thimble, 0.5 mm'],
    [1, 'a millimetre miscounted'],
    [5, 'half a scale miscounted'],
    [10, 'the tens miscounted'],
  ],
  in: [
    [0.025, 'one turn of the thimble, 0.025 in'],
    [0.05, 'two turns of the thimble'],
    [0.1, 'a tenth of an inch miscounted'],
    [1, 'an inch miscounted'],
  ],
};

/** Digits as the typed number shows them, with the point where it stands. */
const digitsOf = (mm: number, unit: LengthUnit, decimals: number): string => formatLength(mm, unit, decimals);

/** Every number with two neighbouring digits the other way round. */
function swapped(mm: number, unit: LengthUnit, decimals: number): Slip[] {
  const text = digitsOf(mm, unit, decimals);
  const places = [...text].flatMap((c, i) => (/\d/.test(c) ? [i] : []));
  return places.slice(1).flatMap((at, i) => {
    const before = places[i]!;
    if (text[at] === text[before]) return [];
    const chars = [...text];
    [chars[before], chars[at]] = [chars[at]!, chars[before]!];
    return [{ mm: Number(chars.join('')) * (unit === 'mm' ? 1 : MM_PER_INCH), why: 'two digits swapped' }];
  });
}

/** Slips of size: the point, the unit, thou for inch. They change a number out of all measure. */
export function coarseSlips(mm: number, unit: LengthUnit): Slip[] {
  return [
    { mm: mm / 1000, why: unit === 'in' ? 'thou' : 'micrometres' },
    { mm: mm / 10, why: 'the point one place off' },
    { mm: mm * 10, why: 'the point one place off' },
    { mm: mm / 100, why: 'the point two places off' },
    { mm: unit === 'mm' ? mm * MM_PER_INCH : mm / MM_PER_INCH, why: unit === 'mm' ? 'typed in inch' : 'typed in mm' },
  ];
}

/**
 * Slips of reading `mm`, as it was read in a unit to so many decimals: a turn of the thimble, a tenth, two digits swapped. They leave a number
 * that looks right.
 */
export function fineSlips(mm: number, unit: LengthUnit, decimals: number): Slip[] {
  const each = unit === 'mm' ? 1 : MM_PER_INCH;
  return [...STEPS[unit].flatMap(([step, why]) => [step, -step].map((s) => ({ mm: mm - s * each, why }))), ...swapped(mm, unit, decimals)];
}
