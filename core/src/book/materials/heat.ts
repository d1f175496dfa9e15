import type { Material } from './material';
import type { Family } from './physical.data';

/** J/(kg K) at room temperature. Source: Incropera, Fundamentals of heat and mass transfer, appendix A; plastics as their makers have them, about. */
const HEAT: Readonly<Record<Family, number>> = {
  ...{ steel: 434, stainless: 477, iron: 450, copper: 380, aluminium: 890, light: 522, plastic: 1500 },
};
/** What stands with titanium among the light metals and holds another heat. */
const OWN: ReadonlyMap<string, number> = new Map([
  ['magnesium-cast', 1024],
  ['white-metal', 230],
]);

/** Heat that a metal takes up by its volume, J/(m³ K). */
export const heatJM3K = ({ id, family, densityKgM3 }: Pick<Material, 'id' | 'family' | 'densityKgM3'>): number =>
  densityKgM3 * (OWN.get(id) ?? HEAT[family]);
