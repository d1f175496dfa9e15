import { lengthsIn } from '../../terms/quantity';
import type { Limits } from '../../evidence/proof';
import { inSentence } from '../../terms/words';
import { GENERAL_TOLERANCE_SOURCE } from '../../book/fits';
import { materialOf } from '../../book/materials';
import type { Problem } from '../../terms/outcome';
import {
  cutSurface,
  dimensionsOf,
  fittings,
  isDiameterOfSurface,
  isTiming,
  isUnread,
  limitsOf,
  balancesAtMm,
  massKg,
  unbalanceOf,
  placeAll,
  validatePart,
  volumeMm3,
  type Dimension,
  type Fitting,
  type FeatureKindId,
  type Part,
  type PlacedSurface,
  type Surface,
} from '../../making/part';
import { minus, plus, sumOf, tabled, typed, workedOut, type Figure, type Measure } from '../../terms/working';
import { beforeTreatment, treatmentOf } from './before-treatment';
import type { BoreFinding } from './bore-finding';
import { chosenPart } from './choices';
import { isDrawnFrom } from './drawn-id';
import type { FitFinding } from './fit-finding';
import type { JobSheet } from './records';

/** Who gives a dimension its limits: `finished` where they follow from what it is once it is treated; `none` for a seat that nobody gave any. */
export type LimitsFrom = 'fit' | 'typed' | 'book' | 'general' | 'finished' | 'none';

/** One dimension of the new part as a figure with its limits. */
export interface DimensionFinding {
  readonly dimension: Dimension;
  readonly figure: Figure;
  /** mm, or what the dimension's unit says. */
  readonly limits: Limits | null;
  readonly from: LimitsFrom;
  /** What says so: the standard, the words typed. */
  readonly words: string;
  /** It has to be measured and passed; one of the general tolerance may be. */
  readonly mustProve: boolean;
  /** A weld, a press or how it was worn may have left it oval: it is read more than two ways round. */
  readonly mayBeOval?: boolean;
}

/** A turned or bored diameter of the new part with its size and limits as figures. */
export interface SegmentFinding {
  readonly segment: PlacedSurface;
  /** Size to turn or bore to. */
  readonly diameter: Figure;
  readonly limits: Limits;
  /** Holes of mates that it must fit, the tightest first; for an outside surface. */
  readonly fits: readonly FitFinding[];
  /** Shafts that it must fit, the largest first; for a bore. */
  readonly bores: readonly BoreFinding[];
}

export interface PartFinding {
  /** The drawn part with the fitted diameters put in. */
  readonly part: Part;
  readonly segments: readonly SegmentFinding[];
  readonly dimensions: readonly DimensionFinding[];
  readonly problems: readonly Problem[];
  /** Dimensions that nothing limits yet: seats without limits, and what is to fit a mate whose fit is not chosen. Nothing is released meanwhile. */
  readonly unlimited: readonly DimensionFinding[];
  readonly volumeMm3: number | null;
  readonly mass: Figure | null;
  /** Where a turned part balances, from its zero face; null for a block, and while something is wrong with it. */
  readonly balance: Figure | null;
  /** What its eccentric stretches put out of balance, g mm; null without any, and where the material is not known. */
  readonly unbalance: Figure | null;
}

interface Fitted {
  readonly sizeMm: number;
  readonly limits: Limits;
  readonly how: string;
  readonly from: readonly Figure[];
}

const several = (count: number, name: string, one: string): string =>
  count > 1 ? `the tightest of ${count} mates governs: ${inSentence(name)}` : `${one} ${inSentence(name)}`;

function fittedOutside(mates: readonly FitFinding[]): Fitted | null {
  const [tightest] = mates;
  if (!tightest) return null;
  const { lowerMm, upperMm, aimMm } = tightest.target!;
  return {
    sizeMm: aimMm,
    limits: { lowerMm, upperMm },
    how: several(mates.length, tightest.hole.place.name, 'fits'),
    from: mates.map((f) => f.figures!.aim),
  };
}

/** What is pressed in closes in on its bore: it is bored larger by that before. */
function fittedBore(mates: readonly BoreFinding[]): Fitted | null {
  const [largest] = mates;
  if (!largest) return null;
  const { lower, upper, aim, closing, aimBefore } = largest.figures!;
  const closes = closing?.value ?? 0;
  const before = aimBefore ? ', before it is pressed in' : '';
  return {
    sizeMm: (aimBefore ?? aim).value,
    limits: { lowerMm: lower.value + closes, upperMm: upper.value + closes },
    how: several(mates.length, largest.shaft.place.name, 'runs on') + before,
    from: mates.map((b) => b.figures!.aimBefore ?? b.figures!.aim),
  };
}

