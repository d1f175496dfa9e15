import { formatWithUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import type { PartFeature } from '../part';
import { isOffAxis, type Cut } from './cut';
import { lacks, type HoldingKind } from './holding';
import type { Work } from './work';
import { AFTER_HOLD_IDS, type AfterHoldId, type AfterId } from './after-hold-ids';

type OffAxis = Extract<PartFeature, { kind: 'eccentric' | 'eccentric-bore' }>;

interface AfterHold {
  readonly after: AfterId;
  /** Of the lathe; absent on the mill. */
  readonly holding?: HoldingKind;
  readonly name: string;
  readonly about: string;
  readonly minutes: number;
  /** By how much one turning of the work to a new angle may be off, degrees; null where it is not turned to one. */
  readonly offDeg: number | null;
  /** By how much the throw may be off, mm; null where there is none. */
  readonly offMm: number | null;
  /** Why it will not do for this work; empty where it will. */
  readonly cannot: (work: Work, cuts: readonly Cut[]) => string;
}

const ANY = (): string => '';
/** Least metal round a centre that lies beside the axis, mm. */
const CENTRE_WALL_MM = 4;
/** Something like four pieces pay for a fixture. */
const FIXTURE_MIN = 40;

const eccentricsOf = ({ part }: Work, cuts: readonly Cut[]): OffAxis[] =>
  part.features.filter(isOffAxis).filter((f) => cuts.some((c) => c.id === f.id));

/** Angles and throws as shops get them with an ordinary square, head or indicator; the minutes are an estimate. */
export const AFTER_HOLDS: Readonly<Record<AfterHoldId, AfterHold>> = {
  'v-block': {
    ...{ after: 'lying', name: 'Two V-blocks and clamps', minutes: 12, offDeg: 0.5, offMm: null },
    about: 'Finder on the centre line; another angle is found with a square or a level on what is cut already.',
    cannot: ANY,
  },
  'v-vise': {
    ...{ after: 'lying', name: 'Vise with a V', minutes: 8, offDeg: 1, offMm: null },
    about: 'Quick for one angle, or several in one line.',
    cannot: ({ lengthMm, largestMm, unit }) =>
      lengthMm > 8 * largestMm ? `It is ${formatWithUnit(lengthMm, unit)} long: it hangs out of a vise and chatters.` : '',
  },
  'dividing-head': {
    ...{ after: 'lying', name: 'Dividing head and tailstock', minutes: 25, offDeg: 0.05, offMm: null },
    about: 'Every angle from the plate: what is timed or indexed comes out by itself.',
    cannot: ANY,
  },
  'notch-fixture': {
    ...{ after: 'lying', name: 'Fixture, a pin in what is cut first', minutes: FIXTURE_MIN, offDeg: 0.15, offMm: null },
    about: 'For many pieces: made once, then each is laid in and clamped.',
    cannot: (_, cuts) => (cuts.length < 2 ? 'There is but one cut across: nothing for a pin to sit in.' : ''),
  },
  'angle-plate': {
    ...{ after: 'standing', name: 'Stood against an angle plate', minutes: 15, offDeg: 0.5, offMm: null },
    about: 'Two V clamps against the plate, squared by an indicator down its side; holes by the table’s dials.',
    cannot: ANY,
  },
  'stood-in-v': {
    ...{ after: 'standing', name: 'Upright in a vise with a V', minutes: 10, offDeg: 1, offMm: null },
    about: 'Short pieces, centre found with an indicator in the spindle.',
    cannot: ({ lengthMm, largestMm, unit }) =>
      lengthMm > 4 * largestMm ? `It is ${formatWithUnit(lengthMm, unit)} long: it stands too far out of the vise.` : '',
  },
  'rotary-table': {
    ...{ after: 'standing', name: 'Chuck on the rotary table', minutes: 25, offDeg: 0.05, offMm: null },
    about: 'A circle of holes by turning the table; its centre under the spindle first.',
    cannot: ANY,
  },
  'beside-four-jaw': {
    ...{ after: 'beside', holding: 'four-jaw', name: 'Four-jaw chuck, dialled in', minutes: 25, offDeg: null, offMm: 0.01 },
    about: 'Jaws set over until the indicator swings twice the offset.',
    cannot: ANY,
  },
  'beside-packing': {
    ...{ after: 'beside', holding: 'three-jaw', name: 'Three-jaw chuck, packing on one jaw', minutes: 10, offDeg: null, offMm: 0.05 },
    about: 'Quick to repeat; the packing is worked out for the jaws, and the swing is still read.',
    cannot: ANY,
  },
  'beside-faceplate': {
    ...{ after: 'beside', holding: 'faceplate', name: 'Faceplate with a counterweight', minutes: 35, offDeg: null, offMm: 0.01 },
    about: 'Wide or heavy work: bolted down and balanced.',
    cannot: ({ lengthMm, largestMm }) => (lengthMm > largestMm ? 'It is longer than wide: it stands too far off the plate.' : ''),
  },
  'beside-centres': {
    ...{ after: 'beside', holding: 'centres', name: 'Between centres beside the axis', minutes: 20, offDeg: null, offMm: 0.02 },
    about: 'A second pair of centres at the throw: both ends swing about the same line.',
    cannot: (work, cuts) => {
      const { part, outside, unit } = work;
      if (part.bores.some((b) => b.through)) return 'It is bored through: there is no end for a centre.';
      if (eccentricsOf(work, cuts).some((f) => f.kind === 'eccentric-bore')) return 'What is bored there takes its centre away.';
      const least = Math.min(outside[0]!.leftMm, outside.at(-1)!.rightMm) / 2;
      const most = Math.max(0, ...eccentricsOf(work, cuts).map((f) => f.throwMm));
      return most + CENTRE_WALL_MM > least
        ? `The throw is ${formatWithUnit(most, unit)}: a centre there would leave the thinner end, ${formatWithUnit(2 * least, unit)} across.`
        : '';
    },
  },
};

/** A way to hold it there, with what it costs. */
export interface AfterChoice {
  readonly id: AfterHoldId;
  readonly name: string;
  readonly about: string;
  readonly minutes: number;
  /** How far what it cuts may lie off, in words; empty where it is not turned there. */
  readonly gives: string;
  /** It may be off by more than the drawing allows. */
  readonly tooMuch: boolean;
  readonly cannot: string;
}

/** Cuts at different angles, or several round one feature: the work is turned between them. */
export const isTurned = ({ part }: Work, cuts: readonly Cut[]): boolean => {
  const made = part.features.filter((f) => cuts.some((c) => c.id === f.id));
  const angles = new Set(made.flatMap((f) => ('clockDeg' in f ? [((f.clockDeg % 360) + 360) % 360] : [])));
  return angles.size > 1 || made.some((f) => ('count' in f && f.count > 1) || f.kind === 'spline');
};

/** What the drawing allows an angle, degrees, or a throw, mm, to be off; null where it gives none limits of its own. */
function allowed({ part }: Work, cuts: readonly Cut[], what: 'clock' | 'throw'): number | null {
  const said = cuts.flatMap((c) => part.limits[`${c.id}.${what}`] ?? []);
  return said.length ? Math.min(...said.map((l) => Math.min(Math.abs(l.lowerDev), Math.abs(l.upperDev)))) : null;
}

/** How far out the cuts lie from the axis, mm: an angle there is a distance. */
const outMm = ({ part, outside }: Work, cuts: readonly Cut[]): number =>
  Math.max(
    0,
    ...part.features
      .flatMap((f) => (cuts.some((c) => c.id === f.id) ? outside.filter((s) => s.id === f.on) : []))
      .map((s) => s.diameterMm / 2),
  );

/** Set over it swings wider by the throw on every side; empty where the lathe takes it, and where nothing is set over. */
function tooWide(work: Work, cuts: readonly Cut[]): string {
  const most = Math.max(0, ...eccentricsOf(work, cuts).map((f) => f.throwMm));
  const swings = work.largestMm + 2 * most;
  return most > 0 && swings > work.lathe.swingMm
    ? `Set over it swings ${formatWithUnit(swings, work.unit)}, and ${work.lathe.name} ${formatWithUnit(work.lathe.swingMm, work.unit)}.`
    : '';
}

function choiceOf(id: AfterHoldId, work: Work, cuts: readonly Cut[]): AfterChoice {
  const { name, about, minutes, offDeg, offMm, cannot, holding } = AFTER_HOLDS[id];
  const turned = offDeg !== null && isTurned(work, cuts);
  const wanted = turned ? allowed(work, cuts, 'clock') : offMm === null ? null : allowed(work, cuts, 'throw');
  const far = outMm(work, cuts);
  const at = far > 0 ? `, ${formatWithUnit((far * (offDeg ?? 0) * Math.PI) / 180, work.unit)} at its surface` : '';
  const gives = turned ? `angles to ${offDeg}°${at}` : offMm !== null ? `throw to ${formatWithUnit(offMm, work.unit)}` : '';
  return {
    id,
    name,
    about,
    minutes,
    gives,
    tooMuch: wanted !== null && (offDeg ?? offMm ?? 0) > wanted + 1e-9,
    cannot: (holding && lacks(holding, work.lathe)) || tooWide(work, cuts) || cannot(work, cuts),
  };
}

/** Every way to hold it there, the best first: what will do, what is near enough, then what is set up sooner. */
export function holdsAfter(after: AfterId, work: Work, cuts: readonly Cut[]): AfterChoice[] {
  const all = AFTER_HOLD_IDS.filter((id) => AFTER_HOLDS[id].after === after).map((id) => choiceOf(id, work, cuts));
  // Where angles hang together and nobody said how well, what is indexed comes first.
  const loose = (c: AfterChoice): number =>
    isTurned(work, cuts) && allowed(work, cuts, 'clock') === null ? (AFTER_HOLDS[c.id].offDeg ?? 0) : 0;
  return all.sort(
    (p, q) =>
      Number(p.cannot !== '') - Number(q.cannot !== '') ||
      Number(p.tooMuch) - Number(q.tooMuch) ||
      loose(p) - loose(q) ||
      p.minutes - q.minutes,
  );
}

/** In a sentence, with what it is set to: an eccentric swings twice its throw under the indicator. */
export function heldWords(id: AfterHoldId, work: Work, cuts: readonly Cut[]): string {
  const { name, after } = AFTER_HOLDS[id];
  if (after !== 'beside') return inSentence(name);
  const swing = eccentricsOf(work, cuts).map((f) => `${inSentence(f.name)} ${formatWithUnit(2 * f.throwMm, work.unit)}`);
  return `${inSentence(name)}; the indicator swings twice the offset: ${swing.join(', ')}`;
}
