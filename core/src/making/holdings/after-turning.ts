import { keeper } from '../../terms/kept';
import { formatWithUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { processOf } from '../part';
import { actWords, type Cut } from './cut';
import type { SetUpDraft } from './set-up';
import type { Work } from './work';
import { gripOn } from './ways/grip';

const ECCENTRIC_CAUTION =
  'It is out of balance: counterweight on the plate, lowest gear first, the whole swing turned by hand past bed and tool before the spindle starts.';

/** For each kind of thing that is done after turning: where and how it is held. */
function tail(
  work: Work,
  cuts: readonly Cut[],
  more: Pick<SetUpDraft, 'title' | 'hold' | 'machine' | 'holding' | 'cautions' | 'settingMin'> & { readonly last?: string },
): SetUpDraft[] {
  if (!cuts.length) return [];
  const { last, ...own } = more;
  const held = gripOn(work, work.cuts, 'near');
  return [
    {
      ...own,
      zeroFace: 'the zero end',
      operations: [...new Set(cuts.flatMap(actWords)), ...(last ? [last] : [])],
      fromFarEnd: false,
      partsOff: false,
      toLength: false,
      overhangMm: 0,
      support: 'none',
      locates: held ? { on: 'surface', id: held.id } : { on: 'stock' },
      free: 'both',
      cuts: cuts.map((c) => c.id),
    },
  ];
}

const keepAfter = keeper<Work, readonly SetUpDraft[]>();

/**
 * What follows the turning whichever way it was held, so once for all of them: eccentrics, what is cut across the axis, keyways, and what is not cut
 * at all.
 */
export const afterTurning = (work: Work): readonly SetUpDraft[] => keepAfter(work, [], () => allAfter(work));

function allAfter(work: Work): SetUpDraft[] {
  const { cuts } = work;
  const eccentric = cuts.filter((c) => c.offAxis);
  const swing = work.part.features.flatMap((f) =>
    f.kind === 'eccentric' ? [`${inSentence(f.name)} ${formatWithUnit(2 * f.throwMm, work.unit)}`] : [],
  );
  return [
    ...tail(work, eccentric, {
      title: 'Beside the axis',
      hold: `four-jaw chuck or faceplate, dialled in until the indicator swings twice the offset: ${swing.join(', ')}`,
      machine: 'lathe',
      holding: 'four-jaw',
      cautions: [ECCENTRIC_CAUTION],
      settingMin: 25,
    }),
    ...tail(
      work,
      cuts.filter((c) => c.by === 'mill'),
      {
        title: 'Across the axis, on the mill',
        hold: 'V-block or vise with a V, finder on the centre line; a rotary head where clock angles hang together',
        machine: 'mill',
        holding: null,
        cautions: ['Clamp before drilling: a pin that turns under the drill takes the hand with it.'],
        settingMin: 12,
        last: 'Deburr inside and out',
      },
    ),
    ...tail(
      work,
      cuts.filter((c) => c.by === 'broach'),
      {
        title: 'Keyways',
        hold: 'on the arbor press with a guide bush, or in the slotting vise',
        machine: 'press',
        holding: null,
        cautions: ['A broach under a press can shatter: stand aside, guard up.'],
        settingMin: 8,
      },
    ),
    ...tail(
      work,
      cuts.filter((c) => c.by === 'treat'),
      {
        title: 'Treatment',
        hold: 'on the bench, or out of house',
        machine: 'bench',
        holding: null,
        cautions: [...new Set(work.part.features.flatMap((f) => (f.kind === 'treatment' ? [processOf(f).minds] : [])))],
        settingMin: 10,
      },
    ),
  ];
}
