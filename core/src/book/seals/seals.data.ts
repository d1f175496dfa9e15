/**
 * O-rings AS568 (ISO 3601-1 has the same inch sizes): section of each hundred and inside diameters by dash number, inch. Lip seals
 * ISO 6194-1: shaft, housing bores, width, mm.
 */
export const ORING_SOURCE = 'AS568F (ISO 3601-1)';
export const LIP_SEAL_SOURCE = 'ISO 6194-1:2007';

export const ORING_SECTION_IN: Readonly<Record<string, number>> = { '0': 0.07, '1': 0.103, '2': 0.139, '3': 0.21, '4': 0.275 };

/** First dash number and the inside diameters from it on, inch. */
export const ORING_RUNS: readonly { readonly first: number; readonly insideIn: readonly number[] }[] = [
  {
    first: 4,
    insideIn: [
      0.07, 0.101, 0.114, 0.145, 0.176, 0.208, 0.239, 0.301, 0.364, 0.426, 0.489, 0.551, 0.614, 0.676, 0.739, 0.801, 0.864, 0.926, 0.989,
      1.051, 1.114, 1.176, 1.239, 1.301, 1.364, 1.489, 1.614, 1.739, 1.864, 1.989, 2.114, 2.239, 2.364, 2.489, 2.614, 2.739, 2.864, 2.989,
      3.239, 3.489, 3.739, 3.989, 4.239, 4.489, 4.739, 4.989, 5.239,
    ],
  },
  {
    first: 102,
    insideIn: [
      0.049, 0.081, 0.112, 0.143, 0.174, 0.206, 0.237, 0.299, 0.362, 0.424, 0.487, 0.549, 0.612, 0.674, 0.737, 0.799, 0.862, 0.924, 0.987,
      1.049, 1.112, 1.174, 1.237, 1.299, 1.362, 1.424, 1.487, 1.549, 1.612, 1.674, 1.737, 1.799, 1.862, 1.925, 1.987, 2.05, 2.112, 2.175,
      2.237, 2.3, 2.362, 2.425, 2.487, 2.55, 2.612, 2.675, 2.737, 2.8, 2.862, 2.987, 3.237, 3.487, 3.737, 3.987, 4.237, 4.487, 4.737, 4.987,
      5.237,
    ],
  },
  {
    first: 201,
    insideIn: [
      0.171, 0.234, 0.296, 0.359, 0.421, 0.484, 0.546, 0.609, 0.671, 0.734, 0.796, 0.859, 0.921, 0.984, 1.046, 1.109, 1.171, 1.234, 1.296,
      1.359, 1.421, 1.484, 1.609, 1.734, 1.859, 1.984, 2.109, 2.234, 2.359, 2.484, 2.609, 2.734, 2.859, 2.984, 3.109, 3.234, 3.359, 3.484,
      3.609, 3.734, 3.859, 3.984, 4.109, 4.234, 4.359, 4.484, 4.609, 4.734, 4.859, 4.984,
    ],
  },
  {
    first: 309,
    insideIn: [
      0.412, 0.475, 0.537, 0.6, 0.662, 0.725, 0.787, 0.85, 0.912, 0.975, 1.037, 1.1, 1.162, 1.225, 1.287, 1.35, 1.475, 1.6, 1.725, 1.85,
      1.975, 2.1, 2.225, 2.35, 2.475, 2.6, 2.725, 2.85, 2.975, 3.1, 3.225, 3.35, 3.475, 3.6, 3.725, 3.85, 3.975, 4.1, 4.225, 4.35, 4.475,
    ],
  },
  { first: 425, insideIn: [4.475, 4.6, 4.725, 4.85, 4.975, 5.1] },
];

