import type { Hazard } from './records';

/** A caution: what, why, and who must decide. It never replaces local codes and licensed practice. */
export interface Caution {
  readonly what: string;
  readonly why: string;
  readonly who: string;
}

export const CAUTIONS: Readonly<Record<Hazard, Caution>> = {
  lifting: {
    what: 'Lifting gear.',
    why: 'A pin that fails drops the load.',
    who: 'A licensed person decides the material and the fit, and signs before it lifts again.',
  },
  vessel: {
    what: "Part of a vessel's ramp.",
    why: 'People and vehicles stand on it.',
    who: 'A licensed person passes it before service; local rules for vessels apply.',
  },
  pressure: {
    what: 'Trapped pressure.',
    why: 'Oil under pressure goes through skin; a gas-charged damper can burst.',
    who: 'Only someone equipped for it releases and recharges it. Proof with oil, bled, behind a shield, never with air.',
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
    why: 'Cadmium and chrome are poison as dust and as fume; burnt fluoro-rubber seals leave an acid.',
    who: 'No heat, no dry grinding; gloves on burnt seals. Stripping and plating are for a plater.',
  },
  'burning-metals': {
    what: 'Beryllium copper, magnesium or lead bronze.',
    why: 'Their dust harms the lungs; magnesium chips burn and water feeds them.',
    who: 'Have the alloy named first. Wet or extracted cutting, the right extinguisher at hand, somebody who knows it.',
  },
};
