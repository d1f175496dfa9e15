/**
 * Materials a repair shop turns. Usual handbook means at 20 °C for the condition named, not a certificate: density kg/m³;
 * expansion per kelvin x 10⁶ between 20 and 100 °C; Young's modulus GPa; Poisson's ratio; 0.2 % yield and tensile strength MPa
 * (grey iron and laminates break without yielding; plastics yield, and tear later or at once); hardness as sold. Order: what a shop reaches for first, by family.
 */
export const MATERIAL_SOURCE = 'handbook means for the condition named; a certificate wins';

export type Family = 'steel' | 'stainless' | 'iron' | 'copper' | 'aluminium' | 'light' | 'plastic';

type Row = readonly [
  id: string,
  name: string,
  family: Family,
  hardness: string,
  density: number,
  alpha: number,
  youngGpa: number,
  poisson: number,
  yieldMpa: number | null,
  tensileMpa: number,
];

// prettier-ignore
export const PHYSICAL: readonly Row[] = [
  ['steel-mild', 'Mild steel (S235JR, 1018)', 'steel', '120 HB', 7850, 11.5, 210, 0.3, 235, 400],
  ['steel-1018-drawn', 'Mild steel, cold drawn (C15, 1018)', 'steel', '160 HB', 7850, 11.5, 205, 0.29, 370, 440],
  ['steel-s355', 'Structural steel (S355J2, 1024)', 'steel', '160 HB', 7850, 11.5, 210, 0.3, 355, 520],
  ['steel-c35', 'Medium carbon steel (C35, 1035)', 'steel', '160 HB', 7850, 11.5, 210, 0.3, 300, 550],
  ['steel-c45', 'Medium carbon steel (C45, 1045)', 'steel', '190 HB', 7850, 11.5, 210, 0.3, 340, 620],
  ['steel-c60', 'High carbon steel (C60, 1060)', 'steel', '220 HB', 7850, 11.5, 210, 0.3, 380, 710],
  ['steel-free', 'Free-cutting steel (11SMn30, 1215)', 'steel', '150 HB', 7850, 11.5, 205, 0.29, 375, 460],
  ['steel-free-lead', 'Leaded free-cutting steel (11SMnPb30, 12L14)', 'steel', '150 HB', 7870, 11.5, 205, 0.29, 375, 460],
  ['steel-1144', 'Resulphurised carbon steel, drawn (44SMn28, 1144)', 'steel', '220 HB', 7850, 11.5, 205, 0.29, 620, 745],
  ['steel-4130', 'Chrome-molybdenum steel, normalised (25CrMo4, 4130)', 'steel', '200 HB', 7850, 11.5, 205, 0.29, 435, 670],
  ['steel-4140-soft', 'Alloy steel, annealed (42CrMo4+A, 4140)', 'steel', '200 HB', 7850, 11.5, 205, 0.29, 415, 655],
  ['steel-42crmo4', 'Alloy steel, hardened and tempered (42CrMo4, 4140)', 'steel', '28 to 32 HRC', 7850, 11.5, 205, 0.29, 650, 900],
  ['steel-34crnimo6', 'Nickel-chrome steel, hardened and tempered (34CrNiMo6, 4340)', 'steel', '30 to 35 HRC', 7850, 11.5, 205, 0.29, 800, 1000],
  ['steel-16mncr5', 'Case-hardening steel, soft (16MnCr5, 5115)', 'steel', '170 HB', 7850, 11.5, 210, 0.3, 390, 600],
  ['steel-8620', 'Case-hardening steel, soft (20NiCrMo2-2, 8620)', 'steel', '180 HB', 7850, 11.5, 205, 0.29, 385, 630],
  ['steel-100cr6', 'Bearing steel, annealed (100Cr6, 52100)', 'steel', '207 HB', 7810, 11.5, 210, 0.3, 430, 700],
  ['steel-silver', 'Silver steel, ground, soft (115CrV3, W1 drill rod)', 'steel', '220 HB', 7830, 11.5, 210, 0.3, 430, 720],
  ['steel-o1', 'Oil-hardening tool steel, annealed (100MnCrW4, O1)', 'steel', '210 HB', 7850, 11.5, 210, 0.29, 400, 700],
  ['steel-d2', 'High-chrome tool steel, annealed (X153CrMoV12, D2)', 'steel', '230 HB', 7700, 10.5, 210, 0.29, 450, 750],
  ['steel-chrome-rod', 'Chromed piston rod, induction hardened (C45E, 1045)', 'steel', 'case 55 HRC, core 200 HB', 7850, 11.5, 210, 0.3, 350, 620],
  ['stainless-303', 'Free-cutting stainless (1.4305, 303)', 'stainless', '180 HB', 7900, 17.2, 193, 0.28, 240, 600],
  ['stainless-304', 'Stainless steel (1.4301, 304)', 'stainless', '160 HB', 7900, 17.3, 193, 0.29, 215, 540],
  ['stainless-316', 'Stainless steel, salt water (1.4401, 316)', 'stainless', '160 HB', 8000, 16, 193, 0.29, 220, 540],
  ['stainless-416', 'Free-cutting martensitic stainless (1.4005, 416)', 'stainless', '200 HB', 7700, 10, 200, 0.28, 350, 600],
  ['stainless-420', 'Hardenable stainless, annealed (1.4021, 420)', 'stainless', '200 HB', 7700, 10.5, 200, 0.28, 350, 650],
  ['stainless-17-4', 'Precipitation hardened stainless (1.4542 H1025, 17-4)', 'stainless', '35 HRC', 7800, 10.9, 196, 0.27, 1000, 1070],
  ['iron-grey-200', 'Grey cast iron (EN-GJL-200, class 30)', 'iron', '180 HB', 7150, 10.5, 100, 0.26, null, 200],
  ['iron-grey', 'Grey cast iron (EN-GJL-250)', 'iron', '210 HB', 7200, 10.5, 110, 0.26, null, 250],
  ['iron-sg-400', 'Ductile iron (EN-GJS-400-15, 60-40-18)', 'iron', '155 HB', 7100, 12, 169, 0.28, 250, 400],
  ['iron-sg-500', 'Ductile iron (EN-GJS-500-7, 80-55-06)', 'iron', '200 HB', 7100, 11.5, 169, 0.28, 320, 500],
  ['iron-malleable', 'Malleable iron (EN-GJMB-350-10)', 'iron', '140 HB', 7300, 11.5, 172, 0.27, 200, 350],
  ['bronze-tin', 'Cast tin bronze (CuSn12, C90800)', 'copper', '90 HB', 8700, 18, 96, 0.34, 150, 280],
  ['bronze-leaded', 'Leaded bearing bronze (CuSn7Zn4Pb7, C93200)', 'copper', '65 HB', 8900, 18, 100, 0.34, 120, 240],
  ['bronze-phosphor', 'Phosphor bronze, drawn (CuSn8, C52100)', 'copper', '150 HB', 8800, 18, 110, 0.34, 390, 500],
  ['bronze-aluminium', 'Aluminium bronze (CuAl10Ni5Fe4, C63000)', 'copper', '180 HB', 7600, 16.2, 118, 0.33, 300, 640],
  ['bronze-sintered', 'Oil-filled sintered bronze', 'copper', '35 HB', 6600, 18, 40, 0.25, 75, 120],
  ['copper-beryllium', 'Beryllium copper, aged (CuBe2, C17200)', 'copper', '38 HRC', 8250, 17, 130, 0.3, 1000, 1250],
  ['copper', 'Copper, half hard (Cu-ETP, C11000)', 'copper', '85 HB', 8940, 17, 120, 0.34, 200, 260],
  ['brass', 'Free-cutting brass (CuZn39Pb3, C38500)', 'copper', '110 HB', 8470, 19, 97, 0.34, 220, 420],
  ['white-metal', 'Tin white metal, cast (SnSb8Cu4)', 'light', '24 HB', 7300, 23, 52, 0.35, 45, 75],
  ['aluminium-6082', 'Aluminium (6082-T6)', 'aluminium', '95 HB', 2700, 23, 70, 0.33, 260, 310],
  ['aluminium-6061', 'Aluminium (6061-T6)', 'aluminium', '95 HB', 2700, 23.6, 69, 0.33, 275, 310],
  ['aluminium-2024', 'Aluminium (2024-T351)', 'aluminium', '120 HB', 2780, 22.9, 73, 0.33, 325, 470],
  ['aluminium-7075', 'Aluminium (7075-T6)', 'aluminium', '150 HB', 2810, 23.4, 72, 0.33, 500, 570],
  ['aluminium-cast', 'Cast aluminium (AlSi7Mg0.3-T6, A356)', 'aluminium', '80 HB', 2680, 21.5, 72, 0.33, 190, 250],
  ['magnesium-cast', 'Cast magnesium (AZ91)', 'light', '65 HB', 1810, 26, 45, 0.35, 150, 230],
  ['titanium-5', 'Titanium (Ti-6Al-4V, grade 5)', 'light', '36 HRC', 4430, 8.6, 114, 0.34, 880, 950],
  ['pa6-cast', 'Cast nylon (PA 6 G)', 'plastic', '83 Shore D', 1150, 80, 3.3, 0.4, 78, 80],
  ['pom', 'Acetal (POM-C)', 'plastic', '81 Shore D', 1410, 110, 2.8, 0.35, 65, 65],
  ['uhmwpe', 'Ultra-high polyethylene (PE-UHMW)', 'plastic', '63 Shore D', 930, 180, 0.7, 0.46, 19, 40],
  ['ptfe', 'PTFE', 'plastic', '55 Shore D', 2180, 120, 0.5, 0.46, 10, 25],
  ['peek', 'PEEK', 'plastic', '87 Shore D', 1310, 50, 4, 0.4, 110, 110],
  ['phenolic', 'Cotton phenolic laminate', 'plastic', '100 Rockwell M', 1350, 30, 7, 0.3, null, 80],
];
