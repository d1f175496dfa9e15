import { inSentence } from '../../terms/words';
import { actWords, type Cut } from './cut';
import { HOLDINGS, type HoldingKind } from './holding';
import { supportFor, type Support } from './overhang';
import type { FreeEnd, Locates, SetUpDraft } from './set-up';
import type { Work } from './work';

const LATHE_CAUTION = 'No gloves, no loose sleeves, chuck key out before the spindle turns, eyes covered.';
const BRONZE_CAUTION = 'Bronze and brass spray needle chips: guard and face shield.';
const CENTRES_CAUTION = 'The dog carries the sleeve with it: guarded or safety dog, dead centre greased and watched as the work warms.';
const CHROME_CAUTION = 'The jaws bear on a finished surface: copper or tube under them.';

/** Minutes that bringing up a tailstock or setting a steady adds. */
const SUPPORT_MIN: Readonly<Record<Support, number>> = { none: 0, tailstock: 3, steady: 15 };
const SUPPORT_WORDS: Readonly<Record<Support, string>> = {
  none: '',
  tailstock: ' and tailstock centre',
  steady: ', tailstock and travelling steady',
};

/** One holding on the lathe, before its words are made. */
export interface Turning {
  readonly title: string;
  readonly holding: HoldingKind;
  readonly locates: Locates;
  readonly free: FreeEnd;
  readonly cuts: readonly Cut[];
  /** What stands out of the holding, mm; 0 between centres. */
  readonly overhangMm: number;
  /** Diameter that is gripped, mm. */
  readonly heldMm: number;
  /** Behind the holding: `on Body`. */
  readonly heldOn: string;
  readonly zeroFace: string;
  readonly facesFirst: boolean;
  readonly toLength: boolean;
  readonly partsOff: boolean;
  /** Both ends get a centre. */
  readonly centres?: boolean;
}

function boreWords(work: Work, cuts: readonly Cut[], partsOff: boolean): string[] {
  const inside = new Set(cuts.filter((c) => c.side === 'inside').map((c) => c.id));
  return work.part.bores
    .filter((b) => b.surfaces.some((s) => inside.has(s.id)))
    .map((b) => `Drill and bore ${b.through ? (partsOff ? 'through, past the part-off' : 'through') : 'to depth'}`);
}

function turnWords(work: Work, cuts: readonly Cut[], free: FreeEnd): string[] {
  const ids = new Set(cuts.map((c) => c.id));
  const turned = work.outside.filter((s) => ids.has(s.id)).map((s) => inSentence(s.name));
  // From the free end inwards, as the tool comes to them.
  return turned.length ? [`Turn ${(free === 'near' ? turned : turned.reverse()).join(', then ')}`] : [];
}

/** Cautions of turning this part held this way. */
function cautionsOf({ part, asBought }: Work, t: Turning): string[] {
  const needles = part.materialId.startsWith('bronze') || part.materialId === 'brass';
  return [
    LATHE_CAUTION,
    ...(needles ? [BRONZE_CAUTION] : []),
    ...(t.holding === 'centres' || t.holding === 'mandrel' ? [CENTRES_CAUTION] : []),
    ...((t.locates.on === 'surface' || asBought.size > 0) && t.holding === 'three-jaw' ? [CHROME_CAUTION] : []),
  ];
}

/** A holding on the lathe with its acts in the order in which they are done. */
export function turningSetUp(work: Work, t: Turning): SetUpDraft {
  const support = t.overhangMm > 0 ? supportFor(t.overhangMm, t.heldMm) : 'none';
  const bores = boreWords(work, t.cuts, t.partsOff);
  // Plain edges have a line of their own, at the end.
  const acts = t.cuts.filter((c) => work.part.features.find((f) => f.id === c.id)?.kind !== 'chamfer').flatMap(actWords);
  const short = support === 'none' && t.holding === 'three-jaw' ? ', short overhang' : '';
  return {
    title: t.title,
    hold: `${HOLDINGS[t.holding].words}${SUPPORT_WORDS[support]}${short}${t.heldOn ? `, ${t.heldOn}` : ''}`,
    zeroFace: t.zeroFace,
    operations: [
      ...(t.facesFirst ? ['Face the end: this is the zero face'] : []),
      ...(t.toLength ? ['Face to length over all'] : []),
      ...(t.centres ? ['Centre drill both ends'] : []),
      ...bores,
      ...(support === 'none'
        ? []
        : [
            bores.length
              ? 'Bring up the tailstock: its centre runs in the mouth of the bore, chamfered to 60°'
              : 'Centre drill, bring up the tailstock',
          ]),
      ...turnWords(work, t.cuts, t.free),
      ...[...new Set(acts)],
      'Chamfers and edges',
      ...(t.partsOff ? ['Part off'] : []),
    ],
    cautions: cautionsOf(work, t),
    fromFarEnd: t.free === 'far' || t.free === 'both',
    partsOff: t.partsOff,
    toLength: t.toLength,
    machine: 'lathe',
    holding: t.holding,
    overhangMm: t.overhangMm,
    support,
    locates: t.locates,
    free: t.free,
    cuts: t.cuts.map((c) => c.id),
    settingMin: HOLDINGS[t.holding].minutes + SUPPORT_MIN[support],
  };
}
