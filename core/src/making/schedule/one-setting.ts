import { inSentence } from '../../terms/words';
import { ruled, workedOut } from '../../terms/working';
import { partLengthMm, type Part } from '../part';
import type { Rung } from '../setups';
import type { Schedule, Setting } from './schedule';

/** One holding of a batch. */
export interface BatchHolding {
  /** Number of the set-up. */
  readonly number: number;
  readonly machine: 'lathe' | 'mill' | 'press' | 'bench';
  /** Cut off in it, so the bar is pulled out again for the next piece. */
  readonly partsOff: boolean;
  readonly betweenCentres: boolean;
  readonly toLength: boolean;
  readonly ladder: readonly Rung[];
  /** What every piece takes of the bar, mm. */
  readonly pieceMm: number;
  readonly pieces: number;
}

/** Shoulder that the carriage's stop is set for: the farthest that is turned to, not plunged or parted to. */
function stopAt(ladder: readonly Rung[]): Rung | null {
  const stops = ladder.filter((r) => r.dial && r.key.endsWith('.shoulder') && r.toolMm === r.depthMm);
  return stops.reduce<Rung | null>((far, r) => (far && far.toolMm >= r.toolMm ? far : r), null);
}

const own = (number: number): string => `schedule.batch.${number}`;

function settingsOf(h: BatchHolding, part: Part): Setting[] {
  const out: Setting[] = [];
  if (h.partsOff)
    out.push({
      figure: workedOut(
        `${own(h.number)}.pull`,
        'bar pulled out for the next',
        h.pieceMm,
        'the part, its ends faced, and the parting tool',
        [],
      ),
      on: null,
    });
  else if (h.toLength)
    out.push({
      figure: workedOut(
        `${own(h.number)}.length`,
        'from the stop to the face that is cut',
        partLengthMm(part),
        'the part’s length: its finished end is on the stop',
        [],
      ),
      on: null,
    });
  const stop = h.machine === 'lathe' ? stopAt(h.ladder) : null;
  if (stop)
    out.push({
      figure: ruled(
        `${own(h.number)}.stop`,
        `carriage stop, at ${inSentence(stop.what)}`,
        stop.toolMm,
        'from the zero face of the first piece',
      ),
      on: 'carriage',
    });
  return out;
}

function wordsOf({ machine, partsOff, betweenCentres, pieces }: BatchHolding): string[] {
  if (machine === 'mill')
    return [
      `A stop at one end of the vise or block: all ${pieces} go through at this setting of table and spindle before anything is moved.`,
      'Chips off the stop and out of the V before each is laid in.',
    ];
  return [
    partsOff
      ? 'A stop in the tailstock or on the bed: the bar runs up to it each time, so the zero face of every piece comes to the same place and the dial is set once.'
      : betweenCentres
        ? 'Centre all of them to one depth by the tailstock’s quill first: then their faces come to the same place.'
        : 'A stop in the spindle or behind the jaws: each lies against it with its finished end, wiped clean, so the dial is set once.',
    'The last hundredths are still read on each piece: a stop gives its place, not its size.',
  ];
}

/** What is set once so that every piece of a batch is made by it; null for one piece, and where nothing is cut by dials. */
export function oneSetting(h: BatchHolding, part: Part): Schedule | null {
  if (h.pieces < 2 || h.machine === 'press' || h.machine === 'bench') return null;
  return {
    ...{ id: `batch.${h.number}`, title: `One setting for all ${h.pieces}`, tools: [], cuts: null },
    settings: settingsOf(h, part),
    words: wordsOf(h),
  };
}
