import type { TypedLimits } from '../../making/part';
import { choiceKey } from './choices';
import type { ComponentRecord, ComponentVerdict, JobSheet } from './records';
import { CLOSES_IN, STEP_ACTS, stepActOf, type StepAct } from './step-acts.data';

export const ITEM_KINDS = ['make', 'rework', 'buy', 'join'] as const;
/** Make a new part from stock, cut a component that stays, buy, or join what the other items gave. */
export type ItemKind = (typeof ITEM_KINDS)[number];

/** One act on an item beside cutting it to size. */
export interface ItemStep {
  /** As people wrote it. */
  readonly what: string;
  readonly done: boolean;
  /** What kind of act it is: told by its words. */
  readonly act: StepAct;
  /** Sizes are read again after it; as its act has it until somebody says otherwise. */
  readonly moves: boolean;
  /** When it was done; null while it is not, and for what was done before this was kept. */
  readonly doneAt: string | null;
}

/**
 * A step as it begins. What is pressed or shrunk in is covered: only of a joining does somebody read its bore again.
 */
export function newStep(what: string, kind: ItemKind): ItemStep {
  const act = stepActOf(what);
  const moves = STEP_ACTS[act].moves && (kind === 'join' || !CLOSES_IN.includes(act));
  return { what, done: false, act, moves, doneAt: null };
}

/** Steps of before they had an act and a time; what was proved then stays proved. */
const stepNow = (s: Pick<ItemStep, 'what' | 'done'> & Partial<ItemStep>): ItemStep => ({
  act: stepActOf(s.what),
  moves: false,
  doneAt: null,
  ...s,
});

/** When sizes moved last, ms; before all time where nothing that was done moved them. */
export const movedLastAt = ({ steps }: Pick<ItemChoice, 'steps'>): number =>
  Math.max(-Infinity, ...steps.flatMap((s) => (s.moves && s.done && s.doneAt !== null ? [Date.parse(s.doneAt)] : [])));

/** The first act still to be done that moves sizes; undefined where none is left. */
export const stillMoves = ({ steps }: Pick<ItemChoice, 'steps'>): ItemStep | undefined => steps.find((s) => s.moves && !s.done);

/** A place of a component that stays, cut to a new size. */
export interface ItemCut {
  readonly placeId: string;
  /** mm; null for the size that is trued to at Decide. */
  readonly sizeMm: number | null;
  readonly limits: TypedLimits | null;
}

/** What somebody said of an item; what nobody said follows from the component's verdict. */
export interface ItemChoice {
  readonly kind: ItemKind;
  readonly name: string;
  /** How many of it. */
  readonly quantity: number;
  /** Components that it replaces or changes. */
  readonly componentIds: readonly string[];
  /** The route that it comes from, in the words of whoever chose it; empty where it is the job's own. */
  readonly route: string;
  /** Items are listed by this, small first; equal ones as they came. */
  readonly position: number;
  /** What is done, in order: of a rework and of a joining. */
  readonly steps: readonly ItemStep[];
  readonly cuts: readonly ItemCut[];
  /** Of what is bought: as it is ordered, where, how long it takes. */
  readonly size: string;
  readonly source: string;
  readonly leadDays: number | null;
  readonly here: boolean;
  /** Items that it waits for. */
  readonly after: readonly string[];
  /** How it was tried at the end, where no size proves it. */
  readonly tried: string;
  /** It is there to give way before what it protects: a shear pin, a soft key. */
  readonly givesWay: boolean;
  /** Not done after all; everything of it stays on record. */
  readonly off: boolean;
}

/** One numbered thing that the job does. */
export interface JobItem extends ItemChoice {
  readonly id: string;
  /** Key of its own choice, of its drawing and of its plan. */
  readonly key: string;
  readonly partKey: string;
  readonly planKey: string;
  /** Nobody said anything of it: it follows from a verdict. */
  readonly proposed: boolean;
  readonly version: number;
}

/** Which item a component asks for by its verdict; null where nothing is done about it. */
const ASKS_FOR: Readonly<Record<ComponentVerdict, ItemKind | null>> = {
  remake: 'make',
  repair: 'rework',
  buy: 'buy',
  reuse: null,
  'clean-up': null,
  'customer-supplies': null,
};

const NOTHING_SAID: Omit<ItemChoice, 'kind' | 'name' | 'componentIds'> = {
  quantity: 1,
  route: '',
  position: 0,
  steps: [],
  cuts: [],
  size: '',
  source: '',
  leadDays: null,
  here: false,
  after: [],
  tried: '',
  givesWay: false,
  off: false,
};

/** An item as it begins. */
export const newItem = (kind: ItemKind, name: string, componentIds: readonly string[], position: number): ItemChoice => ({
  ...NOTHING_SAID,
  kind,
  name,
  componentIds,
  position,
});

