import { findThread } from '../../book/threads';
import { formatWithUnit, placeWithUnit } from '../../terms/quantity';
import type { PartFeature } from '../part';
import { divideWords, peckDepthsMm, pilotMm } from '../process';
import { equalCuts, setting, usual, type Scheduler, type ToolNeed } from './schedule';

type Flats = Extract<PartFeature, { kind: 'flats' }>;
type Slot = Extract<PartFeature, { kind: 'slot' }>;
type Spline = Extract<PartFeature, { kind: 'spline' }>;
type CrossHole = Extract<PartFeature, { kind: 'cross-hole' }>;
type HolePattern = Extract<PartFeature, { kind: 'hole-pattern' }>;

/** Deepest side cut of an ordinary end mill, mm. */
const MILL_CUT_MM = 1;

/** Depth of a flat below the round, of two that face each other, mm. */
export const flatDepthMm = (roundMm: number, acrossMm: number): number => (roundMm - acrossMm) / 2;
/** How wide a flat comes in the round, mm; 0 where it does not touch it. */
export const flatWidthMm = (roundMm: number, acrossMm: number): number => Math.sqrt(Math.max(0, roundMm ** 2 - acrossMm ** 2));

/** From an edge found with a finder to the centre line, mm; a paper between them comes on top. */
export const edgeToCentreMm = (roundMm: number, finderMm: number): number => roundMm / 2 + finderMm / 2;

/** The tap of a tapped hole; nothing for a plain one, or a thread that no book has. */
function tapFor(thread: string): ToolNeed[] {
  const t = thread.trim() ? findThread(thread) : undefined;
  return t ? [{ kind: 'tap', thread: t.name }] : [];
}

/** Flats and hexagons by index: down from touching the round; measured over a face and the round where their number is odd. */
export const flatsSchedule: Scheduler<Flats> = (f, host) => {
  const d = host.surface.leftMm;
  const odd = f.count % 2 === 1;
  const depth = odd ? d - f.acrossMm : flatDepthMm(d, f.acrossMm);
  return {
    settings: [
      setting(
        f,
        'depth',
        'down from touching the round',
        depth,
        odd ? 'round less the size from flat to round' : 'half of round less across flats',
      ),
      setting(f, 'width', 'width of the flat', 2 * Math.sqrt(Math.max(0, depth * (d - depth))), 'chord of the round at that depth'),
      ...(f.count > 1 ? [setting(f, 'index', 'index each time', (2 * Math.PI) / f.count, '360° over their number', null, 'angle')] : []),
    ],
    tools: [],
    cuts: { on: null, toMm: equalCuts(depth, MILL_CUT_MM) },
    words: [
      f.count > 1
        ? 'Cut one, turn half way round, cut its opposite, and measure across before the rest.'
        : 'Measure from the flat to the round on the other side.',
      ...(f.count > 1 ? [divideWords(f.count)] : []),
    ],
  };
};

/** A screw slot over the middle of an end. */
export const slotSchedule: Scheduler<Slot> = (f, host, { finderMm, unit }) => ({
  settings: [
    setting(
      f,
      'centre',
      'from the edge to the centre line',
      edgeToCentreMm(host.surface.leftMm, finderMm),
      `half the round and half a finder of ${placeWithUnit(finderMm, unit)}`,
    ),
    setting(f, 'depth', 'down from touching the end', f.depthMm, 'as drawn, to the middle of its limits'),
  ],
  tools: [{ kind: 'cutter', sizeMm: f.widthMm }],
  cuts: { on: null, toMm: equalCuts(f.depthMm, MILL_CUT_MM) },
  words: ['Find both edges: half of the way between them is the centre.'],
});

/** A spline by index, one side of every tooth after the other. */
export const splineSchedule: Scheduler<Spline> = (f, host) => ({
  settings: [
    setting(f, 'index', 'index each time', (2 * Math.PI) / f.teeth, '360° over the teeth', null, 'angle'),
    setting(f, 'depth', 'down from touching the round', (host.surface.leftMm - f.rootMm) / 2, 'half of outside less root'),
    setting(f, 'over', 'cutter’s side from the centre line', f.toothMm / 2, 'half a tooth: that side of every tooth, then the other'),
  ],
  tools: [],
  cuts: null,
  words: ['Cut one side of all teeth, shift over by a tooth and the cutter, cut the other; try the hub.', divideWords(f.teeth)],
});

/** A hole across: found from an edge, a pilot, pecks, then what is sunk or tapped. */
export const crossHoleSchedule: Scheduler<CrossHole> = (f, host, { finderMm, unit }) => {
  const d = host.surface.leftMm;
  const deep = f.reach === 'to depth' ? f.depthMm : f.reach === 'through' ? d : d / 2 - host.beyondAt(host.surface.fromMm + f.atMm);
  const pilot = pilotMm(f.diameterMm);
  const pecks = peckDepthsMm(f.diameterMm, deep);
  return {
    settings: [
      setting(
        f,
        'centre',
        'from the edge to the centre line',
        edgeToCentreMm(d, finderMm),
        `half the round and half a finder of ${placeWithUnit(finderMm, unit)}`,
      ),
      ...(pilot === null ? [] : [usual(f, 'pilot', 'pilot drill, about', pilot, 'it clears the web of the drill')]),
      setting(
        f,
        'deep',
        'depth of full diameter, from the crown',
        deep,
        f.reach === 'to depth'
          ? 'as drawn, to the middle of its limits'
          : f.reach === 'through'
            ? 'through the round'
            : 'to the wall of the bore',
      ),
    ],
    tools: tapFor(f.thread),
    cuts: null,
    words: [
      'A paper between finder and round comes on top, unless it was used to take up the spindle’s wobble. Take up the backlash the way you move.',
      ...(pecks.length > 1
        ? [`Clear the chips every ${placeWithUnit(f.diameterMm, unit)} beyond ${placeWithUnit(pecks[0]!, unit)} deep.`]
        : []),
      ...(f.thread ? [`Tap ${f.thread} in the same setting.`] : []),
    ],
  };
};

/** Holes in an end face as coordinates from its centre: to the right and up, seen from that end. */
export const holePatternSchedule: Scheduler<HolePattern> = (f, _host, { unit }) => {
  // Clock angles run clockwise from the top seen from the right end; from the left end the other way.
  const turn = f.end === 'right' ? 1 : -1;
  const holes = f.circleMm > 0 ? Array.from({ length: f.count }, (_, i) => f.clockDeg + (360 * i) / f.count) : [];
  return {
    settings: holes.flatMap((deg, i) => {
      const a = (deg * Math.PI) / 180;
      return [
        setting(
          f,
          `x${i}`,
          `hole ${i + 1}, right`,
          (turn * f.circleMm * Math.sin(a)) / 2,
          'half the circle by the sine of its clock angle',
        ),
        setting(f, `y${i}`, `hole ${i + 1}, up`, (f.circleMm * Math.cos(a)) / 2, 'half the circle by the cosine of its clock angle'),
      ];
    }),
    tools: tapFor(f.thread),
    cuts: null,
    words: [
      ...(f.count > 1 && f.circleMm > 0
        ? [`Check one chord: ${formatWithUnit(f.circleMm * Math.sin(Math.PI / f.count), unit)} between neighbours.`]
        : []),
      ...(f.thread ? [`Drill ${formatWithUnit(f.diameterMm, unit)}, tap ${f.thread}.`] : []),
    ],
  };
};
