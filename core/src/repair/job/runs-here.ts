import { inSentence } from '../../terms/words';
import { BEARINGS, type BearingSize } from '../../book/bearings';
import { chosenRuns } from './choices';
import type { Measured } from './measured';
import type { JobSheet } from './records';
import type { PairKind } from './runs-here.data';
import { mateOf } from './pair';

/** What runs in a hole: as somebody said, else as the evidence proposes; null while neither knows. */
export interface RunsHere {
  readonly kind: PairKind | null;
  readonly chosen: boolean;
  readonly why: string;
}

/** Wear takes this much off a bearing's fit before its sizes no longer tell it, mm. */
const BEARING_WEAR_MM = 0.06;
/** Play beyond this share of the size is the play of something that moves. */
const MOVING_SHARE = 0.0015;
/** Interference beyond this is no accident of measuring, mm: wear only ever makes it less. */
const PRESSED_MM = 0.004;
/** A place that is called so was pressed. */
const PRESSED = /\bpress(ed)?\b/i;
/** What is called so sits pressed in its hole, however loose it has become. */
const BUSH = /\b(bush|bushing|sleeve|liner)$/i;

const near = (mm: number, listed: number): boolean => Math.abs(mm - listed) <= BEARING_WEAR_MM;

/** A measured place with whose it is. */
export type Sized = Pick<Measured, 'place' | 'component' | 'shape'>;

/** The listed bearings whose bore and outside are both on the hole's component. */
export function bearingsOn(hole: Sized, places: readonly Sized[]): BearingSize[] {
  const bore = hole.place.side === 'inside' ? hole.shape?.smallestMm : undefined;
  const outsides = places.filter((f) => f.component.id === hole.component.id && f.place.side === 'outside' && f.shape);
  return bore === undefined
    ? []
    : BEARINGS.filter((b) => near(bore, b.boreMm) && outsides.some((o) => near(o.shape!.largestMm, b.outsideMm)));
}

function propose(place: Sized, places: readonly Sized[]): Omit<RunsHere, 'chosen'> {
  const mate = mateOf(place, places);
  const said = [place, ...(mate ? [mate] : [])].find((f) => f.place.suspicions.includes('bearing'));
  if (said) return { kind: 'bearing-inner', why: `a bearing ran at ${inSentence(said.place.name)}, as was said at Strip` };
  const isHole = place.place.side === 'inside';
  const [bearing] = bearingsOn(place, places);
  if (bearing) return { kind: 'bearing-inner', why: `bore and outside are those of a ${bearing.code}` };
  const [hole, pin] = isHole ? [place, mate] : [mate, place];
  const holeMm = hole?.place.side === 'inside' ? hole.shape?.smallestMm : undefined;
  const pinMm = pin?.place.side === 'outside' ? pin.shape?.largestMm : undefined;
  if (holeMm === undefined || pinMm === undefined) return { kind: null, why: 'only one side of the pair is measured' };
  if (BUSH.test(pin!.component.name)) return { kind: 'pressed-bush', why: `${inSentence(pin!.component.name)} sits pressed in its hole` };
  if (pinMm - holeMm > PRESSED_MM) return { kind: 'pressed-bush', why: 'the pin is larger than its hole' };
  const called = [hole!, pin!].find((f) => PRESSED.test(f.place.name));
  if (called && pinMm >= holeMm) return { kind: 'pressed-bush', why: `it is called ${inSentence(called.place.name)}, and has no play` };
  if (holeMm - pinMm > MOVING_SHARE * holeMm) return { kind: 'running-grease', why: 'both are worn by moving on each other' };
  return { kind: null, why: 'it neither shows wear of moving nor a press' };
}

/** What runs in a hole, or on a shaft. Asked once for a pair, proposed from what was said, from sizes in the book, and from wear. */
export function runsHere(place: Sized, places: readonly Sized[], sheet: JobSheet): RunsHere {
  const chosen = chosenRuns(sheet, place.place.id);
  return chosen ? { kind: chosen.kind, chosen: true, why: 'as somebody said at Decide' } : { ...propose(place, places), chosen: false };
}
