import { materialOf, type Material } from '../../book/materials';
import type { SetUp } from '../../making/holdings';
import { partLengthMm, type Part } from '../../making/part';
import { BAR_SHARE, barBendMm, barGoesInto, SHANKS, soldBarMm, workBendMm, type Shank } from '../../making/process';
import type { CribTool } from '../../making/tooling';
import { formatWithUnit, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { ruled, workedOut, type Figure } from '../../terms/working';
import type { PartFinding } from './part-finding';
import type { SegmentPasses } from './planned-passes';
import { pushFigure, TOLD_SHARE, type Pushed } from './pushed';

/** What a bar stands out beyond the end of what it bores, mm: its tip comes through, and the toolpost clears the chuck or the work. */
const CLEAR_MM = 5;

/** A bar that bores, of the crib where one goes in there. */
interface Bar {
  readonly mm: number;
  readonly shank: Shank;
  readonly from: string;
}

/** A bar of the crib whose shank is of carbide says so. */
const shankOf = ({ note }: Pick<CribTool, 'note'>): Shank => (/carbide (shank|bar)/i.test(note) ? 'carbide' : 'steel');

/** The stiffest that goes into a hole; as sold where none of the crib does. */
function barFor(holeMm: number, tools: readonly CribTool[]): Bar {
  const own = tools.flatMap((t): Bar[] =>
    t.kind === 'boring' && t.pieces > 0 && t.sizeMm !== null && barGoesInto(t.sizeMm, holeMm)
      ? [{ mm: t.sizeMm, shank: shankOf(t), from: 'hangs in the crib' }]
      : [],
  );
  const stiffness = ({ mm, shank }: Bar): number => SHANKS[shank].youngMpa * mm ** 4;
  const [best] = own.sort((p, q) => stiffness(q) - stiffness(p));
  return best ?? { mm: soldBarMm(holeMm), shank: 'steel', from: 'the thickest that goes in there, none of the crib does' };
}

/** From the mouth that stands free to the far end of what is bored. */
function deepMm(
  part: Part,
  { free }: SetUp,
  { id, fromMm, toMm }: { readonly id: string; readonly fromMm: number; readonly toMm: number },
): number {
  const near = free === 'both' ? part.bores.find((b) => b.surfaces.some((s) => s.id === id))?.from === 'near' : free === 'near';
  return near ? toMm : partLengthMm(part) - fromMm;
}

/** How a boring bar is held while it bores. */
export interface BarHeld {
  /** Out of its holder, or between centres. */
  readonly held: 'chuck' | 'centres';
  /** What of it is free, mm. */
  readonly freeMm: number;
  /** Where that comes from. */
  readonly words: string;
}

/** A bar that reaches to the end of what it bores. */
export const reaching = (deepMm: number): BarHeld => ({
  ...{ held: 'chuck', freeMm: deepMm + CLEAR_MM },
  words: `to the end of what it bores, and ${CLEAR_MM} mm`,
});

/**
 * One bore as its bar gives way at the last cut; null where nothing is cut, or the book has no cutting force for the material.
 *
 * @param key of its figures
 */
export function bentBar(
  key: string,
  x: SegmentPasses,
  { held, freeMm, words: how }: BarHeld,
  m: Material,
  tools: readonly CribTool[],
  unit: LengthUnit,
): Pushed | null {
  const { id, name } = x.segment.segment;
  const last = x.passes.ok ? x.passes.value.at(-1) : undefined;
  if (!last || !m.kc11 || m.mc === null) return null;
  const between = held === 'centres';
  const bar: Bar = between
    ? { mm: BAR_SHARE * x.fromMm, shank: 'steel', from: `${BAR_SHARE} of the hole that it goes through` }
    : barFor(x.fromMm, tools);
  const { words: shank, ratio, youngMpa } = SHANKS[bar.shank];
  const push = pushFigure(key, m, last.offMm, x.feeds.finish.value);
  const bendMm = between
    ? workBendMm('centres', push.value, youngMpa, bar.mm, freeMm, freeMm / 2)
    : barBendMm(push.value, bar.shank, bar.mm, freeMm);
  const bend = workedOut(
    `${key}.bend`,
    `the bar gives way in ${inSentence(name)} by, on the diameter`,
    2 * bendMm,
    `twice F L³ / ${between ? 48 : 3}EI of a ${shank} bar`,
    [
      push,
      ruled(`${key}.bar`, 'boring bar', bar.mm, bar.from),
      ruled(`${key}.out`, between ? 'between its centres' : 'it stands out', freeMm, how),
    ],
  );
  const { lowerMm, upperMm } = x.segment.limits;
  const slender = !between && freeMm / bar.mm > ratio ? { bar, out: freeMm } : null;
  return { segmentId: id, bend, words: wordsOf(name, bend, upperMm - lowerMm, slender, unit) };
}

/** Bores of a holding as their boring bar gives way; none where the book has no cutting force for the material. */
export function barBends(
  setUp: SetUp,
  passes: readonly SegmentPasses[],
  { part }: PartFinding,
  tools: readonly CribTool[],
  unit: LengthUnit,
): Pushed[] {
  const m = materialOf(part.materialId);
  if (!m || setUp.machine !== 'lathe') return [];
  return passes.flatMap((x): Pushed[] => {
    const { id, side } = x.segment.segment;
    if (side !== 'inside' || !setUp.cuts.includes(id)) return [];
    const told = bentBar(`set-up.${setUp.number}.${id}`, x, reaching(deepMm(part, setUp, x.segment.segment)), m, tools, unit);
    return told ? [told] : [];
  });
}

function wordsOf(
  name: string,
  bend: Figure,
  widthMm: number,
  slender: { readonly bar: Bar; readonly out: number } | null,
  unit: LengthUnit,
): string {
  const gives =
    bend.value > TOLD_SHARE * widthMm
      ? `${name}: the bar gives way by up to ${formatWithUnit(bend.value, unit)} on the diameter at the last cut, so it comes out that much smaller. Spring passes, and let the cuts before tell.`
      : '';
  const chatters = slender
    ? `${name}: a ${SHANKS[slender.bar.shank].words} bar of ${placeWithUnit(slender.bar.mm, unit)} stands out ${(slender.out / slender.bar.mm).toFixed(1)} times its thickness; beyond ${SHANKS[slender.bar.shank].ratio} it chatters. A thicker one after a larger drill, or one of carbide; slower.`
    : '';
  return [gives, chatters].filter(Boolean).join(' ');
}