export const LIP_SEALS: readonly (readonly [shaft: number, bores: readonly number[], width: number])[] = [
  [6, [16, 22], 7],
  [7, [22], 7],
  [8, [22, 24], 7],
  [9, [22], 7],
  [10, [22, 25], 7],
  [12, [24, 25, 30], 7],
  [15, [26, 30, 35], 7],
  [16, [30], 7],
  [18, [30, 35], 7],
  [20, [35, 40], 7],
  [22, [35, 40, 47], 7],
  [25, [40, 47, 52], 7],
  [28, [40, 47, 52], 7],
  [30, [42, 47, 52], 7],
  [32, [45, 47, 52], 8],
  [35, [50, 52, 55], 8],
  [38, [55, 58, 62], 8],
  [40, [55, 62], 8],
  [42, [55, 62], 8],
  [45, [62, 65], 8],
  [50, [68, 72], 8],
  [55, [72, 80], 8],
  [60, [80, 85], 8],
  [65, [85, 90], 10],
  [70, [90, 95], 10],
  [75, [95, 100], 10],
  [80, [100, 110], 10],
  [85, [110, 120], 12],
  [90, [120], 12],
  [95, [120], 12],
  [100, [125], 12],
];

/** Inside diameters of ISO 3601-1 metric rings (general industrial), mm, and which of them each section has. */
export const ORING_METRIC_SOURCE = 'ISO 3601-1, metric sizes (DIN 3771)';
export const ORING_METRIC_INSIDE: readonly number[] = [
  1.8, 2, 2.24, 2.5, 2.8, 3.15, 3.55, 3.75, 4, 4.5, 4.87, 5, 5.15, 5.3, 5.6, 6, 6.3, 6.7, 6.9, 7.1, 7.5, 8, 8.5, 8.75, 9, 9.5, 10, 10.6,
  11.2, 11.8, 12.5, 13.2, 14, 15, 16, 17, 18, 19, 20, 21.2, 22.4, 23.6, 25, 25.8, 26.5, 28, 30, 31.5, 32.5, 33.5, 34.5, 35.5, 36.5, 37.5,
  38.7, 40, 41.2, 42.5, 43.7, 45, 46.2, 47.5, 48.7, 50, 51.5, 53, 54.5, 56, 58, 60, 61.5, 63, 65, 67, 69, 71, 73, 75, 77.5, 80, 82.5, 85,
  87.5, 90, 92.5, 95, 97.5, 100, 103, 106, 109, 112, 115, 118, 122, 125, 128, 132, 136, 140, 145, 150, 155, 160, 165, 170, 175, 180, 185,
  190, 195, 200,
];
export const ORING_METRIC_SECTIONS: readonly { readonly sectionMm: number; readonly fromMm: number; readonly toMm: number }[] = [
  { sectionMm: 1.8, fromMm: 1.8, toMm: 17 },
  { sectionMm: 2.65, fromMm: 14, toMm: 38.7 },
  { sectionMm: 3.55, fromMm: 18, toMm: 200 },
  { sectionMm: 5.3, fromMm: 40, toMm: 200 },
  { sectionMm: 7, fromMm: 109, toMm: 200 },
];

/** Rings of straight-thread ports: AS568 900 series, inside and section in inch, with the port's thread. */
export const ORING_PORT_SOURCE = 'AS568F 900 series, ports ISO 11926';
export const ORING_PORT_INCH: readonly (readonly [number: string, inside: number, section: number, thread: string])[] = [
  ['-902', 0.239, 0.064, '5/16-24'],
  ['-903', 0.301, 0.064, '3/8-24'],
  ['-904', 0.351, 0.072, '7/16-20'],
  ['-905', 0.414, 0.072, '1/2-20'],
  ['-906', 0.468, 0.078, '9/16-18'],
  ['-908', 0.644, 0.087, '3/4-16'],
  ['-910', 0.755, 0.097, '7/8-14'],
  ['-912', 0.924, 0.116, '1 1/16-12'],
  ['-914', 1.047, 0.116, '1 3/16-12'],
  ['-916', 1.171, 0.116, '1 5/16-12'],
  ['-920', 1.475, 0.118, '1 5/8-12'],
  ['-924', 1.72, 0.118, '1 7/8-12'],
  ['-932', 2.337, 0.118, '2 1/2-12'],
];

