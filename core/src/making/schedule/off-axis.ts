import { formatWithUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import type { Host, PartFeature, PlacedSurface } from '../part';
import { firstDrill, gearsUnder, planBorePasses, USUAL_PASSES } from '../process';
import { setting, usual, type Bench, type Scheduler, type Setting } from './schedule';

type Eccentric = Extract<PartFeature, { kind: 'eccentric' }>;
type EccentricBore = Extract<PartFeature, { kind: 'eccentric-bore' }>;

/**
 * Packing under one jaw of a self-centring three-jaw that throws the work off by `throwMm`: the two other jaws stand at e/2 + sqrt(r² - 3/4
 * e²) from the axis, so does the packed one, and the work there reaches to r - e on its far side. Jaws as points.
 *
 * @param radiusMm of the round that is held; more than the throw
 */
export const packingMm = (throwMm: number, radiusMm: number): number =>
  1.5 * throwMm - radiusMm + Math.sqrt(radiusMm * radiusMm - 0.75 * throwMm * throwMm);

/** mm/s². */
const GRAVITY = 9806.65;

/**
 * The fastest that work without a counterweight is turned so far off its axis, 1/min: its pull sideways comes to its own weight there. Stepped down to
 * a gear; the lowest where none is as slow.
 */
export function unbalancedRpm(throwMm: number, gearsRpm: readonly number[]): number {
  const most = (30 / Math.PI) * Math.sqrt(GRAVITY / throwMm);
  const slow = gearsRpm.filter((g) => g <= most);
  return slow.length ? Math.max(...slow) : Math.min(most, ...gearsRpm);
}

/** What every offset is set by: how it is dialled in, the packing on what is held, how fast. */
function setOver(f: Eccentric | EccentricBore, held: PlacedSurface | null, { lathe, mostRpm }: Bench): Setting[] {
  const packed = held !== null && f.throwMm < held.diameterMm / 2;
  return [
    setting(f, 'swing', 'indicator swings, in all', 2 * f.throwMm, 'twice the offset'),
    setting(f, 'throw', 'offset of the axis', f.throwMm, 'as drawn, to the middle of its limits'),
    ...(packed
      ? [
          setting(
            f,
            'packing',
            `or packing on one jaw of three, held on ${inSentence(held.name)}`,
            packingMm(f.throwMm, held.diameterMm / 2),
            '1.5 e - r + sqrt(r² - 0.75 e²), jaws as points',
          ),
        ]
      : []),
    setting(
      f,
      'rpm',
      'without a counterweight, at most',
      unbalancedRpm(f.throwMm, gearsUnder(lathe.gearsRpm, mostRpm(f.id))),
      'pulls sideways by its own weight: 30/pi sqrt(g/e), stepped down to a gear; no faster than what holds it bears, where a gear is as slow',
      null,
      'rpm',
    ),
  ];
}

/** The longest straight round outside, of those that stay about the part's own axis. */
const heldOn = (f: Eccentric | EccentricBore, host: Host): PlacedSurface | null =>
  host.surfaces
    .filter((s) => s.side === 'outside' && s.kind !== 'taper' && (f.kind === 'eccentric-bore' || s.id !== f.on))
    .reduce<PlacedSurface | null>((best, s) => (best && best.lengthMm >= s.lengthMm ? best : s), null);

const SWING = 'Dial it in on the round, high side at its clock angle; swing it by hand past everything before the spindle starts.';

/** An eccentric stretch: how far its axis is moved, and what an indicator swings. */
export const eccentricSchedule: Scheduler<Eccentric> = (f, host, bench) => ({
  ...{ settings: setOver(f, heldOn(f, host), bench), tools: [], cuts: null },
  words: [SWING],
});

/** A bore beside the axis: set over, drilled about the new axis, then bored in passes, so that the drill's own way does not matter. */
export const eccentricBoreSchedule: Scheduler<EccentricBore> = (f, host, bench) => {
  const { drillSets, unit } = bench;
  const drill = firstDrill(f.diameterMm, drillSets);
  const bored = drill && planBorePasses(drill.diameterMm, f.diameterMm);
  const passes = drill && bored?.ok ? bored.value.map((p) => (p.toMm - drill.diameterMm) / 2) : [];
  return {
    settings: [
      ...setOver(f, heldOn(f, host), bench),
      ...(drill ? [usual(f, 'drill', 'drill first', drill.diameterMm, 'leaves what a boring bar takes')] : []),
      ...(passes.length ? [setting(f, 'bored', 'then bored to', f.diameterMm, 'as drawn, to the middle of its limits')] : []),
      ...(f.reach === 'through' ? [] : [setting(f, 'deep', 'depth of full diameter', f.depthMm, 'as drawn, to the middle of its limits')]),
    ],
    tools: [],
    cuts: passes.length ? { on: 'cross', toMm: passes } : null,
    words: [
      SWING,
      ...(passes.length
        ? [
            `The cross slide comes out for each pass, counted from where the bar touches the drilled hole; the last ${USUAL_PASSES.finishes} are equal: measure before the last.`,
          ]
        : []),
      ...(drill && !drill.here
        ? [`No drill that leaves it enough hangs in the crib: ${formatWithUnit(drill.diameterMm, unit)} is sold.`]
        : []),
    ],
  };
};
