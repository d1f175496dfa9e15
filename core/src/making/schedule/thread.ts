import {
  compoundAngleDeg,
  findThread,
  halfNutWords,
  overWires,
  pitchDiameterFromWires,
  singlePoint,
  type Thread as BookThread,
} from '../../book/threads';
import { drillWords } from '../../book/drills';
import { formatLength, formatWithUnit, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { good, type Outcome } from '../../terms/outcome';
import { kindOf, type Host, type PartFeature } from '../part';
import { holeBefore } from './before-thread';
import { changeWheels, trainWords } from './change-wheels';
import { setting, type Bench, type Scheduler, type Setting } from './schedule';

type Thread = Extract<PartFeature, { kind: 'thread' }>;

/** Depth of the first pass, mm: the others take no more metal than it. */
const FIRST_PASS_MM = 0.3;
const [FEWEST, MOST] = [3, 16] as const;
/** Tip radius of a tool ground for the thread, as a share of the pitch: H/6, the rounded root of ISO 68-1. */
const TIP_SHARE = Math.sqrt(3) / 12;
/** A thread that is off by more than this share of its pitch over its length binds in a good nut. */
const MOST_OFF_SHARE = 0.02;

/** A larger thread is single-pointed rather than tapped, or run down with a die, mm. */
const MOST_TAP_MM = 24;

/** Whether a thread inside is cut with a tap, its hole drilled for it; a larger one is single-pointed. */
export function isTapped(thread: string): boolean {
  const t = thread.trim() ? findThread(thread) : undefined;
  return t !== undefined && t.majorMm <= MOST_TAP_MM;
}

const passesFor = (depthMm: number): number => Math.min(MOST, Math.max(FEWEST, Math.ceil((depthMm / FIRST_PASS_MM) ** 2)));

/** What an outside thread measures over the best wires, mm. */
export interface OverWires {
  readonly wireMm: number;
  readonly wantedMm: number;
  /** What its class allows; null where it has none. */
  readonly limits: { readonly lowerMm: number; readonly upperMm: number } | null;
  /** At which the compound goes in, from the cross slide. */
  readonly compoundDeg: number;
}

/** The same with the class's limits of its pitch diameter; null for an inside thread, or one that the book does not know. */
export function overWiresOf(f: Thread, host: Host): OverWires | null {
  const t = f.thread.trim() ? findThread(f.thread) : undefined;
  if (!t || host.surface.side !== 'outside') return null;
  const flank = kindOf('thread')
    .dimensions(f, host)
    .find((d) => d.name === 'pitch-diameter')?.book;
  const wireMm = t.form.bestWire * t.pitchMm;
  const over = (pitchDiameter?: number): number | null => {
    const sum = overWires(t, wireMm, pitchDiameter, f.starts);
    return sum.ok ? sum.value.overWiresMm : null;
  };
  const wantedMm = flank ? over((flank.lower + flank.upper) / 2) : over();
  if (wantedMm === null) return null;
  const [lowerMm, upperMm] = flank ? [over(flank.lower), over(flank.upper)] : [null, null];
  return { wireMm, wantedMm, limits: lowerMm !== null && upperMm !== null ? { lowerMm, upperMm } : null, compoundDeg: compoundAngleDeg(t) };
}

/**
 * The pitch diameter of an outside thread by what it measures over three wires, mm, lead angle and starts counted.
 *
 * @returns a problem where such a wire does not touch its flanks; null for an inside thread, or one that the book does not know
 */
export function pitchByWires(f: Thread, host: Host, wireMm: number, overMm: number): Outcome<number> | null {
  const t = f.thread.trim() ? findThread(f.thread) : undefined;
  if (!t || host.surface.side !== 'outside') return null;
  const sum = overWires(t, wireMm, undefined, f.starts);
  return sum.ok ? good(pitchDiameterFromWires(t, wireMm, overMm, f.starts)) : sum;
}

/** Over the best wires, with what the class allows of the pitch diameter. */
function wires(f: Thread, host: Host, unit: LengthUnit): Setting[] {
  const over = overWiresOf(f, host);
  if (!over) return [];
  const { wireMm, wantedMm, limits } = over;
  const band = limits ? `, ${formatLength(limits.lowerMm, unit)} to ${formatWithUnit(limits.upperMm, unit)}` : '';
  return [
    setting(f, 'wire', 'best wire', wireMm, 'touches the flanks at the pitch line'),
    setting(f, 'over-wires', 'over three wires', wantedMm, `middle of the class${band}, the lead angle counted`),
  ];
}

/** Which wheels go on, how far off the thread then is over its length, and where the half-nuts may close. */
function gearing(f: Thread, t: BookThread, { lathe, unit }: Bench): string[] {
  const screwMm = lathe.leadscrewMm ?? null;
  if (screwMm === null)
    return t.unit === 'mm' ? ['On an inch leadscrew the half-nuts stay closed: back it out and reverse the spindle.'] : [];
  const leadMm = f.starts * t.pitchMm;
  const nuts = halfNutWords(leadMm, screwMm, lathe.threadDial ?? null);
  const [train] = changeWheels(leadMm, screwMm, lathe.wheels ?? []);
  if (!train) return [nuts];
  const offMm = Math.abs(train.error) * f.lengthMm;
  const off =
    Math.abs(train.error) < 1e-9
      ? 'exact'
      : `${formatWithUnit(offMm, unit)} off over its ${placeWithUnit(f.lengthMm, unit)}${offMm > MOST_OFF_SHARE * t.pitchMm ? ': too much for a nut that long' : ''}`;
  return [`Change wheels: ${trainWords(train)}; ${off}.`, nuts];
}

/** Where a die may do it, alone or after the tool. */
const byDie = ({ majorMm }: BookThread): string[] =>
  majorMm > MOST_TAP_MM
    ? []
    : [
        'Or with a die, held square by the tailstock: point the end to below the root, cutting oil, back half a turn to break the chip. Alone it may start crooked and tear: cut most of it with the tool first and let the die bring it to size.',
      ];

function outside(f: Thread, host: Host, t: BookThread, bench: Bench): ReturnType<Scheduler<Thread>> {
  const blank = host.surface.leftMm;
  const tipSize = t.form.id === 'iso60' ? TIP_SHARE * t.pitchMm : 0;
  const probe = singlePoint(t, { tip: 'round', sizeMm: tipSize }, Math.min(blank, t.majorMm), 1);
  if (!probe.ok) return null;
  const passes = passesFor(probe.value.depthMm);
  const cut = singlePoint(t, { tip: 'round', sizeMm: tipSize }, Math.min(blank, t.majorMm), passes);
  if (!cut.ok) return null;
  const { depthMm, alongCompoundMm, compoundDeg, grooveMm, passesMm } = cut.value;
  const toward = f.hand === 'left' ? 'from the groove outwards, the spindle forward' : 'towards the chuck';
  return {
    settings: [
      setting(
        f,
        'along',
        `in along the compound at ${compoundDeg}°`,
        alongCompoundMm,
        'the depth over the cosine of its angle',
        'compound',
      ),
      setting(
        f,
        'depth',
        'or straight in',
        depthMm,
        `for a tip radius of ${formatWithUnit(tipSize, bench.unit)}, less half of what the blank is under`,
        'cross',
      ),
      setting(f, 'groove', 'stop groove, diameter', grooveMm, 'just below the root'),
      ...wires(f, host, bench.unit),
    ],
    tools: [],
    cuts: { on: 'compound', toMm: passesMm },
    words: [
      `Compound ${compoundDeg}° from the cross slide; where the scale starts at the bed it shows ${90 - compoundDeg}°.`,
      `Scratch pass first, ${toward}, and check the pitch${f.starts > 1 ? ` (the lead is ${f.starts} pitches; index ${(360 / f.starts).toFixed(1)}° for each start)` : ''}.`,
      'Each pass takes as much metal as the first. Then a spring pass or two, and the real nut before it leaves the lathe.',
      ...byDie(t),
      ...gearing(f, t, bench),
    ],
  };
}

function inside(f: Thread, host: Host, t: BookThread, { unit, drillSets }: Bench): ReturnType<Scheduler<Thread>> {
  const hole = holeBefore(t, drillSets);
  if (!hole) return null;
  const { limits, drill, mm } = hole;
  const own = host.surface.leftMm;
  const tapped = isTapped(t.name);
  return {
    settings: [
      setting(
        f,
        'hole',
        'hole before the thread',
        mm,
        `${formatLength(limits.lowerMm, unit)} to ${formatWithUnit(limits.upperMm, unit)}, ${limits.source}`,
      ),
      ...(tapped ? [] : [setting(f, 'depth', 'straight in, from the hole', (t.majorMm - own) / 2, 'to the basic major diameter', 'cross')]),
    ],
    tools: tapped ? [{ kind: 'tap', thread: t.name }] : [],
    cuts: null,
    words: [
      drill ? `Drill ${drillWords(drill.drill)}, ${drill.percent.toFixed(0)} % of thread.` : `Bore it to ${formatWithUnit(mm, unit)}.`,
      tapped
        ? 'Tap held square by the tailstock, cutting oil, back a half turn to break the chip; a plug tap last in a blind hole.'
        : 'Single-point it with a bar as thick as goes in; try the mating screw, not the number alone.',
    ],
  };
}

/** Single-pointing an outside thread; the hole, the drill and the tap of an inside one. */
export const threadSchedule: Scheduler<Thread> = (f, host, bench) => {
  const t = f.thread.trim() ? findThread(f.thread) : undefined;
  if (!t) return null;
  return host.surface.side === 'outside' ? outside(f, host, t, bench) : inside(f, host, t, bench);
};
