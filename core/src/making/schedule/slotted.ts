import { chordHeightMm } from '../../book/keys';
import type { PartFeature } from '../part';
import { equalCuts, setting, type Scheduler } from './schedule';

type Keyway = Extract<PartFeature, { kind: 'keyway' }>;
type OilGroove = Extract<PartFeature, { kind: 'oil-groove' }>;

/** Deepest stroke of a slotting tool, mm. */
const STROKE_MM = 0.1;

const LOCKED = 'Every stroke the same way, back clear of the work; the last two without setting deeper, as the bar springs.';

/** A keyway in a bore: from where both corners of the tool touch, stroke by stroke; a broach takes shims until it reads right over the bore. */
export const keywaySchedule: Scheduler<Keyway> = (f, host) => {
  const d = host.surface.leftMm;
  const depth = f.overMm - d + chordHeightMm(d, f.widthMm);
  const slotted = f.cutter === 'slotter';
  return {
    settings: [
      setting(
        f,
        'depth',
        slotted ? 'out from where both corners touch' : 'the broach and its shims go in by, from where both corners touch',
        depth,
        'over the bore less the bore, and its arc over the width',
        slotted ? 'cross' : null,
      ),
      setting(f, 'over', 'roof to the opposite wall', f.overMm, 'as drawn, to the middle of its limits'),
    ],
    tools: [],
    cuts: slotted ? { on: 'cross', toMm: equalCuts(depth, STROKE_MM) } : null,
    words: [
      slotted
        ? `Tool ground to the width, dead on the axis: off it by half a tenth the key leans. ${LOCKED} A blind end wants a hole or a relief to run out into.`
        : 'First pass without a shim, then one shim more each pass; oil on the teeth, the ram square. Read it over the bore before the last one.',
      ...(f.taper === 'none' ? [] : ['It is deepest at one end: set the work over by its taper, and blue the key in it.']),
    ],
  };
};

/** An oil groove drawn along a bore; outside it is milled as it is drawn. */
export const oilGrooveSchedule: Scheduler<OilGroove> = (f, host) =>
  host.surface.side === 'outside'
    ? null
    : {
        settings: [setting(f, 'depth', 'out from touching the bore', f.depthMm, 'as drawn, to the middle of its limits', 'cross')],
        tools: [],
        cuts: { on: 'cross', toMm: equalCuts(f.depthMm, STROKE_MM) },
        words: [`Tool ground to a radius of its bottom. ${LOCKED} Its edges are broken with a scraper, or they wipe the oil off.`],
      };
