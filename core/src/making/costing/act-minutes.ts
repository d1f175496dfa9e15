import { materialOf } from '../../book/materials';
import { COST_ACTS, type CostAct, type CostActRow } from './cost-acts.data';
import { scaled, type ThreePoint } from './spread';

/** How large the work is that an act is done on. */
export interface WorkSize {
  readonly diameterMm: number;
  readonly lengthMm: number;
  readonly materialId: string;
}

/** Minutes of hands, and of what runs by itself meanwhile. */
export interface ActMinutes {
  readonly hands: ThreePoint;
  readonly aloneMin: number;
  /** Nobody knows how large it is: the span is wider. */
  readonly sizeKnown: boolean;
}

/** A usual feed, mm a turn; a speed for metal that is not known, m/min; what a power saw cuts, mm² a minute; a weld's run, mm a minute, and its runs. */
const FEED_MM = 0.2;
const USUAL_SPEED_M_MIN = 22;
const SAWN_MM2_MIN = 1000;
const RUN_MM_MIN = 250;
const RUNS = 4;
/** Back, read and dial between two passes, min. */
const BETWEEN_MIN = 1;
/** Where the size is not known the spread is as much wider, either way. */
const UNKNOWN_WIDER = 1.4;

/**
 * One pass along a cylinder, min: its length by feed and turns, turns by the speed at its surface.
 *
 * @returns pi D L / (1000 v f)
 */
const passMin = ({ diameterMm, lengthMm, materialId }: WorkSize): number =>
  (Math.PI * diameterMm * lengthMm) / (1000 * (materialOf(materialId)?.speedHss ?? USUAL_SPEED_M_MIN) * FEED_MM);

function growthMin({ grows, passes }: CostActRow, size: WorkSize): { readonly hands: number; readonly alone: number } {
  switch (grows) {
    case 'not':
      return { hands: 0, alone: 0 };
    case 'passes':
      return { hands: passes * (passMin(size) + BETWEEN_MIN), alone: 0 };
    case 'sawn':
      return { hands: 0, alone: (Math.PI * size.diameterMm ** 2) / 4 / SAWN_MM2_MIN };
    case 'seam':
      return { hands: (RUNS * Math.PI * size.diameterMm) / RUN_MM_MIN, alone: 0 };
  }
}

/** The next of the same: what is set up already and known by heart is set up in this share of the time. */
const AGAIN_SHARE = 0.4;

/** How much of the estimated minutes an act takes in this shop, as its own jobs tell; 1 where none does. */
export type Took = (act: CostAct) => number;

/**
 * Minutes of one act.
 *
 * @param size null where nobody knows how large the work is
 * @param times how often it is done, one after another
 */
export function actMinutes(act: CostAct, size: WorkSize | null, times: number, took: Took): ActMinutes {
  const row: CostActRow = COST_ACTS[act];
  const grown = size ? growthMin(row, size) : { hands: 0, alone: 0 };
  const wider = size || row.grows === 'not' ? 1 : UNKNOWN_WIDER;
  const likely = (row.baseMin * (1 + AGAIN_SHARE * (times - 1)) + times * grown.hands) * took(act);
  return {
    hands: scaled({ low: row.low / wider, likely: 1, high: row.high * wider }, likely),
    aloneMin: times * grown.alone,
    sizeKnown: wider === 1,
  };
}
