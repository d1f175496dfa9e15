import type { Act } from './act';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import {
  hostOf,
  kindOf,
  placeAll,
  placeBore,
  type OperationDraft,
  type Part,
  type PartFeature,
  type Host,
  type PlacedSurface,
} from '../part';

/** Where and by what it is cut: along the axis on the lathe, across it on the mill, drawn through by a broach, slotted stroke by stroke, or not cut at all. */
export type CutBy = 'lathe' | 'mill' | 'broach' | 'slot' | 'treat';

/** One thing that is made: a surface, or what is cut into one. */
export interface Cut {
  /** Of the surface or feature. */
  readonly id: string;
  readonly name: string;
  readonly by: CutBy;
  /** It is made in an end face. */
  readonly inEnd: boolean;
  /** It is turned about an axis beside the part's own. */
  readonly offAxis: boolean;
  /** Id of the surface that it is, or sits on. */
  readonly on: string;
  readonly side: 'outside' | 'inside';
  /** The end that must be free for it: of a bore its mouth, of a centre its face. */
  readonly from: 'near' | 'far' | 'either';
  /** In words; empty for a surface. */
  readonly acts: readonly string[];
}

const BY: Readonly<Record<OperationDraft['kind'], CutBy>> = {
  turn: 'lathe',
  bore: 'lathe',
  plunge: 'lathe',
  thread: 'lathe',
  centre: 'lathe',
  knurl: 'lathe',
  polish: 'lathe',
  hold: 'lathe',
  drill: 'mill',
  sink: 'mill',
  mill: 'mill',
  broach: 'broach',
  slot: 'slot',
  treat: 'treat',
};

/** What is done for it, with whose it is. */
export const actsFor = ({ id, name, acts }: Pick<Cut, 'id' | 'name' | 'acts'>): Act[] =>
  acts.map((a, i) => ({ key: `${id}.${i}`, words: `${name}: ${a.charAt(0).toLowerCase()}${a.slice(1)}`, cuts: [id] }));

/** Where an act across the axis is done, from the zero face, and how large a hole is. */
function whereWords(feature: PartFeature, host: Host, unit: LengthUnit): string {
  const cut = kindOf(feature.kind).cut(feature, host);
  const [mark] = cut.shape === 'other' ? cut.marks : [];
  if (!mark) return '';
  const clock = 'clockDeg' in feature ? `, ${feature.clockDeg}°` : '';
  const show = (mm: number): string => placeWithUnit(mm, unit);
  return mark.kind === 'circle' ? ` ${show(2 * mark.radiusMm)} at ${show(mark.atMm)}${clock}` : ` at ${show(mark.fromMm)}${clock}`;
}

/** What is turned or bored about an axis beside the part's own. */
export const isOffAxis = (f: PartFeature): f is Extract<PartFeature, { kind: 'eccentric' | 'eccentric-bore' }> =>
  f.kind === 'eccentric' || f.kind === 'eccentric-bore';

/** Features that are made in an end face: that end must stand free. */
const IN_A_FACE: readonly PartFeature['kind'][] = ['centre-hole', 'hole-pattern', 'eccentric-bore'];

function ofFeature(part: Part, f: PartFeature, unit: LengthUnit): Cut[] {
  const host = hostOf(part, f.on);
  const acts = host ? kindOf(f.kind).operations(f, host) : [];
  if (!host || !acts.length) return [];
  const by = BY[acts[0]!.kind];
  const inEnd = IN_A_FACE.includes(f.kind) && 'end' in f;
  const end = inEnd ? (f.end === 'left' ? 'near' : 'far') : mouthOf(part, f.on);
  return [
    {
      ...{ id: f.id, name: f.name, by, inEnd, offAxis: isOffAxis(f), on: f.on, side: host.surface.side, from: end },
      acts: acts.map((a) => (by === 'mill' ? a.words + whereWords(f, host, unit) : a.words)),
    },
  ];
}

/** From which end a surface is cut: of a bore the end from which nothing narrower lies before it; the outside is reached from either. */
function mouthOf(part: Part, surfaceId: string): Cut['from'] {
  const bore = part.bores.find((b) => b.surfaces.some((s) => s.id === surfaceId));
  if (!bore) return 'either';
  if (!bore.through) return bore.from;
  const along = placeBore(part, bore).sort((p, q) => p.fromMm - q.fromMm);
  const at = along.findIndex((s) => s.id === surfaceId);
  const least = (s: PlacedSurface): number => Math.min(s.leftMm, s.rightMm);
  const open = (before: readonly PlacedSurface[]): boolean => before.every((s) => least(s) >= least(along[at]!) - 1e-9);
  const [near, far] = [open(along.slice(0, at)), open(along.slice(at + 1))];
  // What is wider than both its neighbours is recessed from the bore's own mouth.
  return near && far ? 'either' : near ? 'near' : far ? 'far' : bore.from;
}

/** Features as they are drawn, but what one is timed to before it; a ring of them is followed once round. */
function timedLast(features: readonly PartFeature[]): PartFeature[] {
  const out: PartFeature[] = [];
  const put = (f: PartFeature, asked: readonly string[]): void => {
    const to = 'timedTo' in f && !asked.includes(f.timedTo) ? features.find((o) => o.id === f.timedTo) : undefined;
    if (to) put(to, [...asked, f.id]);
    if (!out.includes(f)) out.push(f);
  };
  for (const f of features) put(f, [f.id]);
  return out;
}

/**
 * Everything that is made of a turned part: its surfaces from left to right, its bores, then what is cut into them; what is timed to something comes
 * after it.
 *
 * @param unit in which places are told in the words of an act
 */
export const cutsOf = (part: Part, unit: LengthUnit): Cut[] => [
  ...placeAll(part).map((s): Cut => ({
    ...{ id: s.id, name: s.name, by: 'lathe', inEnd: false, offAxis: false, on: s.id, side: s.side, from: mouthOf(part, s.id), acts: [] },
  })),
  ...timedLast(part.features).flatMap((f) => ofFeature(part, f, unit)),
];
