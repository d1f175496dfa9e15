import type { FeatureKindId } from '../../making/part';
import type { Limits } from '../../evidence/proof';
import { ASSEMBLED, ASSEMBLED_IDS, type AssembledId } from './assembled.data';
import type { BoreFinding } from './bore-finding';
import { choiceKey, chosenStacks, type AssembledChoice } from './choices';
import type { FitFinding } from './fit-finding';
import type { ItemFinding } from './item-finding';
import type { ChoiceRecord, JobSheet } from './records';
import { acts, findings } from './strip-records';

/** How a trial of the assembled machine stands: open, good, not good, measured outside what is wanted, not for this job. */
export type AssembledState = 'open' | 'good' | 'failed' | 'out' | 'off';

/** Something to try once it is together. */
export interface AssembledCheck {
  readonly id: string;
  readonly what: string;
  readonly caution: string;
  readonly holds: boolean;
  /** Where a size is measured of it: what it may be, mm. */
  readonly limits: Limits | null;
  readonly state: AssembledState;
  /** What was said of it, and by whom; null while nobody did. */
  readonly said: (AssembledChoice & Pick<ChoiceRecord, 'personId' | 'at'>) | null;
}

interface Given {
  readonly sheet: JobSheet;
  readonly items: readonly ItemFinding[];
  readonly fits: readonly FitFinding[];
  readonly bores: readonly BoreFinding[];
}

const KEYED: readonly FeatureKindId[] = ['keyseat', 'woodruff-seat', 'keyway'];
const SEALED: readonly FeatureKindId[] = ['seal-land', 'seal-groove', 'oring-groove'];

/** Every end play that was asked for, by the id of its check; of several each says what sits there. */
function endPlays({ sheet, items }: Given): { readonly id: string; readonly limits: Limits; readonly of: string }[] {
  const all = items.flatMap(({ item }) => (item.off ? [] : chosenStacks(sheet, item.id).map((s) => ({ ...s, itemId: item.id }))));
  return all.map(({ itemId, number, stack }) => ({
    id: itemId === sheet.job.id && number === 1 ? 'end-play' : `end-play:${itemId}:${number}`,
    limits: { lowerMm: stack.leastMm, upperMm: stack.mostMm },
    of: all.length > 1 ? stack.pieces.map((p) => p.name).join(', ') : '',
  }));
}

const hasFeature = ({ items }: Given, kinds: readonly FeatureKindId[]): boolean =>
  items.some((i) => !i.item.off && i.part?.part.features.some((f) => kinds.includes(f.kind)));
const hasStep = ({ items }: Given, wanted: readonly string[]): boolean =>
  items.some((i) => !i.item.off && i.item.steps.some((s) => wanted.includes(s.act)));

/** A lip runs on it, or how true it runs is asked: then it turns, whatever it turns in. */
const runs = ({ items }: Given): boolean =>
  items.some(
    (i) => !i.item.off && i.part?.part.features.some((f) => f.kind === 'seal-land' || (f.kind === 'relation' && f.which === 'run-out')),
  );

/** What of the job asks for each. */
const ASKED: Readonly<Record<AssembledId, (g: Given) => boolean>> = {
  crack: (g) => hasStep(g, ['straighten']) || acts(g.sheet).some((a) => a.value.kind === 'bend' && a.value.state === 'done'),
  ring: (g) => hasFeature(g, ['ring-groove']),
  key: (g) => hasFeature(g, KEYED),
  home: (g) => hasStep(g, ['press', 'shrink']),
  thread: (g) => hasFeature(g, ['thread']),
  'end-play': (g) => endPlays(g).length > 0,
  backlash: ({ sheet }) => findings(sheet).some((f) => f.value.findingId === 'backlash-wrong'),
  turns: (g) => [...g.fits, ...g.bores].some((f) => f.choice !== null) || runs(g),
  seal: (g) => hasFeature(g, SEALED),
  leak: ({ sheet }) => sheet.job.hazards.includes('pressure'),
};

function stateOf(said: AssembledChoice | null, limits: Limits | null): AssembledState {
  if (!said) return 'open';
  const { state, measuredMm, remark } = said;
  if (state !== 'good' || measuredMm === null || !limits || remark.trim() !== '') return state;
  return measuredMm < limits.lowerMm || measuredMm > limits.upperMm ? 'out' : state;
}

/** What is tried once the machine is together, by what was made and what the job is; then what people added. */
export function assembledChecks(given: Given): AssembledCheck[] {
  const head = choiceKey.assembled('');
  const said = new Map(
    given.sheet.choices.flatMap((c) =>
      c.key.startsWith(head) && c.value
        ? [[c.key.slice(head.length), { ...(c.value as AssembledChoice), personId: c.personId, at: c.at }] as const]
        : [],
    ),
  );
  const plays = endPlays(given);
  const listed = ASSEMBLED_IDS.filter((id) => said.has(id) || ASKED[id](given)).flatMap((row): AssembledCheck[] => {
    const each = row === 'end-play' && plays.length ? plays : [{ id: row, limits: null, of: '' }];
    return each.map(({ id, limits, of }) => {
      const own = said.get(id) ?? null;
      const what = of ? `${ASSEMBLED[row].what}: ${of}` : ASSEMBLED[row].what;
      return { id, ...ASSEMBLED[row], what, limits, state: stateOf(own, limits), said: own };
    });
  });
  const own = [...said]
    .filter(([id]) => !listed.some((c) => c.id === id))
    .map(([id, s]): AssembledCheck => ({ id, what: s.what, caution: '', holds: false, limits: null, state: stateOf(s, null), said: s }));
  return [...listed, ...own];
}

/** One that went wrong; undefined where none did. */
export const wrongAssembled = (checks: readonly AssembledCheck[]): AssembledCheck | undefined =>
  checks.find((c) => c.state === 'failed' || c.state === 'out');

/** One without which nothing is passed, and that is open; undefined where none is. */
export const heldAssembled = (checks: readonly AssembledCheck[]): AssembledCheck | undefined =>
  checks.find((c) => c.holds && c.state === 'open');
