import { materialOf, type Material } from '../../book/materials';
import { isDiameter, type Bend } from '../../evidence/readings';
import { elasticMm, nextPush, yieldForceN, type PressAdvice, type Push } from '../../making/process';
import { formatWithUnit, placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { choiceKey, chosenSeen, loggedChoices, valueOf } from './choices';
import type { JobItem } from './items';
import type { PlaceFinding } from './place-finding';
import type { JobSheet } from './records';
import { STEP_ACTS } from './step-acts.data';

/** How an item lies in the press, and how straight it has to be. */
export interface PressChoice {
  /** The place that was read for straightness. */
  readonly placeId: string;
  /** The blocks, from the component's zero face, mm. */
  readonly supportsMm: readonly [number, number];
  /** Its diameter under the press, mm. */
  readonly diameterMm: number;
  /** Most that an indicator may show in all where it is bent most, mm. */
  readonly mostMm: number;
}

/** One push of the press. */
export interface PushChoice {
  readonly itemId: string;
  /** How far down from where it lay free, mm. */
  readonly pushedMm: number;
  /** What the indicator shows in all after it was let go, mm. */
  readonly totalMm: number;
  /** The high spot is on the other side now: it was bent over. */
  readonly over: boolean;
  readonly remark: string;
  /** ISO time. */
  readonly pushedAt: string;
  readonly removed: boolean;
}

export interface LoggedPush extends PushChoice, Push {
  readonly id: string;
  readonly personId: string;
}

/** A bent part at the press. */
export interface PressFinding {
  readonly place: PlaceFinding;
  readonly bend: Bend;
  /** As it was said, else what is proposed; null while nobody can say. */
  readonly setting: { readonly [K in keyof PressChoice]: PressChoice[K] | null };
  readonly said: boolean;
  readonly log: readonly LoggedPush[];
  /** What an indicator shows in all by now, mm. */
  readonly totalMm: number;
  /** Direction that lies up, degrees. */
  readonly upDeg: number;
  /** What comes back whole, and the force of the press by then; null where metal, blocks or diameter are not known. */
  readonly elasticMm: number | null;
  readonly forceN: number | null;
  /** Null where it must not be pressed cold, or is not set up yet. */
  readonly advice: PressAdvice | null;
  readonly sentences: readonly string[];
  /** Why it must not be straightened cold; null where it may. */
  readonly refused: string | null;
}

/** As straight as a shop leaves it unless told: so much on an indicator over so long between the blocks, and never less than this, mm. Ours. */
const STRAIGHT = { perMm: 0.05 / 300, leastMm: 0.03 } as const;
/** Case and spring hardness snaps in the press from about here on: HRC, and the same as HV and HB. Ours. */
const HARD = { HRC: 40, HV: 392, HB: 371 } as const;
/** Strain of the surface beyond which cold straightening is not gone on with. Ours. */
const STRAIN_MOST = 0.02;

/** Whether one of an item's steps straightens it. */
export const isStraightened = ({ steps }: Pick<JobItem, 'steps'>): boolean => steps.some((s) => s.act === 'straighten');

/** The place of an item's components that was read for straightness; undefined where none was. */
const bentPlace = (item: JobItem, places: readonly PlaceFinding[], said: PressChoice | null): PlaceFinding | undefined => {
  const bent = places.filter((f) => item.componentIds.includes(f.component.id) && f.indicator?.bend);
  return bent.find((f) => f.place.id === said?.placeId) ?? bent[0];
};

/** What was said of the press; null while nobody did. */
const chosenPress = (sheet: Pick<JobSheet, 'choices'>, itemId: string): PressChoice | null =>
  valueOf<PressChoice>(sheet, choiceKey.press(itemId));

function pushesOf(sheet: JobSheet, itemId: string, bowMm: number): LoggedPush[] {
  const pushes = loggedChoices<PushChoice>(sheet, choiceKey.push(''))
    .filter((p) => p.itemId === itemId)
    .sort((a, b) => Date.parse(a.pushedAt) - Date.parse(b.pushedAt));
  let beforeMm = bowMm;
  return pushes.map((p): LoggedPush => {
    const afterMm = ((p.over ? -1 : 1) * p.totalMm) / 2;
    const logged = { ...p, beforeMm, afterMm };
    beforeMm = afterMm;
    return logged;
  });
}

/** The diameter that was read where the press stands; null where nobody read one. */
function diameterAt(place: PlaceFinding, atMm: number, places: readonly PlaceFinding[]): number | null {
  const over = places.find(
    ({ place: p, component, shape }) =>
      component.id === place.component.id &&
      shape &&
      isDiameter(p.kind) &&
      p.side === 'outside' &&
      p.startMm <= atMm &&
      p.startMm + p.lengthMm >= atMm,
  );
  return over?.shape?.meanMm ?? null;
}

function proposed(place: PlaceFinding, bend: Bend, places: readonly PlaceFinding[]): PressFinding['setting'] {
  const { detail, startMm, lengthMm } = place.place;
  const [first, last] = [Math.min(...detail.supportsMm), Math.max(...detail.supportsMm)];
  const held = detail.supportsMm.length > 1 ? ([first, last] as const) : ([startMm, startMm + lengthMm] as const);
  const mostMm = Math.max(STRAIGHT.leastMm, Math.round((held[1] - held[0]) * STRAIGHT.perMm * 100) / 100);
  return { placeId: place.place.id, supportsMm: held, diameterMm: diameterAt(place, bend.highAtMm, places), mostMm };
}

/** Why it must not be pressed cold: metal that breaks without yielding, or is hard; null where it may. */
function refusedCold(place: PlaceFinding, sheet: JobSheet): string | null {
  const metal = materialOf(place.component.materialId);
  if (metal?.brittle) return `${metal.name} breaks without yielding: it is not straightened in a press.`;
  const own = sheet.places.filter((p) => p.componentId === place.component.id);
  for (const { id, name } of own) {
    const seen = chosenSeen(sheet, id);
    if (seen?.hardness != null && seen.hardness >= HARD[seen.scale])
      return `${seen.hardness} ${seen.scale} at ${inSentence(name)}: hard steel snaps in a press. Remake it, or have it straightened by somebody who does hardened parts.`;
  }
  return null;
}

/** The high side, up: the found one, or the one across from it once it was bent over. */
const upDegOf = (bend: Bend, over: boolean): number => Math.round(bend.planeDeg + (over ? 180 : 0)) % 360;

function told(
  advice: PressAdvice,
  bend: Bend,
  setting: PressChoice,
  upDeg: number,
  log: readonly LoggedPush[],
  unit: LengthUnit,
): string[] {
  const show = (mm: number): string => formatWithUnit(mm, unit);
  const at = (mm: number): string => placeWithUnit(mm, unit);
  if (advice.state === 'straight')
    return ['Straight enough. Read the whole of it once more at Prove, then look it over for cracks before it goes back under load.'];
  const [a, b] = setting.supportsMm;
  const lay = `On blocks at ${at(a)} and ${at(b)}, ${upDeg}° up, the press at ${at(bend.highAtMm)}. Zero the indicator under it where it lies free.`;
  const turned = advice.state === 'over' ? ['It was bent over: turn it round, the other side is high now.'] : [];
  if (advice.pushMm === null)
    return [
      ...turned,
      lay,
      `Nobody knows when this metal yields: push a little, let go, read it, and a little more, until something stays.`,
    ];
  const last = log.at(-1);
  const stays =
    advice.staysMm === 0
      ? 'By the book most of this comes back: what stays tells the rest.'
      : `What came back last comes back again; ${show(advice.staysMm)} is meant to stay, no more.`;
  return [...turned, ...(last ? [] : [lay]), stays];
}

/** The place that is bent, and how it lies in the press. */
interface Lying {
  readonly place: PlaceFinding;
  readonly bend: Bend;
  readonly setting: PressFinding['setting'];
  readonly said: boolean;
}

/**
 * How a part of an item that is straightened lies in the press; null where nothing of it is, or nobody read how it is bent.
 *
 * @param places as they are now
 */
export function lyingInPress(item: JobItem, places: readonly PlaceFinding[], sheet: JobSheet): Lying | null {
  if (!isStraightened(item)) return null;
  const chosen = chosenPress(sheet, item.id);
  const place = bentPlace(item, places, chosen);
  const bend = place?.indicator?.bend;
  if (!place || !bend) return null;
  const said = chosen?.placeId === place.place.id;
  return { place, bend, said, setting: said ? chosen : proposed(place, bend, places) };
}

/** Why a push is not told: its surface would be torn; null where it may be made. */
function tooFarWords(metal: Material | undefined, advice: PressAdvice): string | null {
  const strain = metal?.yieldMpa ? (advice.strainTimes * metal.yieldMpa) / metal.youngMpa : 0;
  return strain > STRAIN_MOST
    ? `Its surface would be stretched by ${(100 * strain).toFixed(1)} %: cold, that cracks many steels. Remake it, or leave it to somebody who does it hot.`
    : null;
}

const CASE_WORDS = 'Its case is hard and cracks before the core yields: little at a time, soft pads, dye after.';

/** A bent part of an item at the press; null where nothing of it is straightened, or nobody read how it is bent. */
export function pressFinding(item: JobItem, places: readonly PlaceFinding[], sheet: JobSheet): PressFinding | null {
  const lying = lyingInPress(item, places, sheet);
  if (!lying) return null;
  const { place, bend, setting } = lying;
  const { unit } = sheet.job;
  const log = pushesOf(sheet, item.id, bend.bowMm);
  const nowMm = log.at(-1)?.afterMm ?? bend.bowMm;
  const base = { ...lying, log, totalMm: 2 * Math.abs(nowMm), upDeg: upDegOf(bend, nowMm < 0) };
  const none = (words: string, refused: string | null = null): PressFinding => ({
    ...{ ...base, elasticMm: null, forceN: null, advice: null, refused, sentences: [words] },
  });
  const refused = refusedCold(place, sheet);
  if (refused) return none(refused, refused);
  const { placeId, supportsMm, diameterMm, mostMm } = setting;
  if (!placeId || !supportsMm || diameterMm === null || mostMm === null) return none('Say how thick it is where the press stands.');
  const [leftMm, rightMm] = [bend.highAtMm - supportsMm[0], supportsMm[1] - bend.highAtMm];
  if (leftMm <= 0 || rightMm <= 0) return none(`Its high spot, ${placeWithUnit(bend.highAtMm, unit)}, has to lie between the blocks.`);
  const metal = materialOf(place.component.materialId);
  const pressed = { diameterMm, leftMm, rightMm };
  const elastic = metal?.yieldMpa ? elasticMm(pressed, metal.youngMpa, metal.yieldMpa) : null;
  const advice = nextPush(bend.bowMm, log, elastic, mostMm / 2);
  const tooFar = tooFarWords(metal, advice);
  const lies = { placeId, supportsMm, diameterMm, mostMm };
  const mindCase = advice.state !== 'straight' && metal?.hardness.startsWith('case');
  return {
    ...base,
    elasticMm: elastic,
    forceN: metal?.yieldMpa ? yieldForceN(pressed, metal.yieldMpa) : null,
    advice: tooFar === null ? advice : { ...advice, pushMm: null },
    refused: null,
    sentences: [...(tooFar === null ? told(advice, bend, lies, base.upDeg, log, unit) : [tooFar]), ...(mindCase ? [CASE_WORDS] : [])],
  };
}

/** What to mind at the press. */
export const PRESS_CAUTION = STEP_ACTS.straighten.caution;