/** The mates of a surface whose fit is chosen, the one that governs first. */
function matesOf(s: Fitting, fits: readonly FitFinding[], bores: readonly BoreFinding[]): { fits: FitFinding[]; bores: BoreFinding[] } {
  return {
    fits: fits.filter((f) => f.target && s.fitsPlaceIds.includes(f.hole.place.id)).sort((p, q) => p.target!.aimMm - q.target!.aimMm),
    bores: bores
      .filter((b) => b.figures && s.fitsPlaceIds.includes(b.shaft.place.id))
      .sort((p, q) => q.figures!.aim.value - p.figures!.aim.value),
  };
}

const withSizes = (part: Part, sizeOf: (s: Pick<Surface, 'id' | 'diameterMm'>) => number): Part => {
  const sized = (s: Surface): Surface => ({ ...s, diameterMm: sizeOf(s) });
  return {
    ...part,
    outside: part.outside.map(sized),
    bores: part.bores.map((b) => ({ ...b, surfaces: b.surfaces.map(sized) })),
    block: part.block && { ...part.block, cuts: part.block.cuts.map((c) => (c.kind === 'hole' ? { ...c, diameterMm: sizeOf(c) } : c)) },
  };
};

/** Cuts that something is driven by, which sits where they are. */
const DRIVES: readonly FeatureKindId[] = ['keyseat', 'woodruff-seat', 'keyway', 'spline'];

/** A surface that is called a seat, or on which a key or spline drives something. */
const isSeat = (part: Part, s: Pick<Surface, 'id' | 'name'>): boolean =>
  /\bseat\b/i.test(s.name) || part.features.some((f) => f.on === s.id && DRIVES.includes(f.kind));

/** Figures of before dimensions had keys are called as they were. */
const figureKey = (d: Dimension): string => `segment.${d.key}${isDiameterOfSurface(d) ? '.diameter' : ''}`;

const MEASURES: Partial<Record<Dimension['what'], Measure>> = { angle: 'angle', roughness: 'ratio', hardness: 'ratio' };
const DEGREE = Math.PI / 180;

function dimensionFinding(part: Part, d: Dimension, fitted: Fitted | null): DimensionFinding {
  const key = figureKey(d);
  const measure = MEASURES[d.what] ?? 'length';
  const scale = measure === 'angle' ? DEGREE : 1;
  if (fitted) {
    const { lowerMm, upperMm } = fitted.limits;
    const figure = workedOut(key, d.label, fitted.sizeMm, fitted.how, fitted.from, { limits: { lower: lowerMm, upper: upperMm } });
    return { dimension: d, figure, limits: fitted.limits, from: 'fit', words: fitted.how, mustProve: true };
  }
  const unread = isUnread(d.surface) && isDiameterOfSurface(d) && !part.limits[d.key];
  const found = unread ? null : limitsOf(part, d);
  const drawn = typed(
    `${key.replace(/\.diameter$/, '')}.drawn`,
    `${d.label}, as drawn`,
    d.value * scale,
    'the drawing at Draw',
    '',
    measure,
  );
  if (!found)
    return {
      dimension: d,
      figure: workedOut(key, d.label, d.value * scale, 'as drawn, without limits', [drawn], { measure }),
      limits: null,
      from: 'none',
      words: unread
        ? 'nobody read it: drawn as its neighbour until its size and limits are given'
        : 'no limits yet: something sits or runs there, and the general tolerance will not do',
      mustProve: true,
    };
  const { lower, upper, from, words } = found;
  const how = {
    typed: 'as drawn, with its own limits',
    book: 'as drawn, with the limits of its standard',
    general: 'as drawn, with the general tolerance',
  };
  const band = (upper - lower) / 2;
  const rests = from === 'general' ? [tabled(`${key}.general`, 'general tolerance', band * scale, GENERAL_TOLERANCE_SOURCE, measure)] : [];
  // Limits that lie to one side of the drawn size, such as k6 or a keyseat's depth, are made to their middle: the size itself may be out.
  const asDrawn = from === 'general' || measure !== 'length' || d.own !== null;
  const aim = asDrawn ? d.value * scale : (lower + upper) / 2;
  const figure = workedOut(
    key,
    d.label,
    aim,
    from === 'general' ? how.general : d.own ? words : `${how[from]} (${words}), to their middle`,
    [drawn, ...rests],
    {
      measure,
      limits: { lower: lower * scale, upper: upper * scale },
    },
  );
  // A turned or bored diameter is always read: it is what the part is made for. So is what is timed: it may be of the wrong hand.
  const mustProve = from !== 'general' || isDiameterOfSurface(d) || isTiming(d);
  return { dimension: d, figure, limits: { lowerMm: lower, upperMm: upper }, from, words, mustProve };
}

