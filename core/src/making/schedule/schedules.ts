import { hostOf, placeAll, partLengthMm, timedWords, type FeatureKindId, type Part, type PartFeature } from '../part';
import { boreSchedules } from './bored';
import { edgeSettings } from './edge-settings';
import { grooveSchedule } from './groove';
import { keyseatSchedule, woodruffSchedule } from './keyseat';
import { keywaySchedule, oilGrooveSchedule } from './slotted';
import { crossHoleSchedule, flatsSchedule, holePatternSchedule, slotSchedule, splineSchedule } from './milled';
import type { Bench, Schedule, Scheduler } from './schedule';
import { threadSchedule } from './thread';
import { eccentricBoreSchedule, eccentricSchedule } from './off-axis';
import { taperSchedule } from './turned';

type OfKind = { readonly [K in FeatureKindId]: Scheduler<Extract<PartFeature, { kind: K }>> | null };

/** How each kind is brought to its depth; null for one whose dimensions say it all. One that is missing does not compile. */
const OF_KIND: OfKind = {
  thread: threadSchedule,
  'ring-groove': grooveSchedule,
  'oring-groove': grooveSchedule,
  'seal-groove': grooveSchedule,
  relief: grooveSchedule,
  undercut: grooveSchedule,
  keyseat: keyseatSchedule,
  'woodruff-seat': woodruffSchedule,
  flats: flatsSchedule,
  slot: slotSchedule,
  spline: splineSchedule,
  'cross-hole': crossHoleSchedule,
  'hole-pattern': holePatternSchedule,
  eccentric: eccentricSchedule,
  'eccentric-bore': eccentricBoreSchedule,
  keyway: keywaySchedule,
  'oil-groove': oilGrooveSchedule,
  'centre-hole': null,
  chamfer: null,
  fillet: null,
  knurl: null,
  'seal-land': null,
  'weld-prep': null,
  relation: null,
  'surface-finish': null,
  hardness: null,
  treatment: null,
};

function ofFeature(part: Part, f: PartFeature, bench: Bench): Schedule[] {
  const host = hostOf(part, f.on);
  const scheduler = OF_KIND[f.kind] as Scheduler<PartFeature> | null;
  if (!host) return [];
  const own = scheduler?.(f, host, bench) ?? null;
  const made = own ?? { settings: [], tools: [], cuts: null, words: [] };
  const timed = 'clockDeg' in f ? timedWords(f, host) : '';
  const words = timed ? [`It stands ${timed}: set it there before the first cut, and lock it.`, ...made.words] : made.words;
  // Where its schedule takes nothing off, nothing turns for it.
  const settings = [...made.settings, ...(own || !scheduler ? edgeSettings(f, host, bench) : [])];
  return settings.length || words.length ? [{ id: f.id, title: f.name, ...made, settings, words }] : [];
}

/**
 * Everything of a turned part that has to be set by more than its own dimensions.
 *
 * @param aimed the same part with its sizes where they are made to: what is cut into a surface is counted from it as it stands then
 */
export const schedulesOf = (part: Part, bench: Bench, aimed: Part = part): Schedule[] => [
  ...boreSchedules(part, bench),
  ...placeAll(aimed).flatMap((s) => taperSchedule(s, partLengthMm(aimed), bench.unit) ?? []),
  ...aimed.features.flatMap((f, i) => {
    // A tool is bought or ground by the drawn size: one of the middle of the limits nobody sells.
    const drawn = (): Schedule['tools'] => ofFeature(part, part.features[i]!, bench)[0]?.tools ?? [];
    return ofFeature(aimed, f, bench).map((s) => (s.tools.length ? { ...s, tools: drawn() } : s));
  }),
];
