import { inSentence } from '../../terms/words';
import { isDiameterOfSurface } from '../../making/part';
import { workedOut, type Figure } from '../../terms/working';
import type { JobItem } from './items';
import type { DimensionFinding, PartFinding } from './part-finding';
import { CLOSES_IN } from './step-acts.data';

/** An item that goes into a joining, with its drawing. */
interface Joined {
  readonly item: JobItem;
  readonly part: PartFinding | null;
}

/** Diameters of what is joined that a joining moves, and that can still be read after it. */
function movedBy(item: JobItem, { item: of, part }: Joined): DimensionFinding[] {
  const acts = item.steps.filter((s) => s.moves).map((s) => s.act);
  if (!part || acts.length === 0) return [];
  const read = part.dimensions.filter((d) => d.mustProve && d.limits && isDiameterOfSurface(d.dimension));
  if (acts.some((a) => !CLOSES_IN.includes(a))) return read;
  // Round what is pressed in the hole of a component is covered, and so is the outside of the new part.
  return of.kind === 'make' ? read.filter((d) => d.dimension.what === 'inside') : [];
}

function after(d: DimensionFinding, of: Joined): DimensionFinding {
  const { dimension } = d;
  const key = `${of.item.id}.${dimension.key}`;
  const [mate] = of.part!.segments.find((s) => s.segment.id === dimension.key)?.bores ?? [];
  const limits = mate?.figures ? { lowerMm: mate.figures.lower.value, upperMm: mate.figures.upper.value } : d.limits!;
  const from: Figure = mate?.figures?.aim ?? d.figure;
  const label = `${dimension.label} of ${inSentence(of.item.name)}, joined`;
  const how = mate ? 'as it has to be once it is in' : 'as drawn: joining may not take it out of its limits';
  return {
    ...d,
    dimension: {
      ...dimension,
      ...{ key, ownerId: key, label },
      surface: { ...dimension.surface, id: key, name: `${dimension.surface.name} of ${inSentence(of.item.name)}, joined` },
    },
    figure: workedOut(`segment.${key}.diameter`, label, from.value, how, [from], {
      limits: { lower: limits.lowerMm, upper: limits.upperMm },
    }),
    limits,
    words: how,
    mayBeOval: true,
  };
}

/**
 * What has to be proved again once an item has joined others: a bore that was pressed in, everything round a weld; null where nothing moves.
 *
 * @param joined the items that it waits for
 */
export function joinedFinding(item: JobItem, joined: readonly Joined[]): PartFinding | null {
  const dimensions = joined.flatMap((of) => movedBy(item, of).map((d) => after(d, of)));
  if (dimensions.length === 0) return null;
  const materialId = joined.find((i) => i.part)?.part?.part.materialId ?? '';
  return {
    part: { name: item.name, materialId, outside: [], bores: [], features: [], block: null, limits: {} },
    segments: [],
    dimensions,
    problems: [],
    unlimited: [],
    volumeMm3: null,
    mass: null,
    balance: null,
    unbalance: null,
  };
}