/** Key of an item's drawing. The item that goes by the job's own id is the new part of jobs that had only one. */
export const partKeyOf = (jobId: string, itemId: string): string => (itemId === jobId ? choiceKey.part : `${choiceKey.part}:${itemId}`);
/** Key of an item’s plan, on the same terms as its drawing’s. */
const planKeyOf = (jobId: string, itemId: string): string => (itemId === jobId ? choiceKey.plan : `${choiceKey.plan}:${itemId}`);

/** Keys of choices that tell of an item which is neither the job's own nor a component's: what was said of it, and its drawing. */
export const tellsOfItem = (itemId: string): readonly string[] => [choiceKey.item(itemId), `${choiceKey.part}:${itemId}`];

type Told = Pick<JobSheet, 'job' | 'components' | 'choices'>;

const itemHead = choiceKey.item('');
const partHead = `${choiceKey.part}:`;

const itemNow = (value: ItemChoice): ItemChoice => ({ ...NOTHING_SAID, ...value, steps: (value.steps ?? []).map(stepNow) });

/** What was said of items, by id; what was taken back is as if it had never been said. */
function said(sheet: Told): Map<string, { readonly value: ItemChoice; readonly version: number }> {
  return new Map(
    sheet.choices.flatMap((c) =>
      c.key.startsWith(itemHead) && c.value !== null
        ? [[c.key.slice(itemHead.length), { value: itemNow(c.value as ItemChoice), version: c.version }]]
        : [],
    ),
  );
}

const isDrawn = ({ job, choices }: Told, itemId: string): boolean => {
  const keys = [partKeyOf(job.id, itemId), planKeyOf(job.id, itemId)];
  return choices.some((c) => keys.includes(c.key) && c.value !== null);
};

/** Nothing new is made where every verdict is in and none of them is a new part. */
const makesNothing = (components: readonly ComponentRecord[]): boolean =>
  components.length > 0 && components.every((c) => c.verdict !== null && c.verdict !== 'remake');

/**
 * The items of a job in their order, those that were called off left out: what somebody said, what follows from the components' verdicts, and the
 * new part that is awaited while no verdict says what becomes of the worn one.
 */
export function jobItems(sheet: Told): JobItem[] {
  return everyItem(sheet).filter((i) => !i.off);
}

/** Items that were called off: they can be taken up again. */
export const itemsOff = (sheet: Told): JobItem[] => everyItem(sheet).filter((i) => i.off);

function everyItem(sheet: Told): JobItem[] {
  const { job, components } = sheet;
  const known = said(sheet);
  const item = (id: string, value: ItemChoice, proposed: boolean): JobItem => ({
    ...value,
    id,
    key: choiceKey.item(id),
    partKey: partKeyOf(job.id, id),
    planKey: planKeyOf(job.id, id),
    proposed,
    version: known.get(id)?.version ?? 0,
  });
  const stored = [...known].map(([id, { value }]) => item(id, value, false));
  const spokenFor = new Set(stored.flatMap((i) => i.componentIds));
  // What is drawn stays an item, whatever becomes of the verdict, or of the component, that once asked for it.
  const asked = components.flatMap((c): JobItem[] => {
    const kind = isDrawn(sheet, c.id) ? 'make' : c.verdict && ASKS_FOR[c.verdict];
    const taken = known.has(c.id) || (spokenFor.has(c.id) && !isDrawn(sheet, c.id));
    return kind && !taken ? [item(c.id, newItem(kind, c.name, [c.id], 0), true)] : [];
  });
  const orphans = sheet.choices.flatMap((c): JobItem[] => {
    const id = c.key.startsWith(partHead) && c.value !== null ? c.key.slice(partHead.length) : null;
    if (id === null || known.has(id) || components.some((x) => x.id === id)) return [];
    return [item(id, newItem('make', (c.value as { readonly name?: string }).name ?? job.title, [], 0), true)];
  });
  const makes = [...stored, ...asked, ...orphans].some((i) => i.kind === 'make');
  const own = !known.has(job.id) && (isDrawn(sheet, job.id) || (!makes && !makesNothing(components)));
  if (!own) return inOrder([...asked, ...orphans, ...stored]);
  // The drawing of before there were items is of the worn part that is made anew.
  const worn = components.filter((c) => c.role === 'worn' && !spokenFor.has(c.id) && !isDrawn(sheet, c.id));
  const of = worn.find((c) => c.verdict === 'remake') ?? worn[0];
  const first = item(job.id, newItem('make', of?.name ?? job.title, of ? [of.id] : [], 0), true);
  return inOrder([first, ...asked.filter((i) => i.kind !== 'make' || i.componentIds[0] !== of?.id), ...orphans, ...stored]);
}

const inOrder = (items: readonly JobItem[]): JobItem[] => [...items].sort((a, b) => a.position - b.position);

/** What is stored of an item, to be changed and stored again. */
export const choiceOf = ({
  id: _,
  key: __,
  partKey: ___,
  planKey: ____,
  proposed: _____,
  version: ______,
  ...choice
}: JobItem): ItemChoice => choice;
