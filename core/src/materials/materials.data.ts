/**
 * Ordinary shop materials. Expansion per kelvin: usual handbook means between 20 and 100 °C. Density at 20 °C.
 * Surface speeds are starting values for turning, m/min: high-speed steel, carbide.
 */
export const MATERIALS = [
  { id: 'steel-mild', name: 'Mild steel (S235JR, 1018)', densityKgM3: 7850, alphaPerK: 11.5e-6, speedHss: 30, speedCarbide: 120 },
  { id: 'steel-c45', name: 'Medium carbon steel (C45, 1045)', densityKgM3: 7850, alphaPerK: 11.5e-6, speedHss: 25, speedCarbide: 100 },
  {
    id: 'steel-42crmo4',
    name: 'Alloy steel, hardened and tempered (42CrMo4, 4140)',
    densityKgM3: 7850,
    alphaPerK: 11.5e-6,
    speedHss: 18,
    speedCarbide: 80,
  },
  { id: 'stainless-304', name: 'Stainless steel (1.4301, 304)', densityKgM3: 7900, alphaPerK: 17.3e-6, speedHss: 15, speedCarbide: 70 },
  { id: 'iron-grey', name: 'Grey cast iron (EN-GJL-250)', densityKgM3: 7200, alphaPerK: 10.5e-6, speedHss: 20, speedCarbide: 80 },
  { id: 'bronze-tin', name: 'Cast tin bronze (CuSn12, C90800)', densityKgM3: 8700, alphaPerK: 18e-6, speedHss: 30, speedCarbide: 120 },
  { id: 'bronze-sintered', name: 'Oil-filled sintered bronze', densityKgM3: 6600, alphaPerK: 18e-6, speedHss: 40, speedCarbide: 150 },
  { id: 'brass', name: 'Free-cutting brass (CuZn39Pb3, C38500)', densityKgM3: 8470, alphaPerK: 19e-6, speedHss: 60, speedCarbide: 200 },
  { id: 'aluminium-6082', name: 'Aluminium (6082-T6)', densityKgM3: 2700, alphaPerK: 23e-6, speedHss: 90, speedCarbide: 300 },
] as const satisfies readonly MaterialRow[];

export interface MaterialRow {
  readonly id: string;
  readonly name: string;
  readonly densityKgM3: number;
  readonly alphaPerK: number;
  readonly speedHss: number;
  readonly speedCarbide: number;
}