/** Rings of metric ports: ISO 6149-1, inside and section in mm, with the port's thread. */
export const ORING_PORT_METRIC_SOURCE = 'ISO 6149-1';
export const ORING_PORT_METRIC: readonly (readonly [thread: string, inside: number, section: number])[] = [
  ['M8 x 1', 6.1, 1.6],
  ['M10 x 1', 8.1, 1.6],
  ['M12 x 1.5', 9.3, 2.2],
  ['M14 x 1.5', 11.3, 2.2],
  ['M16 x 1.5', 13.3, 2.2],
  ['M18 x 1.5', 15.3, 2.2],
  ['M22 x 1.5', 19.3, 2.2],
  ['M27 x 2', 23.6, 2.9],
  ['M33 x 2', 29.6, 2.9],
  ['M42 x 2', 38.6, 2.9],
  ['M48 x 2', 44.6, 2.9],
  ['M60 x 2', 56.6, 2.9],
];

/**
 * Gap on the radius that a nitrile ring bridges without being pushed into it, mm, by section and pressure: usual practice, parts
 * centred; where they can stand to one side the whole difference of the diameters is the gap there.
 */
export const GAP_SOURCE = 'usual practice for nitrile rings without back-up rings';
export const GAP_70 = {
  mpa: [3.5, 7, 10.5],
  rows: [
    { upToMm: 2, gapsMm: [0.08, 0.05, 0.03] },
    { upToMm: 3, gapsMm: [0.09, 0.07, 0.04] },
    { upToMm: 5, gapsMm: [0.1, 0.08, 0.05] },
    { upToMm: 7, gapsMm: [0.13, 0.09, 0.07] },
    { upToMm: Infinity, gapsMm: [0.15, 0.1, 0.08] },
  ],
} as const;
export const GAP_90 = {
  mpa: [3.5, 7, 10.5, 14, 17.5, 21, 35],
  rows: [
    { upToMm: 2, gapsMm: [0.13, 0.1, 0.07, 0.05, 0.04, 0.03, 0.02] },
    { upToMm: 3, gapsMm: [0.15, 0.13, 0.09, 0.07, 0.05, 0.04, 0.03] },
    { upToMm: 5, gapsMm: [0.2, 0.15, 0.1, 0.08, 0.06, 0.05, 0.03] },
    { upToMm: 7, gapsMm: [0.23, 0.18, 0.13, 0.09, 0.07, 0.05, 0.04] },
    { upToMm: Infinity, gapsMm: [0.25, 0.2, 0.15, 0.1, 0.08, 0.06, 0.04] },
  ],
} as const;

/** Inch lip seals as commonly sold, no standard of their own: shaft, housing bores, width, inch. */
export const LIP_SEAL_INCH_SOURCE = 'usual inch sizes, no standard: hold it against the list of who sells it';
export const LIP_SEALS_INCH: readonly (readonly [shaft: number, bores: readonly number[], width: number])[] = [
  [0.5, [0.999, 1.124, 1.25], 0.25],
  [0.625, [1.124, 1.25, 1.375], 0.25],
  [0.75, [1.25, 1.375, 1.499], 0.25],
  [0.875, [1.375, 1.499, 1.624], 0.25],
  [1, [1.499, 1.624, 1.752], 0.25],
  [1.125, [1.624, 1.752, 1.874], 0.3125],
  [1.25, [1.752, 1.874, 2], 0.3125],
  [1.375, [2, 2.125, 2.25], 0.3125],
  [1.5, [2.125, 2.25, 2.374], 0.3125],
  [1.625, [2.25, 2.374, 2.502], 0.375],
  [1.75, [2.374, 2.502, 2.623], 0.375],
  [1.875, [2.502, 2.623, 2.75], 0.375],
  [2, [2.623, 2.75, 2.875], 0.375],
];
