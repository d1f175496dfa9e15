import { materialName, materialOf } from '../../book/materials';
import { plus, ruled, sumOf, typed, workedOut, type Figure } from '../../terms/working';
import type { Rates } from './rates';
import { together, type ThreePoint } from './spread';

/** An act with its minutes, as it goes into a price. */
export interface PricedAct {
  readonly name: string;
  readonly hands: ThreePoint;
  /** The machine that it keeps; null at the bench, or where nobody said which. */
  readonly machineId: string | null;
  readonly machineName: string;
  /** Who or what says the minutes. */
  readonly from: { readonly typedBy: string } | { readonly rule: string };
}

/** Stock that is cut up: by its price as typed, else by its mass. */
export interface PricedStock {
  readonly what: string;
  readonly materialId: string;
  readonly massKg: number;
  readonly priceMinor: number | null;
}

/** What is bought or done elsewhere. */
export interface PricedBuy {
  readonly what: string;
  readonly count: number;
  /** Each; null while nobody asked. */
  readonly costMinor: number | null;
  /** The fewest that are sold at once; absent where any number is. */
  readonly least?: number | undefined;
}

export interface PriceInput {
  /** Begins the keys of its figures. */
  readonly key: string;
  readonly acts: readonly PricedAct[];
  readonly stock: readonly PricedStock[];
  readonly bought: readonly PricedBuy[];
  /** Carriage both ways, as it is paid. */
  readonly postageMinor: number;
}

/** What it comes to. */
export interface Price {
  /** Hands, min: the mean, with the span of eight in ten. */
  readonly minutes: Figure;
  /** Whole money with tax; null where the shop has not said what an hour costs. */
  readonly total: Figure | null;
  /** What has no price yet: it is not in the total. */
  readonly unpriced: readonly string[];
}

const whole = (minor: number): number => Math.round(minor) / 100;
const money = { measure: 'price' } as const;
const percent = (share: number): string => `${Number(share.toFixed(2))} %`;

function minutesFigure({ key, acts }: PriceInput): Figure {
  const all = together(acts.map((a) => a.hands));
  const terms = acts.map((a, i) => {
    const mean = together([a.hands]).mean;
    const id = `${key}.act.${i}`;
    return 'rule' in a.from ? ruled(id, a.name, mean, a.from.rule, 'time') : typed(id, a.name, mean, a.from.typedBy, '', 'time');
  });
  return {
    ...(terms.length
      ? sumOf(`${key}.minutes`, 'hours', terms.map(plus))
      : workedOut(`${key}.minutes`, 'hours', 0, 'nothing is done', [], { measure: 'time' })),
    limits: { lower: all.low, upper: all.high },
  };
}

function machineFigures({ key, acts }: PriceInput, rates: Rates): Figure[] {
  const byMachine = new Map<string, { name: string; minutes: number }>();
  for (const { machineId, machineName, hands } of acts)
    if (machineId !== null && rates.machineHourMinor[machineId])
      byMachine.set(machineId, {
        name: machineName,
        minutes: (byMachine.get(machineId)?.minutes ?? 0) + together([hands]).mean,
      });
  return [...byMachine].map(([id, { name, minutes }]) => {
    const rate = rates.machineHourMinor[id]!;
    return workedOut(
      `${key}.machine.${id}`,
      name,
      whole((minutes / 60) * rate),
      `${(minutes / 60).toFixed(2)} h at ${whole(rate).toFixed(2)} an hour`,
      [],
      money,
    );
  });
}

function stockFigure({ what, materialId, massKg, priceMinor }: PricedStock, id: string, rates: Rates): Figure | null {
  if (priceMinor !== null) return typed(id, what, whole(priceMinor), 'the route', '', 'price');
  const material = materialOf(materialId);
  const kg = material && rates.kgMinor[material.family];
  if (!material || kg === undefined) return null;
  const how = `${massKg.toFixed(2)} kg of ${materialName(materialId)} at ${whole(kg).toFixed(2)} a kilogram, and ${percent(rates.wastePercent)} waste`;
  return workedOut(id, what, whole(massKg * kg * (1 + rates.wastePercent / 100)), how, [], money);
}

