import { crossTurns, toTurns, turnsWords, type Lathe } from '../setups';
import { formatLength, type LengthUnit } from '../../terms/quantity';
import type { Schedule, Setting } from './schedule';

/** A depth as the cross slide's dial counts it, in its own unit, radius or diameter: `1 turn + 0.0755`. */
export const onCross = (depthMm: number, lathe: Pick<Lathe, 'cross'>): string => turnsWords(crossTurns(2 * depthMm, lathe), lathe.cross);

/** A setting as the hand counts it on its dial, with the dial's unit; empty where it is no dial's, or one that the lathe's card tells nothing of. */
export function onDial({ figure, on }: Setting, lathe: Pick<Lathe, 'cross' | 'carriage'>): string {
  if (on === 'cross') return `${onCross(figure.value, lathe)} ${lathe.cross.unit}`;
  return on === 'carriage' ? `${turnsWords(toTurns(figure.value, lathe.carriage), lathe.carriage)} ${lathe.carriage.unit}` : '';
}

/** Cuts one after another as they are told: what counts them, then each; nothing where there is but one. */
interface ToldCuts {
  readonly on: string;
  readonly each: readonly string[];
}

/** Cuts as their dial shows them: on the cross slide in the dial's own count, else in the reader's unit. */
export function toldCuts({ cuts }: Pick<Schedule, 'cuts'>, lathe: Pick<Lathe, 'cross'>, unit: LengthUnit): ToldCuts | null {
  if (!cuts || cuts.toMm.length < 2) return null;
  return {
    on: cuts.on === 'compound' ? 'compound at' : cuts.on === 'cross' ? 'cross slide at' : 'down to',
    each: cuts.toMm.map((mm) => (cuts.on === 'cross' ? onCross(mm, lathe) : formatLength(mm, unit, unit === 'mm' ? 2 : 3))),
  };
}
