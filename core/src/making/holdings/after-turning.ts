import { keeper } from '../../terms/kept';
import { processOf } from '../part';
import { KEYS, onceEach } from './act';
import { actsFor, type Cut } from './cut';
import type { AfterId } from './after-hold-ids';
import { AFTER_HOLDS, heldWords, holdsAfter } from './held-after';
import { doing, type SetUpDraft } from './set-up';
import type { Work } from './work';
import { gripOn } from './ways/grip';

const ECCENTRIC_CAUTION =
  'It is out of balance: counterweight on the plate, lowest gear first, the whole swing turned by hand past bed and tool before the spindle starts.';

const CLAMP_CAUTION = 'Clamp before drilling: a pin that turns under the drill takes the hand with it.';

/** What a set-up after turning has of its own. */
interface Own {
  readonly title: string;
  readonly machine: SetUpDraft['machine'];
  readonly cautions: readonly string[];
  /** How it can be held; else in these words and that time. */
  readonly after?: AfterId;
  readonly hold?: string;
  readonly settingMin?: number;
  readonly last?: string;
}

/** What is settled of how it is held there: as somebody said while it will do, else the best. */
function heldThere(work: Work, cuts: readonly Cut[], after: AfterId): NonNullable<SetUpDraft['after']> {
  const choices = holdsAfter(after, work, cuts);
  return { choices, chosen: (choices.find((c) => work.afterHolds.includes(c.id)) ?? choices[0]!).id };
}

/** For each kind of thing that is done after turning: where and how it is held. */
function tail(
  work: Work,
  cuts: readonly Cut[],
  { title, machine, cautions, after: kind, hold = '', settingMin = 0, last }: Own,
): SetUpDraft[] {
  if (!cuts.length) return [];
  const held = gripOn(work, work.cuts, 'near');
  const after = kind ? heldThere(work, cuts, kind) : null;
  return [
    {
      ...{ title, machine, cautions, after, hold: after ? heldWords(after.chosen, work, cuts) : hold },
      holding: after ? (AFTER_HOLDS[after.chosen].holding ?? null) : null,
      zeroFace: 'the zero end',
      ...doing(
        [...onceEach(cuts.flatMap(actsFor)), ...(last ? [{ key: KEYS.edges, words: last, cuts: [] }] : [])],
        cuts.map((c) => c.id),
      ),
      fromFarEnd: false,
      partsOff: false,
      toLength: false,
      overhangMm: 0,
      support: 'none',
      locates: held ? { on: 'surface', id: held.id } : { on: 'stock' },
      free: 'both',
      settingMin: after?.choices.find((c) => c.id === after.chosen)!.minutes ?? settingMin,
    },
  ];
}

const keepAfter = keeper<Work, readonly SetUpDraft[]>();

/**
 * What follows the turning whichever way it was held, so once for all of them: eccentrics, what is cut across the axis and in the ends, keyways, and
 * what is not cut at all.
 */
export const afterTurning = (work: Work): readonly SetUpDraft[] => keepAfter(work, [], () => allAfter(work));

function allAfter(work: Work): SetUpDraft[] {
  const by = (which: Cut['by']): Cut[] => work.cuts.filter((c) => c.by === which);
  const milled = { machine: 'mill', cautions: [CLAMP_CAUTION], last: 'Deburr inside and out' } as const;
  const inEnd = (end: Cut['from']): Cut[] => by('mill').filter((c) => c.inEnd && c.from === end);
  const minds = work.part.features.flatMap((f) => (f.kind === 'treatment' ? [processOf(f).minds] : []));
  return [
    ...tail(
      work,
      work.cuts.filter((c) => c.offAxis),
      { title: 'Beside the axis', machine: 'lathe', after: 'beside', cautions: [ECCENTRIC_CAUTION] },
    ),
    ...tail(
      work,
      by('mill').filter((c) => !c.inEnd),
      { ...milled, title: 'Across the axis, on the mill', after: 'lying' },
    ),
    ...tail(work, inEnd('near'), { ...milled, title: 'In the zero end, on the mill', after: 'standing' }),
    ...tail(work, inEnd('far'), { ...milled, title: 'In the far end, on the mill', after: 'standing' }),
    ...tail(work, by('broach'), {
      ...{ title: 'Keyways', machine: 'press', hold: 'on the arbor press, the broach in a guide bush', settingMin: 8 },
      cautions: ['A broach under a press can shatter: stand aside, guard up.'],
    }),
    ...tail(work, by('slot'), {
      ...{ title: 'Slotted in the bore', machine: 'lathe', settingMin: 12 },
      hold: 'in the chuck, dialled in on the bore, spindle locked in its lowest gear; the tool on its side in the bar, drawn through by the carriage',
      cautions: ['Switch off and locked while the spindle is held: a lathe that starts with its gear locked breaks, and the tool flies.'],
    }),
    ...tail(work, by('treat'), {
      ...{ title: 'Treatment', machine: 'bench', hold: 'on the bench, or out of house', settingMin: 10, cautions: [...new Set(minds)] },
    }),
  ];
}