function boughtFigure({ what, count, costMinor, least = 1 }: PricedBuy, id: string, { markUpPercent }: Rates): Figure | null {
  if (costMinor === null) return null;
  const paid = Math.max(count, least);
  const how = `${paid}${paid > count ? `, the fewest that are sold (${count} needed),` : ''} at ${whole(costMinor).toFixed(2)}, and ${percent(markUpPercent)} on it`;
  return workedOut(id, what, whole(Math.round(costMinor * (1 + markUpPercent / 100)) * paid), how, [], money);
}

/**
 * What a piece of work comes to, every line with where it comes from. Lines are rounded to the smallest coin one by one, as they stand on
 * the paper; the span follows from that of the hours alone.
 *
 * @param rates null where the shop has not said them: there are hours then and no price
 */
export function priceOf(input: PriceInput, rates: Rates | null): Price {
  const { key, acts, stock, bought, postageMinor } = input;
  const minutes = minutesFigure(input);
  if (!rates) return { minutes, total: null, unpriced: [] };
  const { lower, upper } = minutes.limits!;
  const hours = minutes.value / 60;
  const labour = workedOut(
    `${key}.labour`,
    'hours',
    whole(hours * rates.hourMinor),
    `${hours.toFixed(2)} h at ${whole(rates.hourMinor).toFixed(2)} an hour`,
    [minutes],
    money,
  );
  const consumables = workedOut(
    `${key}.consumables`,
    'consumables',
    whole(labour.value * rates.consumablesPercent),
    `${percent(rates.consumablesPercent)} of the hours`,
    [],
    money,
  );
  const stocks = stock.map((s, i) => stockFigure(s, `${key}.stock.${i}`, rates));
  const buys = bought.map((b, i) => boughtFigure(b, `${key}.bought.${i}`, rates));
  const postage = postageMinor > 0 ? [typed(`${key}.postage`, 'carriage', whole(postageMinor), 'the route', '', 'price')] : [];
  const lines = [
    ...(acts.length ? [labour, ...machineFigures(input, rates)] : []),
    ...(consumables.value > 0 ? [consumables] : []),
    ...[...stocks, ...buys].filter((f) => f !== null),
    ...postage,
  ];
  const net = lines.length
    ? sumOf(`${key}.net`, 'before tax', lines.map(plus))
    : workedOut(`${key}.net`, 'before tax', 0, 'nothing is asked for', [], money);
  const least = whole(rates.minimumMinor);
  const asked =
    net.value < least
      ? workedOut(`${key}.asked`, 'least that the shop asks', least, `it came to ${net.value.toFixed(2)}`, [net], money)
      : net;
  const tax = workedOut(
    `${key}.tax`,
    'tax',
    whole(asked.value * rates.taxPercent),
    `${percent(rates.taxPercent)} of ${asked.value.toFixed(2)}`,
    [],
    money,
  );
  const total = sumOf(`${key}.price`, 'price', [plus(asked), ...(tax.value > 0 ? [plus(tax)] : [])]);
  // What hangs on the hours goes up and down with them; the rest stands.
  const perHour =
    hours > 0
      ? lines.filter((l) => l === labour || l === consumables || l.key.startsWith(`${key}.machine.`)).reduce((s, l) => s + l.value, 0) /
        hours
      : 0;
  const at = (min: number): number => Math.max(net.value + perHour * (min / 60 - hours), least) * (1 + rates.taxPercent / 100);
  return {
    minutes,
    total: { ...total, limits: { lower: at(lower), upper: at(upper) }, note: rates.currency },
    unpriced: [...stock.filter((_, i) => stocks[i] === null), ...bought.filter((_, i) => buys[i] === null)].map((x) => x.what),
  };
}
