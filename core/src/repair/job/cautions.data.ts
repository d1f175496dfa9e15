import { HAZARDS, type Hazard } from './records';

/** A caution: what, why, and who must decide or what must be done. It never replaces local codes and licensed practice. */
export interface Caution {
  readonly what: string;
  readonly why: string;
  readonly who: string;
  /** Nothing goes back into use before a licensed or certified person has decided and signed. */
  readonly licensed?: true;
  /** Its dust is the danger: no file, no emery, no grinder. */
  readonly dust?: true;
}

export const CAUTIONS: Readonly<Record<Hazard, Caution>> = {
  lifting: {
    what: 'Lifting gear.',
    why: 'A pin that fails drops the load.',
    who: 'A licensed person decides the material and the fit, and signs before it lifts again.',
    licensed: true,
  },
  vessel: {
    what: "Part of a vessel's ramp.",
    why: 'People and vehicles stand on it.',
    who: 'A licensed person passes it before service; local rules for vessels apply.',
    licensed: true,
  },
  pressure: {
    what: 'Trapped pressure.',
    why: 'Oil under pressure goes through skin; a gas-charged damper can burst.',
    who: 'Only someone equipped for it releases and recharges it. Proof with oil, bled, behind a shield, never with air.',
    licensed: true,
  },
  spring: {
    what: 'Loaded spring.',
    why: 'It lets go all at once.',
    who: 'Hold it in a compressor or a press before the last fastener comes out.',
  },
  'raised-load': {
    what: 'Raised load.',
    why: 'It comes down when the pin or the oil that holds it comes out.',
    who: 'Lower it, or block it so that it cannot fall, before anything is undone.',
  },
  fuel: {
    what: 'Held fuel.',
    why: 'Vapour burns long after the tank is empty.',
    who: 'No hot work without proper cleaning and testing by someone qualified.',
  },
  steering: {
    what: 'Steering or brakes.',
    why: 'A failure is an accident on the road.',
    who: 'A licensed person decides and signs. Keep the bolt grades.',
    licensed: true,
  },
  'structural-weld': {
    what: 'Structural or pressure weld.',
    why: 'It carries people, a load or pressure, and a bad one looks like a good one.',
    who: 'A certified welder by a qualified procedure, passed by a licensed person before it is loaded.',
    licensed: true,
  },
  drives: {
    what: 'Belts, blades and drives.',
    why: 'They turn again when a jam lets go or somebody presses start.',
    who: 'Locked out and tagged by whoever has the hands in it; blades wedged before a fastener is touched.',
  },
  ignition: {
    what: 'Engine that can start.',
    why: 'Turning a blade or a pulley by hand can fire it.',
    who: 'Ignition lead off and tied back, battery off, before anything is turned.',
  },
  electricity: {
    what: 'Stored electricity.',
    why: 'Capacitors and batteries hold a charge after the switch is off.',
    who: 'Isolated, discharged and tested dead by someone qualified.',
  },
  hot: {
    what: 'Hot parts.',
    why: 'They burn, they read big, and hot oil flashes.',
    who: 'Let it cool before it is opened or measured.',
  },
  solvent: {
    what: 'Solvents and degreaser.',
    why: 'Vapour burns and makes the head swim; chlorinated cleaner near an arc or a flame makes phosgene.',
    who: 'Ventilated, gloves, no flame; every trace of chlorinated cleaner off and dry before any weld.',
  },
  welding: {
    what: 'Welding.',
    why: 'Burns, fumes, fire; chrome and zinc coatings are poison in the heat.',
    who: 'Qualified procedure and welder for structural welds; jacket, gloves, helmet, ventilation, fire watch.',
  },
  press: { what: 'Press work.', why: 'Parts under load shatter.', who: 'Shield up, nobody in line with the ram.' },
  'old-linings': {
    what: 'Old linings, gaskets or paint.',
    why: 'May hold asbestos or lead.',
    who: 'Do not dry-scrape or grind; have it tested first.',
  },
  plating: {
    what: 'Old plating or chrome.',
    why: 'Cadmium and chrome are poison as dust and as fume.',
    who: 'No heat, no dry grinding. Stripping and plating are for a plater.',
  },
  'burnt-seals': {
    what: 'Burnt fluoro-rubber: seals after a fire or a torch.',
    why: 'They leave hydrofluoric acid that goes through skin to the bone, and hours pass before it hurts.',
    who: 'Do not touch. Acid-proof gauntlets that are thrown away after, calcium gluconate gel at hand. On contact: rinse, gel, hospital at once.',
  },
  magnesium: {
    what: 'Magnesium.',
    why: 'Chips and dust burn, and water feeds the fire.',
    who: 'No water and no water-mixed coolant. Dry, a sharp tool that never rubs; chips away at once and kept dry. Class D extinguisher or dry sand at hand. Never on the wheel or belt that grinds steel.',
    dust: true,
  },
  beryllium: {
    what: 'Beryllium copper.',
    why: 'Its dust and fume make the lungs ill for life.',
    who: 'No dry grinding, emery, file, polish or welding. Cut wet or extracted; chips and sludge kept apart and closed, for a licensed taker.',
    dust: true,
  },
  'lead-bronze': {
    what: 'Leaded bronze or brass.',
    why: 'Lead goes in by dust and by dirty hands, and stays.',
    who: 'Make no dust. Wash before eating. Overalls stay here.',
    dust: true,
  },
};

/** Hazards of which a licensed or certified person decides before anything goes back into use. */
export const LICENSED_HAZARDS: readonly Hazard[] = HAZARDS.filter((h) => CAUTIONS[h].licensed);

/** File and emery in the lathe, shown where either is advised. */
export const FILE_CAUTION: Caution = {
  what: 'File and emery in the lathe.',
  why: 'A file that catches is driven into the hand; emery cloth round a finger takes the finger.',
  who: 'File with its handle on, held so that it can fly free, clear of the chuck. Emery on a stick, never wrapped. No gloves, no loose sleeves.',
};

/** Materials whose dust or chips are a caution of their own, by material id. */
const MATERIAL_HAZARDS: Readonly<Record<string, Hazard>> = {
  'magnesium-cast': 'magnesium',
  'copper-beryllium': 'beryllium',
  'bronze-leaded': 'lead-bronze',
  brass: 'lead-bronze',
};

/** The job's own hazards and that of the metal which is cut. */
export const hazardsAtCut = (ofJob: readonly Hazard[], materialId: string): Hazard[] => {
  const own = MATERIAL_HAZARDS[materialId];
  return [...new Set([...ofJob, ...(own ? [own] : [])])];
};
