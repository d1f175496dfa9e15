import { inSentence } from '../../terms/words';
import { isDiameter } from '../../evidence/readings';
import type { Dimension, PlacedSurface } from '../../making/part';
import { ruled, typed, workedOut, type Figure } from '../../terms/working';
import type { BoreFinding } from './bore-finding';
import type { FitFinding } from './fit-finding';
import type { ItemCut, JobItem } from './items';
import type { DimensionFinding, PartFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import { lyingInPress } from './pressed';
import type { JobSheet } from './records';

/** The place as a surface of the size that it is cut to. */
function surfaceOf({ place }: PlaceFinding, sizeMm: number): PlacedSurface {
  const { id, name, side, startMm, lengthMm } = place;
  return {
    id,
    kind: 'cylinder',
    name,
    lengthMm,
    diameterMm: sizeMm,
    farDiameterMm: null,
    fitsPlaceIds: [],
    side,
    fromMm: startMm,
    toMm: startMm + lengthMm,
    leftMm: sizeMm,
    rightMm: sizeMm,
  };
}

/** The size that a place is to be trued to by Decide, whether it is bored already or not; null where it is kept. */
function truedAtDecide(placeId: string, fits: readonly FitFinding[], bores: readonly BoreFinding[]): Figure | null {
  const fit = fits.find((f) => f.hole.place.id === placeId && f.choice?.hole === 'true');
  if (fit?.toTrue) return fit.figures!.hole;
  const found = fit ?? bores.find((b) => b.shaft.place.id === placeId && b.choice?.hole === 'true');
  const sizeMm = found ? (found.choice!.truedMm ?? found.truedMm) : null;
  return sizeMm === null ? null : ruled(`${placeId}.trued`, 'trued to', sizeMm, 'decided at Decide');
}

function cutOf(cut: ItemCut, f: PlaceFinding, fits: readonly FitFinding[], bores: readonly BoreFinding[]): DimensionFinding | null {
  const name = inSentence(f.place.name);
  const key = `segment.${cut.placeId}.diameter`;
  const size =
    cut.sizeMm === null
      ? truedAtDecide(cut.placeId, fits, bores)
      : typed(`segment.${cut.placeId}.drawn`, `${name}, to be cut to`, cut.sizeMm, 'the item at Draw');
  if (!size) return null;
  const dimension: Dimension = {
    key: cut.placeId,
    ownerId: cut.placeId,
    name: 'diameter',
    what: f.place.side,
    label: `diameter of ${name}`,
    value: size.value,
    unit: '',
    book: null,
    own: null,
    seat: true,
    surface: surfaceOf(f, size.value),
  };
  if (!cut.limits)
    return {
      dimension,
      figure: workedOut(key, dimension.label, size.value, 'without limits yet', [size]),
      limits: null,
      from: 'none',
      words: 'no limits yet: something sits or runs there, and the general tolerance will not do',
      mustProve: true,
    };
  const limits = { lowerMm: size.value + cut.limits.lowerDev, upperMm: size.value + cut.limits.upperDev };
  const aim = (limits.lowerMm + limits.upperMm) / 2;
  const how = Math.abs(aim - size.value) < 1e-9 ? 'to that size' : `middle of its limits, ${cut.limits.text}`;
  return {
    dimension,
    figure: workedOut(key, dimension.label, aim, how, [size], { limits: { lower: limits.lowerMm, upper: limits.upperMm } }),
    limits,
    from: 'typed',
    words: cut.limits.text,
    mustProve: true,
    // A bore that was worn, welded or sprung open comes out oval again where the tool follows it.
    mayBeOval: f.place.side === 'inside',
  };
}

/** How straight it has to come out of the press: read along the whole of it. */
function straightOf(item: JobItem, places: readonly PlaceFinding[], sheet: JobSheet): DimensionFinding[] {
  const press = lyingInPress(item, places, sheet);
  const { mostMm, diameterMm } = press?.setting ?? {};
  if (!press?.said || !mostMm) return [];
  const { place } = press;
  const label = `bend of ${inSentence(place.component.name)}, most an indicator shows along it`;
  const key = `${place.place.id}.straight`;
  const words = 'as it was asked for at the press';
  return [
    {
      dimension: {
        ...{ key, ownerId: place.place.id, name: 'straight', what: 'relation', label, value: 0, unit: '', book: null },
        ...{ own: { lower: 0, upper: mostMm }, seat: true, surface: surfaceOf(place, diameterMm ?? 0) },
      },
      figure: workedOut(`segment.${key}`, label, 0, words, [], { limits: { lower: 0, upper: mostMm } }),
      limits: { lowerMm: 0, upperMm: mostMm },
      from: 'typed',
      words,
      mustProve: true,
    },
  ];
}

/** What a rework cuts: what somebody said, and beside it what is trued at Decide and nobody spoke of yet. */
function cutsOf(item: JobItem, places: readonly PlaceFinding[], fits: readonly FitFinding[], bores: readonly BoreFinding[]): ItemCut[] {
  const own = places.filter((f) => item.componentIds.includes(f.component.id) && isDiameter(f.place.kind));
  const told = item.cuts.filter((c) => own.some((f) => f.place.id === c.placeId));
  const trued = own
    .filter((f) => !told.some((c) => c.placeId === f.place.id) && truedAtDecide(f.place.id, fits, bores))
    .map((f): ItemCut => ({ placeId: f.place.id, sizeMm: null, limits: null }));
  return [...told, ...trued];
}

/**
 * What is cut of a component that stays, on the same terms as a new part: places with the size that they get and its limits; null where nothing of
 * it is cut to a size.
 */
export function reworkFinding(
  item: JobItem,
  places: readonly PlaceFinding[],
  fits: readonly FitFinding[],
  bores: readonly BoreFinding[],
  sheet: JobSheet,
): PartFinding | null {
  const cut = cutsOf(item, places, fits, bores).flatMap((cut) => {
    const place = places.find((f) => f.place.id === cut.placeId)!;
    const found = cutOf(cut, place, fits, bores);
    return found ? [found] : [];
  });
  const dimensions = [...cut, ...straightOf(item, places, sheet)];
  if (dimensions.length === 0) return null;
  const component = sheet.components.find((c) => item.componentIds.includes(c.id));
  return {
    part: { name: item.name, materialId: component?.materialId ?? '', outside: [], bores: [], features: [], limits: {}, block: null },
    segments: cut.flatMap((d) =>
      d.limits ? [{ segment: d.dimension.surface, diameter: d.figure, limits: d.limits, fits: [], bores: [] }] : [],
    ),
    dimensions,
    problems: [],
    unlimited: dimensions.filter((d) => d.limits === null),
    volumeMm3: null,
    mass: null,
    balance: null,
    unbalance: null,
  };
}
