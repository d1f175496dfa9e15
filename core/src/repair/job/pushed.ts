import { materialOf, type Material } from '../../book/materials';
import type { SetUp } from '../../making/holdings';
import { partLengthMm } from '../../making/part';
import { cuttingForceN, cuttingKw, PUSH_SHARE, workBendMm, type Held } from '../../making/process';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { ruled, workedOut, type Figure } from '../../terms/working';
import type { PartFinding } from './part-finding';
import type { SegmentPasses } from './planned-passes';

/** What the tool and a surface do to each other while it is cut in a holding. */
export interface Pushed {
  readonly segmentId: string;
  /** The most that the last cut pushes the work away by, or in a bore the bar, on the diameter, mm. */
  readonly bend: Figure;
  /** What to mind of it; empty where nothing. */
  readonly words: string;
}

/** More than this share of the limits is told: a belly, a taper towards the free end, a bore that comes out smaller. */
export const TOLD_SHARE = 0.25;
const PLACES = 8;

/** How a holding stands against the push; null where a steady goes along. */
export function heldAs({ holding, support }: SetUp): Held | null {
  if (support === 'steady') return null;
  if (holding === 'centres' || holding === 'mandrel') return 'centres';
  return support === 'tailstock' ? 'chuck and centre' : 'chuck';
}

/** What bends: between centres the whole part, in a chuck what stands out of it. */
export const freeMm = ({ overhangMm }: SetUp, held: Held, partMm: number): number => (held === 'centres' ? partMm : overhangMm);

/** How what is turned stands against the push of the tool. */
export interface Against {
  readonly held: Held;
  readonly freeMm: number;
  /** From what holds it to a place along it, mm. */
  readonly fromHeldMm: (atMm: number) => number;
}

function bendOf(x: SegmentPasses, { held, freeMm: lengthMm, fromHeldMm }: Against, m: Material, pushN: number): number {
  if (lengthMm <= 0) return 0;
  const { fromMm, toMm } = x.segment.segment;
  const places = Array.from({ length: PLACES + 1 }, (_, i) => fromMm + ((toMm - fromMm) * i) / PLACES);
  const at = (p: number): number => workBendMm(held, pushN, m.youngMpa, x.segment.diameter.value, lengthMm, fromHeldMm(p));
  return 2 * Math.max(...places.map(at));
}

/** What pushes tool and work apart in the last cut of a surface; its material has a cutting force in the book. */
export const pushFigure = (key: string, { name, kc11, mc }: Material, offMm: number, feedMm: number): Figure =>
  workedOut(
    `${key}.push`,
    'push of the last cut',
    PUSH_SHARE * cuttingForceN(kc11!, mc!, offMm / 2, feedMm),
    `${PUSH_SHARE} of kc1.1 x depth x feed^(1 - mc), ${name}`,
    [],
    { measure: 'force' },
  );

/**
 * One outside surface as the tool pushes it at its last cut; null where nothing is cut, or the book has no cutting force for the material.
 *
 * @param key of its figures
 */
export function pushedOff(
  key: { readonly surface: string; readonly holding: string },
  x: SegmentPasses,
  against: Against,
  m: Material,
  powerKw: number | null,
  unit: LengthUnit,
): Pushed | null {
  const last = x.passes.ok ? x.passes.value.at(-1) : undefined;
  if (!last || !m.kc11 || m.mc === null) return null;
  const { kc11, mc } = m;
  const { id, name } = x.segment.segment;
  const { held } = against;
  const push = pushFigure(key.surface, m, last.offMm, x.feeds.finish.value);
  const bend = workedOut(
    `${key.surface}.bend`,
    `${inSentence(name)} is pushed away by, on the diameter`,
    bendOf(x, against, m, push.value),
    `twice the bend of a beam held by ${held} where it bends most, as thick as it is there all along`,
    [push, ruled(`${key.holding}.length`, 'length', against.freeMm, 'what stands free of the holding')],
  );
  const rough = x.passes.ok ? Math.max(0, ...x.passes.value.filter((p) => p.kind === 'rough').map((p) => p.offMm / 2)) : 0;
  const speed = x.roughSpeed.ok ? x.roughSpeed.value.speedMMin : 0;
  const roughKw = cuttingKw(cuttingForceN(kc11, mc, rough, x.feeds.rough.value), speed);
  const { lowerMm, upperMm } = x.segment.limits;
  return { segmentId: id, bend, words: wordsOf(name, bend.value, upperMm - lowerMm, held, roughKw, powerKw, unit) };
}

/** Outside surfaces of a holding as the tool pushes them; none where the book has no cutting force for the material. */
export function pushedIn(
  setUp: SetUp,
  passes: readonly SegmentPasses[],
  { part }: PartFinding,
  powerKw: number | null,
  unit: LengthUnit,
): Pushed[] {
  const m = materialOf(part.materialId);
  const held = heldAs(setUp);
  if (!m || !held || setUp.machine !== 'lathe') return [];
  const partMm = partLengthMm(part);
  const free = freeMm(setUp, held, partMm);
  const against: Against = {
    ...{ held, freeMm: free },
    fromHeldMm: (at) => Math.max(0, free - (setUp.free === 'near' ? at : partMm - at)),
  };
  const holding = `set-up.${setUp.number}`;
  return passes.flatMap((x): Pushed[] => {
    const { id, side } = x.segment.segment;
    if (side !== 'outside' || !setUp.cuts.includes(id)) return [];
    const told = pushedOff({ surface: `${holding}.${id}`, holding }, x, against, m, powerKw, unit);
    return told ? [told] : [];
  });
}

function wordsOf(
  name: string,
  bendMm: number,
  widthMm: number,
  held: Held,
  roughKw: number,
  powerKw: number | null,
  unit: LengthUnit,
): string {
  const shape = held === 'chuck' ? 'it comes out thicker towards its free end' : 'it comes out with a belly';
  const bends =
    bendMm > TOLD_SHARE * widthMm
      ? `${name}: the last cut pushes it off by up to ${formatWithUnit(bendMm, unit)} on the diameter, so ${shape}. A sharp tool, a lighter last cut and spring passes, or a steady.`
      : '';
  const power =
    powerKw !== null && roughKw > powerKw
      ? `${name}: roughing so takes ${roughKw.toFixed(1)} kW and the motor has ${powerKw}. Less depth or feed, more cuts.`
      : '';
  return [bends, power].filter(Boolean).join(' ');
}
