import { isDiameter } from '../../evidence/readings';
import type { Primitive } from '../../making/scene';
import type { PartFinding, PlaceFinding } from '../job';
import type { Drawing } from './model';
import { componentLines, radiusOf, spanOf } from './outline-of';

/** Components that stay as they will be: cut places at their new size, the others as found. */
export function reworked(
  places: readonly PlaceFinding[],
  componentIds: readonly string[],
  { dimensions }: Pick<PartFinding, 'dimensions'>,
): Drawing {
  const newSize = (f: PlaceFinding): number | undefined => dimensions.find((d) => d.dimension.key === f.place.id)?.figure.value;
  const radius = (f: PlaceFinding): number => (newSize(f) ?? 2 * radiusOf(f)) / 2;
  const measured = places.filter((f) => componentIds.includes(f.component.id) && isDiameter(f.place.kind));
  const lines = componentIds.flatMap((id): Primitive[] => {
    const own = measured.filter((f) => f.component.id === id);
    const [outsides, insides] = [own.filter((f) => f.place.side === 'outside'), own.filter((f) => f.place.side === 'inside')];
    return componentLines(outsides, insides, radius);
  });
  const cut = measured.filter((f) => newSize(f) !== undefined);
  return { shows: 'rework', contour: [], lines, spans: cut.map((f) => spanOf(f, radius(f))), cuts: [], own: componentIds };
}
