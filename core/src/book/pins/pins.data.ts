/** Pins. ISO 1234 split pins: nominal (the hole), for a bolt over, up to; for a clevis pin over, up to, mm. */
export const PIN_SOURCES = {
  split: 'ISO 1234:1997',
  taper: 'ISO 2339:1986',
  taperInch: 'ASME B18.8.2-2000',
  dowel: 'ISO 2338:1997, ISO 8734:1997',
  spring: 'ISO 8752:2009',
  dowelInch: 'ASME B18.8.2-2000, hardened and ground, standard series',
  springInch: 'ASME B18.8.2-2000, slotted',
  clevis: 'ISO 2340:1986, ISO 2341:1986',
} as const;

/** ISO 1234: the shank of a split pin by its nominal size, which is its hole's, mm. */
export const SPLIT_PIN_SHANKS: readonly (readonly [hole: number, largest: number, smallest: number])[] = [
  [0.6, 0.5, 0.4],
  [0.8, 0.7, 0.6],
  [1, 0.9, 0.8],
  [1.2, 1, 0.9],
  [1.6, 1.4, 1.3],
  [2, 1.8, 1.7],
  [2.5, 2.3, 2.1],
  [3.2, 2.9, 2.7],
  [4, 3.7, 3.5],
  [5, 4.6, 4.4],
  [6.3, 5.9, 5.7],
  [8, 7.5, 7.3],
  [10, 9.5, 9.3],
  [13, 12.4, 12.1],
  [16, 15.4, 15.1],
  [20, 19.3, 19],
];

export const SPLIT_PINS: readonly (readonly [hole: number, boltOver: number, boltUpTo: number, clevisOver: number, clevisUpTo: number])[] =
  [
    [0.6, 0, 2.5, 0, 2],
    [0.8, 2.5, 3.5, 2, 3],
    [1, 3.5, 4.5, 3, 4],
    [1.2, 4.5, 5.5, 4, 5],
    [1.6, 5.5, 7, 5, 6],
    [2, 7, 9, 6, 8],
    [2.5, 9, 11, 8, 9],
    [3.2, 11, 14, 9, 12],
    [4, 14, 20, 12, 17],
    [5, 20, 27, 17, 23],
    [6.3, 27, 39, 23, 29],
    [8, 39, 56, 29, 44],
    [10, 56, 80, 44, 69],
    [13, 80, 120, 69, 110],
  ];

/** ISO 2339: taper 1:50, named by the small end, mm. */
export const TAPER_PINS_MM: readonly number[] = [0.6, 0.8, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 40, 50];

/** ASME B18.8.2: taper 1/4 in per foot (1:48), numbered by the large end, inch. */
export const TAPER_PINS_INCH: readonly (readonly [number: string, largeEnd: number])[] = [
  ['7/0', 0.0625],
  ['6/0', 0.078],
  ['5/0', 0.094],
  ['4/0', 0.109],
  ['3/0', 0.125],
  ['2/0', 0.141],
  ['0', 0.156],
  ['1', 0.172],
  ['2', 0.193],
  ['3', 0.219],
  ['4', 0.25],
  ['5', 0.289],
  ['6', 0.341],
  ['7', 0.409],
  ['8', 0.492],
  ['9', 0.591],
  ['10', 0.706],
];

/** Dowels: ISO 2338 (soft) to 50 mm, ISO 8734 (hard) to 20 mm. */
export const DOWELS_MM: readonly number[] = [1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 40, 50];

/** ISO 8752 slotted spring pins, heavy: nominal hole (H12), mm. */
export const SPRING_PINS_MM: readonly number[] = [
  1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6, 8, 10, 12, 13, 14, 16, 18, 20, 21, 25, 28, 30, 35, 40, 45, 50,
];

/** ASME B18.8.2 hardened ground machine dowels, standard series: nominal inch; the pin is 0.0002 ±0.0001 in over it. */
export const DOWELS_INCH: readonly number[] = [0.0625, 0.09375, 0.125, 0.1875, 0.25, 0.3125, 0.375, 0.4375, 0.5, 0.625, 0.75, 0.875, 1];
export const DOWEL_INCH_OVER = { least: 0.0001, most: 0.0003 } as const;

/** ASME B18.8.2 slotted spring pins: nominal, recommended hole least and most, inch. */
export const SPRING_PINS_INCH: readonly (readonly [nominal: number, least: number, most: number])[] = [
  [0.0625, 0.062, 0.065],
  [0.078125, 0.078, 0.081],
  [0.09375, 0.094, 0.097],
  [0.125, 0.125, 0.129],
  [0.140625, 0.14, 0.144],
  [0.15625, 0.156, 0.16],
  [0.1875, 0.187, 0.192],
  [0.21875, 0.219, 0.224],
  [0.25, 0.25, 0.256],
  [0.3125, 0.312, 0.318],
  [0.375, 0.375, 0.382],
  [0.4375, 0.437, 0.445],
  [0.5, 0.5, 0.51],
  [0.625, 0.625, 0.636],
  [0.75, 0.75, 0.764],
];

/** ISO 2340/2341 clevis pins: diameter h11, hole for the split pin, mm. */
export const CLEVIS_PINS: readonly (readonly [diameter: number, splitHole: number])[] = [
  [3, 0.8],
  [4, 1],
  [5, 1.2],
  [6, 1.6],
  [8, 2],
  [10, 3.2],
  [12, 3.2],
  [14, 4],
  [16, 4],
  [18, 5],
  [20, 5],
  [22, 5],
  [24, 6.3],
  [27, 6.3],
  [30, 8],
  [33, 8],
  [36, 8],
  [40, 8],
  [45, 10],
  [50, 10],
  [55, 10],
  [60, 10],
  [70, 13],
  [80, 13],
  [90, 13],
  [100, 13],
];
