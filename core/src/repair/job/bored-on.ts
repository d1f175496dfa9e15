import type { BoringId } from '../../making/holdings';
import type { CrossDial, Lathe, Machine } from '../../making/setups';
import type { LengthUnit } from '../../terms/quantity';
import { slowest, stampedOn } from './held-speed';
import type { Spindle } from './planned-passes';
import type { Shop } from './records';

/** What a bore or a surface is brought to its size by: whose numbers the coach tells. */
export interface Dialled {
  readonly name: string;
  readonly cross: CrossDial;
  /** Of a bore: it rises as the bore grows; the cross slide's falls. */
  readonly rises: boolean;
  /** What to mind of it; empty where it is a dial on record. */
  readonly words: string;
}

/** A line of a dial that nobody has on record, by unit: what is told is a size on the diameter. */
const PLAIN: Readonly<Record<LengthUnit, CrossDial>> = {
  mm: { unit: 'mm', perTurn: 1, perLine: 0.01, reads: 'diameter' },
  in: { unit: 'in', perTurn: 0.05, perLine: 0.0005, reads: 'diameter' },
};

/** The dial of a lathe's cross slide. */
export const crossSlide = ({ cross }: Pick<Lathe, 'cross'>): Dialled => ({ name: 'cross slide', cross, rises: false, words: '' });

/** The shop's mill; null where none is on record. */
export const millOf = ({ machines }: Pick<Shop, 'machines'>): Machine | null => machines.find((m) => m.mill) ?? null;

/** Its spindle. */
export function millSpindle(shop: Pick<Shop, 'machines'>): Pick<Spindle, 'name' | 'gearsRpm'> | null {
  const mill = millOf(shop);
  return mill?.mill ? { name: mill.name, gearsRpm: mill.mill.gearsRpm } : null;
}

/** What turns, bores, and at which speeds; null where a reamer or a hone follows the hole, or the machine is not there. */
export function boredOn(id: BoringId, lathe: Lathe | null, mill: Machine | null): Spindle | null {
  if (id === 'follow') return null;
  if (id === 'mill-head') return mill?.mill ? { name: mill.name, gearsRpm: mill.mill.gearsRpm, most: null } : null;
  if (!lathe) return null;
  const on = { name: lathe.name, gearsRpm: lathe.gearsRpm };
  if (id === 'carriage-bar') return { ...on, most: null };
  if (id === 'jaws') return { ...on, most: stampedOn('four-jaw', lathe) };
  const slow = lathe.gearsRpm.length ? { rpm: Math.min(...lathe.gearsRpm), words: 'the lowest gear, as it is out of balance' } : null;
  return { ...on, most: slowest([slow, stampedOn('faceplate', lathe)]) };
}

/** Whose dial sets a bore: the lathe's cross slide where that turns the work, else the boring head, or the tool in its bar. */
export function dialOfBore(id: BoringId | null, lathe: Lathe, mill: Machine | null): Dialled {
  if (id === 'mill-head') {
    const head = mill?.mill?.head;
    const of = { name: 'boring head', rises: true };
    const plain = PLAIN[mill?.mill?.dial.unit ?? lathe.cross.unit];
    return head
      ? { ...of, cross: head, words: '' }
      : {
          ...of,
          cross: plain,
          words: 'The boring head’s dial is not on the mill’s card at Shop: what is told here is on the diameter. See what its lines mean.',
        };
  }
  if (id === 'carriage-bar')
    return {
      ...{ name: 'tool in its bar', rises: true },
      cross: { ...PLAIN[lathe.cross.unit], reads: 'radius' },
      words: 'The tool is set out of its bar by so much, with an indicator on its tip or a screw behind it: the cross slide stays locked.',
    };
  return crossSlide(lathe);
}
