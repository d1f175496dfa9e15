import type { Outcome } from '../../../terms/outcome';
import type { SetUpDraft } from '../set-up';
import type { Work } from '../work';

/** One school of holding a turned part. */
export interface HoldingWay {
  readonly name: string;
  /** When people hold it so, in a sentence. */
  readonly about: string;
  /** The stock is left long, held on, and cut off; else it is sawn to length and both ends are faced. */
  readonly cutsOff: boolean;
  /** Every piece has a blank of its own: no second one is cut off behind it. */
  readonly alone?: true;
  /** The holdings on the lathe in their order; why there are none, where this part cannot be held so. */
  plan(work: Work): Outcome<SetUpDraft[]>;
}
