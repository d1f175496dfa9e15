import type { Family } from './physical.data';

/** What a cutting edge does, as far as it matters for what is put on it. */
export const WETTED = ['turn', 'drill', 'ream', 'thread', 'mill'] as const;
export type Wetted = (typeof WETTED)[number];

/** What is put on the cut, in words, by what the edge does. */
export type CoolantOf = Readonly<Record<Wetted, string>>;

const all = (words: string): CoolantOf => ({ turn: words, drill: words, ream: words, thread: words, mill: words });

const STEEL: CoolantOf = {
  ...all('emulsion, or cutting oil from a brush'),
  ream: 'cutting oil, plenty; never dry',
  thread: 'sulphured cutting oil, brushed on before each pass; fat oil under a tap or die',
};
const STAINLESS: CoolantOf = {
  ...all('emulsion, plenty of it'),
  drill: 'cutting oil, plenty: where the drill rubs the hole goes hard',
  ream: 'sulphured cutting oil, plenty',
  thread: 'sulphured cutting oil, plenty; washed off after',
};
const IRON_GREY: CoolantOf = {
  ...all('dry, the dust drawn off'),
  ream: 'dry, or a little thin oil',
  thread: 'dry, or lard oil under a tap',
};
const IRON_TOUGH: CoolantOf = { ...all('emulsion, or dry'), ream: 'emulsion', thread: 'lard oil in thin oil' };
const COPPER: CoolantOf = {
  ...all('dry or emulsion'),
  drill: 'emulsion',
  ream: 'thin oil without sulphur: sulphur stains it',
  thread: 'thin oil with some lard oil, without sulphur: sulphur stains it',
};
const ALUMINIUM: CoolantOf = {
  ...all('emulsion, or thin oil: chips weld to a dry edge'),
  ream: 'thin oil, plenty',
  thread: 'thin oil with some lard oil',
};
const PLASTIC: CoolantOf = {
  ...all('dry, chips blown or drawn off'),
  drill: 'dry, drawn out often before it melts',
};

/**
 * What is put on the cut by family: the usual recommendation for high-speed steel.
 *
 * Source: Machinery's Handbook, table "Cutting Fluids Recommended for Machining Operations": grey iron dry, malleable iron, brass and bronze soluble
 * oil, steel fat or sulphured oil for threads, aluminium soluble oil or mineral oil with some fat, magnesium mineral oil.
 */
export const COOLANT_BY_FAMILY: Readonly<Record<Family, CoolantOf>> = {
  steel: STEEL,
  stainless: STAINLESS,
  iron: IRON_TOUGH,
  copper: COPPER,
  aluminium: ALUMINIUM,
  light: ALUMINIUM,
  plastic: PLASTIC,
};

/** What goes its own way within its family, by material id. */
export const COOLANT_OWN: ReadonlyMap<string, CoolantOf> = new Map([
  ['iron-grey', IRON_GREY],
  ['iron-grey-200', IRON_GREY],
  ['brass', { ...COPPER, turn: 'dry', drill: 'dry or emulsion' }],
  ['copper', { ...COPPER, turn: 'emulsion', mill: 'emulsion' }],
  ['copper-beryllium', all('wet all the time, so that no dust comes off')],
  ['bronze-sintered', all('dry, or the oil that it is filled with; never emulsion')],
  ['white-metal', all('dry, or a little thin oil')],
  ['magnesium-cast', all('dry, or mineral oil; never water, never emulsion')],
  ['titanium-5', { ...all('emulsion, flooded'), ream: 'cutting oil without chlorine', thread: 'cutting oil without chlorine' }],
  ['phenolic', all('dry, the dust drawn off')],
]);
