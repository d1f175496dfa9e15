import type { Shop } from '../job';

/** A shop before anything is known of it. */
export const NO_SHOP: Shop = {
  card: { name: '', unit: 'mm', decimalMark: '.', walked: [], warranty: '', version: 0 },
  people: [],
  instruments: [],
  instrumentChecks: [],
  machines: [],
  lathes: [],
  houseRules: [],
  rack: [],
  drillSets: [],
  tools: [],
  rates: null,
  hours: null,
  took: [],
};
