import { inSentence } from '../../terms/words';
import type { PartFeature } from '../part';
import { KEYS, onceEach, type Act } from './act';
import { actsFor, type Cut } from './cut';
import { HOLDINGS, type HoldingKind } from './holding';
import { supportFor, type Support } from './overhang';
import { doing, type FreeEnd, type Locates, type SetUpDraft } from './set-up';
import type { Work } from './work';

const LATHE_CAUTION = 'No gloves, no loose sleeves, chuck key out before the spindle turns, eyes covered.';
const BRONZE_CAUTION = 'Bronze and brass spray needle chips: guard and face shield.';
const CENTRES_CAUTION = 'The dog carries the sleeve with it: guarded or safety dog, dead centre greased and watched as the work warms.';
const STEADY_CAUTION =
  'The steady’s fingers are oiled and watched: what warms in them grows and seizes. Bring them up with the spindle turning by hand.';
const PLATE_CAUTION =
  'Every clamp tight and clear of the bed, counterweight where it is out of balance, the whole swing turned by hand before the spindle starts, lowest gear first.';
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

function boreActs(work: Work, cuts: readonly Cut[], partsOff: boolean): Act[] {
  const inside = new Set(cuts.filter((c) => c.side === 'inside').map((c) => c.id));
  return work.part.bores.flatMap((b): Act[] => {
    const here = b.surfaces.filter((s) => inside.has(s.id)).map((s) => s.id);
    const words = `${work.hollow ? 'Bore' : 'Drill and bore'} ${b.through ? (partsOff ? 'through, past the part-off' : 'through') : 'to depth'}`;
    return here.length ? [{ key: b.id, words, cuts: here }] : [];
  });
}

/** A surface as an act of its own. */
export const turnAct = ({ id, name, side }: Pick<Cut, 'id' | 'name' | 'side'>): Act => ({
  ...{ key: id, words: `${side === 'inside' ? 'Bore' : 'Turn'} ${inSentence(name)}`, cuts: [id] },
});

function turnActs(work: Work, cuts: readonly Cut[], free: FreeEnd): Act[] {
  const turned = work.outside.flatMap((s) => cuts.find((c) => c.id === s.id && c.side === 'outside') ?? []);
  // From the free end inwards, as the tool comes to them.
  return (free === 'near' ? turned : turned.reverse()).map(turnAct);
}

/** Cautions of turning this part held this way. */
function cautionsOf({ part, asBought }: Work, t: Turning): string[] {
  const needles = part.materialId.startsWith('bronze') || part.materialId === 'brass';
  return [
    LATHE_CAUTION,
    ...(needles ? [BRONZE_CAUTION] : []),
    ...(t.holding === 'centres' || t.holding === 'mandrel' ? [CENTRES_CAUTION] : []),
    ...(t.holding === 'steady' ? [STEADY_CAUTION] : []),
    ...(t.holding === 'faceplate' ? [PLATE_CAUTION] : []),
    ...((t.locates.on === 'surface' || asBought.size > 0) && t.holding === 'three-jaw' ? [CHROME_CAUTION] : []),
  ];
}

/** A holding on the lathe with its acts in the order in which they are done. */
export function turningSetUp(work: Work, t: Turning): SetUpDraft {
  const support = t.overhangMm > 0 ? supportFor(t.overhangMm, t.heldMm) : 'none';
  const bores = boreActs(work, t.cuts, t.partsOff);
  const isA = (kind: PartFeature['kind']) => (c: Cut) => work.part.features.find((f) => f.id === c.id)?.kind === kind;
  // Plain edges have a line of their own, at the end; threads come after it: their ends are chamfered before they are cut.
  const [isEdge, isThread] = [isA('chamfer'), isA('thread')];
  const bare = (key: string, words: string): Act => ({ key, words, cuts: [] });
  const centred = bores.length
    ? 'Bring up the tailstock: its centre runs in the mouth of the bore, chamfered to 60°'
    : work.hollow
      ? 'Bring up the tailstock: a plug with a centre in the hole of the stock, or a cone that turns'
      : 'Centre drill, bring up the tailstock';
  const acts = onceEach([
    ...(t.facesFirst ? [bare(KEYS.face, 'Face the end: this is the zero face')] : []),
    ...(t.toLength ? [bare(KEYS.length, 'Face to length over all')] : []),
    ...(t.centres ? [bare(KEYS.centres, 'Centre drill both ends')] : []),
    ...bores,
    ...(support === 'none' ? [] : [bare(KEYS.support, centred)]),
    ...turnActs(work, t.cuts, t.free),
    ...t.cuts.filter((c) => !isEdge(c) && !isThread(c)).flatMap(actsFor),
    { key: KEYS.edges, words: 'Chamfers and edges', cuts: t.cuts.filter(isEdge).map((c) => c.id) },
    ...t.cuts.filter(isThread).flatMap(actsFor),
    ...(t.partsOff ? [bare(KEYS.partOff, 'Part off')] : []),
  ]);
  const short = support === 'none' && t.holding === 'three-jaw' ? ', short overhang' : '';
  return {
    title: t.title,
    hold: `${HOLDINGS[t.holding].words}${SUPPORT_WORDS[support]}${short}${t.heldOn ? `, ${t.heldOn}` : ''}`,
    zeroFace: t.zeroFace,
    ...doing(
      acts,
      t.cuts.map((c) => c.id),
    ),
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
    after: null,
    settingMin: HOLDINGS[t.holding].minutes + SUPPORT_MIN[support],
  };
}
