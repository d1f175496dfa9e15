import { CAUSES, ROUTES, type CauseId } from '../../evidence/diagnosis';
import { materialOf } from '../../book/materials';
import {
  actMinutes,
  actTook,
  COST_ACTS,
  meanOf3,
  priceOf,
  tookBy,
  type ActMinutes,
  type PricedAct,
  type PricedStock,
  type ThreePoint,
  type WorkSize,
} from '../../making/costing';
import { MACHINE_WORDS, type Machine } from '../../making/setups';
import { countOf, inSentence } from '../../terms/words';
import type { Figure } from '../../terms/working';
import { chosenRoute } from './choices';
import {
  consideredRoutes,
  sizeOfRoute,
  type ConsideredAct,
  type ConsideredChoice,
  type ConsideredStock,
  type EstimatedThen,
} from './considered';
import type { PlaceFinding } from './place-finding';
import type { JobSheet, Shop } from './records';
import type { Item } from './strip-records';

/** An act of a route with its minutes. */
export interface RouteAct {
  readonly act: ConsideredAct;
  readonly name: string;
  readonly hands: ThreePoint;
  /** Somebody said the minutes. */
  readonly said: boolean;
  readonly aloneMin: number;
  /** Of the model alone, min: neither said nor learnt. */
  readonly modelMin: number;
}

/** One way to put it right, worked out. */
export interface RouteFinding {
  readonly route: Item<ConsideredChoice>;
  /** 1, 2, 3 as they stand side by side. */
  readonly number: number;
  readonly acts: readonly RouteAct[];
  /** Hands, min, with the span of eight in ten. */
  readonly minutes: Figure;
  /** Saws and the like that run by themselves meanwhile, min. */
  readonly aloneMin: number;
  /** With tax; null where the shop has not said what an hour costs. */
  readonly price: Figure | null;
  /** What has no price yet and is not in it. */
  readonly unpriced: readonly string[];
  /** The longest that anything bought or done elsewhere takes, days; null where nothing is or nobody said. */
  readonly waitDays: number | null;
  /** What has to be bought or done elsewhere and has no days yet. */
  readonly undated: readonly string[];
  /** Machines that it needs and the shop has none of. */
  readonly missing: readonly string[];
  /** How it leaves the cause alive; null where it does not. */
  readonly keptAlive: string | null;
}

/** Mass of stock, kg. */
function massKg({ materialId, diameterMm, lengthMm, pieces }: ConsideredStock): number {
  const density = materialOf(materialId)?.densityKgM3 ?? 0;
  return (Math.PI / 4) * diameterMm ** 2 * lengthMm * pieces * density * 1e-9;
}

const pricedStock = (s: ConsideredStock): PricedStock => ({
  what: s.what,
  materialId: s.materialId,
  massKg: massKg(s),
  priceMinor: s.priceMinor,
});

/** The machine that an act keeps: the one that was named, else the only one of its kind. */
function machineOf({ act, machineId }: ConsideredAct, machines: readonly Machine[]): Machine | null {
  const named = machines.find((m) => m.id === machineId);
  const ofKind = machines.filter((m) => m.kind === COST_ACTS[act].at);
  return named ?? (ofKind.length === 1 ? ofKind[0]! : null);
}

const actWords = ({ act, what, times }: ConsideredAct): string => (what || COST_ACTS[act].name) + (times > 1 ? `, ${times} times` : '');

function fromOf(act: ConsideredAct, { sizeKnown }: ActMinutes, { took }: Shop): PricedAct['from'] {
  if (act.minutes) return { typedBy: 'the route' };
  const { factor, jobs } = actTook(act.act, took);
  const learnt = jobs ? `, times ${factor.toFixed(2)} as ${countOf(jobs, 'job')} of this shop took` : '';
  return { rule: `estimate of the shop${sizeKnown ? '' : ', size not known'}${learnt}` };
}

function routeFinding(
  route: Item<ConsideredChoice>,
  index: number,
  sheet: JobSheet,
  places: readonly PlaceFinding[],
  shop: Shop,
): RouteFinding {
  const { value } = route;
  const component = sheet.components.find((c) => c.id === value.componentId);
  const size: WorkSize | null = component ? sizeOfRoute(value.routeId, component, places) : null;
  const took = tookBy(shop.took);
  const worked = value.acts.map((act) => {
    const estimate = actMinutes(act.act, size, act.times, took);
    const modelMin = actMinutes(act.act, size, act.times, () => 1).hands.likely;
    return { act, estimate, hands: act.minutes ?? estimate.hands, machine: machineOf(act, shop.machines), modelMin };
  });
  const { minutes, total, unpriced } = priceOf(
    {
      key: `route.${route.id}`,
      acts: worked.map(({ act, estimate, hands, machine }) => ({
        name: actWords(act),
        hands,
        machineId: machine?.id ?? null,
        machineName: machine?.name ?? '',
        from: fromOf(act, estimate, shop),
      })),
      stock: value.stock.map(pricedStock),
      bought: value.bought,
      postageMinor: value.postageMinor,
    },
    shop.rates,
  );
  const days = value.bought.flatMap((b) => (b.leadDays === null ? [] : [b.leadDays]));
  const kinds = new Set(value.acts.map((a) => COST_ACTS[a.act].at));
  const cause = chosenRoute(sheet);
  const chosen = cause?.causeId ? CAUSES[cause.causeId as CauseId] : undefined;
  const copies = value.routeId ? ROUTES[value.routeId].copies : false;
  return {
    route,
    number: index + 1,
    acts: worked.map(({ act, estimate, hands, modelMin }) => ({
      act,
      name: actWords(act),
      hands,
      said: act.minutes !== null,
      aloneMin: estimate.aloneMin,
      modelMin,
    })),
    minutes,
    aloneMin: worked.reduce((sum, w) => sum + w.estimate.aloneMin, 0),
    price: total,
    unpriced,
    waitDays: days.length ? Math.max(...days) : null,
    undated: value.bought.filter((b) => b.leadDays === null).map((b) => b.what),
    missing: [...kinds].flatMap((k) => (k === 'bench' || shop.machines.some((m) => m.kind === k) ? [] : [MACHINE_WORDS[k].toLowerCase()])),
    keptAlive: copies && chosen?.survivesCopy && !cause?.cure.trim() ? `${inSentence(chosen.name)} goes on` : null,
  };
}

const tenth = (minutes: number): number => Math.round(minutes * 10) / 10;

/** What is kept of a way's estimate when it is chosen: minutes that add up to its hours, and its price. */
export const estimatedNow = ({ acts, price }: Pick<RouteFinding, 'acts' | 'price'>): EstimatedThen => ({
  acts: acts.map(({ act, hands, modelMin }) => ({ act: act.act, minutes: tenth(meanOf3(hands)), modelMin: tenth(modelMin) })),
  priceMinor: price ? Math.round(price.value * 100) : null,
});

/** The ways to put it right that are weighed for a job, in their order. */
export const routeFindings = (sheet: JobSheet, places: readonly PlaceFinding[], shop: Shop): RouteFinding[] =>
  consideredRoutes(sheet).map((r, i) => routeFinding(r, i, sheet, places, shop));
