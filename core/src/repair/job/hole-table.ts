import { DRILLS, drillWords, inCrib, nearestDrills, type Drill, type DrillSet } from '../../book/drills';
import { findThread, tapHole } from '../../book/threads';
import { hssMMin } from '../../book/materials';
import { drillBeforeReamer, edgeSpeed, firstDrill } from '../../making/process';
import { edgesOf, FACE_NAMES, type BlockHole } from '../../making/part';
import { holeLetters } from '../../making/scene';
import { finderOf, type Finder } from '../../making/tooling';
import { toTurns, turnsWords, type Dial } from '../../making/setups';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { plus, ruled, sumOf, workedOut, type Figure } from '../../terms/working';
import { millOf, millSpindle } from './bored-on';
import type { DimensionFinding, PartFinding } from './part-finding';
import type { Shop } from './records';

/** How far the spindle goes to a hole from where the finder touched the edge. */
export interface FromEdge {
  readonly far: Figure;
  /** As the dial of the mill counts it: `2 turns + 0.15 mm`; empty where no dial is known. */
  readonly dial: string;
}

/** A hole of a block as it is found from two edges. */
export interface HoleRow {
  readonly id: string;
  /** As on the drawing: A, B. */
  readonly letter: string;
  readonly name: string;
  readonly face: string;
  /** From which edges: the left one, the front one. */
  readonly edges: readonly [first: string, second: string];
  readonly first: Figure;
  readonly second: Figure;
  /** The same two places from where the finder touched each edge. */
  readonly go: readonly [first: FromEdge, second: FromEdge];
  /** The drill that goes through first, and what it leaves. */
  readonly drill: string;
  /** How fast that drill turns; null where there is none, or the metal has no speed in the book. */
  readonly rpm: Figure | null;
}

const nearest = (mm: number): string => drillWords(nearestDrills(mm, undefined, 1)[0]!);

/** Of the drills within limits one that hangs in the crib, else the nearest to their middle. */
function within({ figure, limits }: DimensionFinding, sets: readonly DrillSet[]): Drill | undefined {
  const [lower, upper] = limits ? [limits.lowerMm, limits.upperMm] : [figure.value, figure.value];
  const off = (d: Drill): number => Math.abs(d.diameterMm - figure.value);
  return DRILLS.filter((d) => d.diameterMm >= lower - 1e-6 && d.diameterMm <= upper + 1e-6).sort(
    (p, q) => Number(inCrib(sets, q)) - Number(inCrib(sets, p)) || off(p) - off(q),
  )[0];
}

/** The drill that goes through first, in words, and its size, mm; null where none does. */
interface FirstThrough {
  readonly words: string;
  readonly mm: number | null;
}

function drillOf(c: BlockHole, diameter: DimensionFinding, sets: readonly DrillSet[]): FirstThrough {
  const mm = diameter.figure.value;
  const thread = c.thread ? findThread(c.thread) : undefined;
  if (thread) {
    const hole = tapHole(thread, 75, undefined, (d) => inCrib(sets, d));
    const best = hole.ok ? hole.value.drills[0] : undefined;
    return best
      ? { words: `${drillWords(best.drill)}, ${best.percent.toFixed(0)} % of thread`, mm: best.drill.diameterMm }
      : { words: 'no drill is right: bore it', mm: null };
  }
  if (c.made === 'drilled') {
    const found = within(diameter, sets);
    return found ? { words: drillWords(found), mm: found.diameterMm } : { words: `${nearest(mm)} is nearest, and outside its limits`, mm };
  }
  const before = c.made === 'reamed' ? drillBeforeReamer(mm, sets) : firstDrill(mm, sets);
  return before
    ? { words: `${nearest(before.diameterMm)}, then ${c.made}`, mm: before.diameterMm }
    : { words: `no drill before it: ${c.made}`, mm: null };
}

/** How fast a drill turns on the mill of the shop. */
function rpmOf(id: string, mm: number | null, materialId: string, shop: Pick<Shop, 'machines'>): Figure | null {
  const hss = hssMMin(materialId);
  if (mm === null || hss <= 0) return null;
  const { rpm, words } = edgeSpeed('drill', hss, mm, millSpindle(shop));
  return workedOut(`${id}.drill-rpm`, 'drill turns at', rpm, words, [], { measure: 'rpm' });
}

/** The dial of the shop's mill; null where no mill is known. */
export const millDial = (shop: Pick<Shop, 'machines'>): Dial | null => millOf(shop)?.mill?.dial ?? null;

/** The finder touches from outside: its middle stands half of it before the edge. */
function fromEdge(at: Figure, finder: Finder, dial: Dial | null, unit: LengthUnit): FromEdge {
  const half = ruled('finder.half', `half a finder of ${placeWithUnit(finder.mm, unit)}`, finder.mm / 2, finder.how);
  const far = sumOf(`${at.key}.from-touch`, `${at.label}, from where the finder touched`, [plus(at), plus(half)]);
  return { far, dial: dial ? `${turnsWords(toTurns(far.value, dial), dial)} ${dial.unit}` : '' };
}

/**
 * The holes of a drawn block, found from two edges of their faces, with the drill for each; none of a turned part.
 *
 * @param shop its drills: one that hangs in the crib comes first; the dial of its mill, and its edge finder
 */
export function holeTable(
  { part: { block, materialId }, dimensions }: PartFinding,
  shop: Pick<Shop, 'drillSets' | 'machines' | 'tools'>,
  unit: LengthUnit,
): HoleRow[] {
  if (!block) return [];
  const letters = holeLetters(block);
  const dial = millDial(shop);
  const finder = finderOf(shop.tools, unit);
  const byKey = new Map(dimensions.map((d) => [d.dimension.key, d]));
  return block.cuts.flatMap((c): HoleRow[] => {
    const [diameter, at, up] = [c.id, `${c.id}.at`, `${c.id}.up`].map((key) => byKey.get(key));
    if (c.kind !== 'hole' || !diameter || !at || !up) return [];
    const drill = drillOf(c, diameter, shop.drillSets);
    return [
      {
        ...{ id: c.id, letter: letters.get(c.id)!, name: c.name, face: FACE_NAMES[c.on], edges: edgesOf(c.on) },
        ...{ first: at.figure, second: up.figure, drill: drill.words, rpm: rpmOf(c.id, drill.mm, materialId, shop) },
        go: [fromEdge(at.figure, finder, dial, unit), fromEdge(up.figure, finder, dial, unit)],
      },
    ];
  });
}
