import { actMinutes, COST_ACTS, scaled, type CostAct, type Took, type WorkSize } from '../../making/costing';
import { isDiameterOfSurface, isDrawn, largestDiameterMm, partLengthMm } from '../../making/part';
import { inSentence } from '../../terms/words';
import { acted, type Draft } from './to-do-act';
import type { ItemFinding } from './item-finding';

/** Spread of what was planned set-up by set-up, as that of turning. */
const PLANNED_SPREAD = { low: COST_ACTS.turn.low, high: COST_ACTS.turn.high } as const;
/** Holdings that stay on the spindle for the next job as they are. */
const KEPT_HOLDINGS: readonly string[] = ['three-jaw', 'collet'];

/** How large what is made is; null where nothing is drawn of it. */
export const sizeOf = ({ part }: ItemFinding): WorkSize | null =>
  part && isDrawn(part.part) && part.part.outside.length
    ? { diameterMm: largestDiameterMm(part.part), lengthMm: partLengthMm(part.part), materialId: part.part.materialId }
    : null;

/** Acts on the machine that a new part takes, by its set-ups as they are planned, else by what is drawn of it. */
export function ofMaking(found: ItemFinding, took: Took): Draft[] {
  const { item, part, plan } = found;
  const name = inSentence(item.name);
  const many = item.quantity > 1 ? `${name}, ${item.quantity} of them` : name;
  if (plan?.setUps.length)
    return plan.setUps.map(({ setUp, minutes }): Draft => {
      const act: CostAct =
        setUp.machine === 'mill' ? 'mill' : setUp.machine === 'press' ? 'press' : setUp.machine === 'bench' ? 'file' : 'turn';
      const cutting = Math.max(0, minutes.value - setUp.settingMin) * item.quantity * took(act);
      return acted(
        `${item.id}:set-up:${setUp.number}`,
        act,
        `${many}: set-up ${setUp.number}`,
        scaled({ ...PLANNED_SPREAD, likely: 1 }, cutting),
        {
          setupMin: setUp.settingMin,
          setup: setUp.holding && KEPT_HOLDINGS.includes(setUp.holding) ? setUp.holding : '',
          machineId: setUp.machine === 'lathe' ? plan.lathe.id : '',
        },
      );
    });
  const acts: CostAct[] = part?.part.block ? ['mill'] : ['turn', ...(part?.part.bores.length ? (['bore'] as const) : [])];
  return acts.map((act) =>
    acted(`${item.id}:${act}`, act, `${COST_ACTS[act].name} ${many}`, actMinutes(act, sizeOf(found), item.quantity, took).hands),
  );
}

/** Acts on the machine that a component which stays takes: as its cuts are planned, else what such an act usually takes. */
export function ofRework(found: ItemFinding, took: Took): Draft[] {
  const { item, rework, boring, part, lathe } = found;
  const name = inSentence(item.name);
  const sides = new Set(part!.dimensions.filter((d) => isDiameterOfSurface(d.dimension)).map((d) => d.dimension.what));
  const onMill = boring?.chosen ? boring.chosen.id === 'mill-head' || boring.chosen.id === 'follow' : true;
  const draft = (act: CostAct, side: 'inside' | 'outside'): Draft => {
    const key = `${item.id}:${act}`;
    const called = `${COST_ACTS[act].name}: ${name}`;
    const minutes = side === 'inside' ? rework?.minutes.bored : rework?.minutes.turned;
    // Where a surface has no cuts yet, as it is built up first, nobody knows how long it takes there.
    if (!minutes) return acted(key, act, called, actMinutes(act, null, item.quantity, took).hands);
    const setupMin = (side === 'inside' ? boring?.chosen : rework?.turned?.chosen)?.minutes ?? 0;
    const cutting = Math.max(0, minutes.value - setupMin) * item.quantity * took(act);
    const machineId = act === 'bore-mill' ? '' : (lathe?.id ?? '');
    return acted(key, act, called, scaled({ ...PLANNED_SPREAD, likely: 1 }, cutting), { setupMin, machineId });
  };
  return [
    ...(sides.has('outside') ? [draft('turn', 'outside')] : []),
    ...(sides.has('inside') ? [draft(onMill ? 'bore-mill' : 'bore', 'inside')] : []),
  ];
}
