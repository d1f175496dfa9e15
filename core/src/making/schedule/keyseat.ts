import { chordHeightMm } from '../../book/keys';
import type { PartFeature } from '../part';
import { equalCuts, setting, type Scheduler } from './schedule';

type Keyseat = Extract<PartFeature, { kind: 'keyseat' }>;
type Woodruff = Extract<PartFeature, { kind: 'woodruff-seat' }>;

/** Deepest cut of an end mill in a keyseat, as a share of its diameter. */
const CUT_SHARE = 0.25;

/** A parallel keyseat, set both ways: from the flat that the cutter just leaves, and measured over the other side of the shaft. */
export const keyseatSchedule: Scheduler<Keyseat> = (f, host) => {
  const d = host.surface.leftMm;
  const flat = chordHeightMm(d, f.widthMm);
  const milled = f.cutter === 'end-mill';
  return {
    settings: [
      setting(
        f,
        'after-flat',
        'down after the flat is as wide as the cutter',
        f.depthMm - flat,
        'depth from the crown less the arc over the width',
      ),
      setting(f, 'crown', 'or down from touching the crown', f.depthMm, 'as drawn, to the middle of its limits'),
      setting(f, 'over', 'floor to the opposite side', d - f.depthMm, 'shaft less the depth from the crown'),
      milled
        ? setting(f, 'travel', 'travel of the cutter', Math.max(0, f.lengthMm - f.widthMm), 'length less the width, for the rounded ends')
        : setting(f, 'travel', 'travel at full depth', f.lengthMm, 'as drawn; the cutter’s run-out comes on top'),
    ],
    tools: [{ kind: milled ? 'end-mill' : 'cutter', sizeMm: f.widthMm }],
    cuts: milled ? { on: null, toMm: equalCuts(f.depthMm, CUT_SHARE * f.widthMm) } : null,
    words: [
      milled
        ? 'Mill it a size under, then each wall by itself: a cutter that ploughs full width cuts wide. A slot drill goes straight down, an end mill wants a hole.'
        : 'Conventional feed, the arbor’s run-out checked: it adds to the width.',
    ],
  };
};

/** A Woodruff seat: straight down, cutter over its middle. */
export const woodruffSchedule: Scheduler<Woodruff> = (f, host) => {
  const flat = chordHeightMm(host.surface.leftMm, f.widthMm);
  return {
    settings: [
      setting(
        f,
        'after-flat',
        'down after the flat is as wide as the cutter',
        f.depthMm - flat,
        'depth from the crown less the arc over the width',
      ),
      setting(f, 'crown', 'or down from touching the crown', f.depthMm, 'as drawn, to the middle of its limits'),
      setting(f, 'centre', 'cutter centre over the crown at the end', f.cutterMm / 2 - f.depthMm, 'half the cutter less the depth'),
    ],
    tools: [{ kind: 'cutter', sizeMm: f.widthMm }],
    cuts: null,
    words: ['Straight down and straight out.'],
  };
};
