import { coolantFor, WETTED_WORDS, type Coolant, type Wetted } from '../../book/materials';
import type { BlockSetUp, SetUp } from '../../making/holdings';
import { hostOf, kindOf, type Block, type OperationKind, type Part } from '../../making/part';
import type { Schedule } from '../../making/schedule';
import { capital } from '../../terms/words';

/** What an operation on a feature does at the cut; null for one that cuts nothing. */
const BY_OPERATION: Readonly<Record<OperationKind, Wetted | null>> = {
  ...{ turn: 'turn', bore: 'turn', plunge: 'turn', centre: 'drill', knurl: 'turn', sink: 'drill', drill: 'drill' },
  ...{ thread: 'thread', mill: 'mill', broach: 'mill', slot: 'mill', polish: null, hold: null, treat: null },
};

/** What is done for one feature; nothing for a surface. */
function operationsOf(part: Part, id: string): OperationKind[] {
  const f = part.features.find((x) => x.id === id);
  const host = f && hostOf(part, f.on);
  return f && host
    ? kindOf(f.kind)
        .operations(f, host)
        .map((o) => o.kind)
    : [];
}

/** What one surface or feature of a turned part is cut by; empty for a surface that is turned like the rest. */
function worksOf(part: Part, id: string, schedules: readonly Schedule[]): Wetted[] {
  const f = part.features.find((x) => x.id === id);
  if (f && hostOf(part, f.on)) {
    const by = operationsOf(part, id).flatMap((o) => BY_OPERATION[o] ?? []);
    return 'thread' in f && f.thread && by.length ? [...by, 'thread'] : by;
  }
  // A bore that comes out of solid stock has a schedule of its drills, and one too small for a bar its reamer.
  const own = schedules.filter((s) => s.id === id && part.bores.some((b) => b.surfaces.some((x) => x.id === id)));
  return [
    ...(own.length ? ['drill' as const] : []),
    ...(own.some((s) => s.tools.some((t) => t.kind === 'reamer')) ? ['ream' as const] : []),
  ];
}

/** What is put on the cut in one holding of a turned part; nothing at the press and the bench, or where the metal is not known. */
export function coolantIn(
  part: Part,
  { machine, cuts }: Pick<SetUp, 'machine' | 'cuts'>,
  schedules: readonly Schedule[],
  carbide: boolean,
): Coolant[] {
  if (machine !== 'lathe' && machine !== 'mill') return [];
  // A bore that is slotted stroke by stroke in the lathe turns nothing.
  const slotted = cuts.length > 0 && cuts.every((id) => operationsOf(part, id).some((o) => o === 'slot'));
  const always: Wetted[] = machine === 'lathe' && !slotted ? ['turn'] : [];
  return coolantFor(part.materialId, new Set([...always, ...cuts.flatMap((id) => worksOf(part, id, schedules))]), carbide);
}

/** The same for one holding of a block; its first squares it. */
export function coolantOnBlock(block: Block, materialId: string, { acts }: Pick<BlockSetUp, 'acts'>): Coolant[] {
  const ids = new Set(acts.flatMap((a) => a.cuts));
  const works = block.cuts
    .filter((c) => ids.has(c.id))
    .flatMap((c): Wetted[] => {
      if (c.kind !== 'hole') return ['mill'];
      const then = c.made === 'bored' ? (['turn'] as const) : c.made === 'reamed' ? (['ream'] as const) : [];
      return ['drill', ...then, ...(c.thread ? (['thread'] as const) : [])];
    });
  return coolantFor(materialId, new Set(acts.length ? works : ['mill']));
}

/** In a sentence: `Turning and boring, milling: emulsion.` */
export const coolantWords = ({ on, words }: Coolant): string => `${capital(on.map((w) => WETTED_WORDS[w]).join(', '))}: ${words}.`;