/** Every diameter that is turned, bored, drilled or reamed, with its place. */
const roundSurfaces = (part: Part): PlacedSurface[] => {
  const { block } = part;
  return block ? block.cuts.filter((c) => c.kind === 'hole').map((c) => cutSurface(block, c)) : placeAll(part);
};

/** It is to fit a mate, and the fit is not chosen: the general tolerance stands in for it on the picture only. */
const waits = ({ dimension: d, from }: DimensionFinding): boolean =>
  from === 'general' && isDiameterOfSurface(d) && d.surface.fitsPlaceIds.length > 0;

/** The drawn part with everything that the fits decide; null while nothing is drawn. */
export function partFinding(
  fits: readonly FitFinding[],
  bores: readonly BoreFinding[],
  sheet: JobSheet,
  partKey: string,
): PartFinding | null {
  const drawn = chosenPart(sheet, partKey);
  if (!drawn) return null;
  const all = fittings(drawn);
  const mates = new Map(all.map((s) => [s.id, matesOf(s, s.inside ? [] : fits, s.inside ? bores : [])]));
  const fitted = new Map(all.map((s) => [s.id, fittedOutside(mates.get(s.id)!.fits) ?? fittedBore(mates.get(s.id)!.bores)]));
  const part = withSizes(drawn, (s) => fitted.get(s.id)?.sizeMm ?? s.diameterMm);
  // What a bearing sat on or a lip ran on is a seat, whoever drew it: no general tolerance there.
  const ran = sheet.places.filter((p) => p.suspicions.some((s) => s === 'bearing' || s === 'seal-groove'));
  const carries = (d: Dimension): boolean =>
    isDiameterOfSurface(d) && (ran.some((p) => isDrawnFrom(d.surface.id, p.id)) || isSeat(part, d.surface));
  const own = dimensionsOf(part)
    .map((d) => (carries(d) ? { ...d, seat: true } : d))
    .map((d) => dimensionFinding(part, d, isDiameterOfSurface(d) ? (fitted.get(d.key) ?? null) : null));
  const byKey = new Map(own.map((d) => [d.dimension.key, d]));
  const dimensions = own.map((d) => {
    const f = d.dimension.before && treatmentOf(part, d.dimension.surface.id);
    if (!f) return d;
    const before = beforeTreatment(d.dimension, d.figure, byKey.get(f.on)!, f);
    return { ...d, ...before, from: before.limits ? ('finished' as const) : ('none' as const), mustProve: true };
  });
  const segments = roundSurfaces(part).flatMap((segment): SegmentFinding[] => {
    const found = byKey.get(segment.id)!;
    return found.limits ? [{ segment, diameter: found.figure, limits: found.limits, ...mates.get(segment.id)! }] : [];
  });
  const checked = validatePart(part);
  const volume = checked.ok ? volumeMm3(part) : null;
  const mass = checked.ok ? massKg(part) : null;
  return {
    part,
    segments,
    dimensions,
    problems: checked.ok ? [] : checked.problems.map((p) => ({ ...p, message: lengthsIn(sheet.job.unit, p.message) })),
    unlimited: dimensions.filter((d) => d.limits === null || waits(d)),
    volumeMm3: volume,
    balance: checked.ok ? balanceOf(part) : null,
    unbalance: checked.ok ? unbalanceFigure(part) : null,
    mass:
      mass === null
        ? null
        : workedOut(
            'part.mass',
            'mass of the new part',
            mass,
            `volume ${(volume! / 1000).toFixed(1)} cm³ x density of ${materialOf(part.materialId)!.name}`,
            [],
            { measure: 'mass' },
          ),
  };
}

/** Predicted play of a segment in one mate, from the size it has or will have. */
export function predictedPlay(size: Figure, mate: FitFinding): { readonly tight: Figure; readonly loose: Figure } {
  const id = mate.hole.place.id;
  const tightest = mate.figures!.hole;
  const widest = mate.toTrue ? tightest : mate.hole.largest!;
  return {
    tight: sumOf(`${id}.play-tight`, 'play at the tightest place', [plus(tightest), minus(size)]),
    loose: sumOf(`${id}.play-loose`, 'play at the widest place', [plus(widest), minus(size)]),
  };
}

function balanceOf(part: Part): Figure | null {
  const atMm = balancesAtMm(part);
  const how = 'from the zero face; what is milled or drilled counts at its middle';
  return atMm === null ? null : workedOut('part.balance', 'the new part balances at', atMm, how, []);
}

function unbalanceFigure(part: Part): Figure | null {
  const found = unbalanceOf(part);
  if (!found) return null;
  const how = `mass of each eccentric stretch times its throw, g mm (ISO 21940-2); heavy at ${Math.round(found.clockDeg)}°`;
  return workedOut('part.unbalance', 'unbalance of its eccentrics, g mm', found.gMm, how, [], { measure: 'ratio' });
}
