import { crossTurns, toTurns, turnsWords, type Lathe } from '../setups';
import type { Setting } from './schedule';

/** A depth as the cross slide's dial counts it, in its own unit, radius or diameter: `1 turn + 0.0755`. */
export const onCross = (depthMm: number, lathe: Pick<Lathe, 'cross'>): string => turnsWords(crossTurns(2 * depthMm, lathe), lathe.cross);

/** A setting as the hand counts it on its dial, with the dial's unit; empty where it is no dial's, or one that the lathe's card tells nothing of. */
export function onDial({ figure, on }: Setting, lathe: Pick<Lathe, 'cross' | 'carriage'>): string {
  if (on === 'cross') return `${onCross(figure.value, lathe)} ${lathe.cross.unit}`;
  return on === 'carriage' ? `${turnsWords(toTurns(figure.value, lathe.carriage), lathe.carriage)} ${lathe.carriage.unit}` : '';
}
