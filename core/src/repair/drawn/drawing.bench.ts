import { addedFeature } from '../../making/drawing';
import { surface, validatePart, type FeatureKindId, type Part } from '../../making/part';
import { partLines, sceneSvg } from '../../making/scene';
import { choiceKey, workOut } from '../job';
import { pictureModel } from '../picture';
import { drawingSheet } from '../job/drawing-sheet';
import { testChoice, testItem, testSheet, testShop } from '../job/testing';
import { strengthFinding } from './strength-finding';

/** Prints how long a typed dimension takes to be in all that hangs on it, for a shaft of forty features. */
const STEPS = 10;
/** A groove, a keyseat, a cross hole and a chamfer or radius on each step. */
const ON_EACH: readonly (readonly [FeatureKindId, object])[] = [
  ['relief', { atMm: 4, widthMm: 2 }],
  ['keyseat', { atMm: 10, lengthMm: 14 }],
  ['cross-hole', { atMm: 32, diameterMm: 4 }],
  ['chamfer', { end: 'right', lengthMm: 0.5, angleDeg: 45 }],
];

function shaft(): Part {
  let part: Part = {
    ...{ name: 'Shaft', materialId: 'steel-c45', bores: [], features: [], limits: {}, block: null },
    outside: Array.from({ length: STEPS }, (_, i) => surface(`s${i}`, 'cylinder', `Step ${i + 1}`, 40, 20 + 3 * i)),
  };
  for (const { id, diameterMm } of part.outside)
    for (const [kind, own] of ON_EACH)
      part = addedFeature(part, id, kind, `${id}-${kind}`, kind === 'relief' ? { ...own, diameterMm: diameterMm - 1 } : own)!.part;
  const valid = validatePart(part);
  if (!valid.ok) throw new Error(JSON.stringify(valid.problems));
  return part;
}

const old = shaft();
const item = testChoice(choiceKey.item('job'), testItem('make', 'Shaft', { componentIds: ['pin'] }));
const measured = testSheet();
const parts = { repair: 0, picture: 0, strength: 0, sheet: 0 };
const times: number[] = [];
const ROUNDS = 60;
const WARM_UP = 20;
for (let i = 0; i < ROUNDS + WARM_UP; i++) {
  // What is typed: another diameter of one of its steps.
  const outside = old.outside.map((s, k) => (k === i % STEPS ? { ...s, diameterMm: s.diameterMm + 0.001 * (i + 1) } : s));
  const part = { ...old, outside };
  const sheet = { ...measured, choices: [testChoice(choiceKey.part, part), item] };
  const at = [performance.now()];
  const repair = workOut(sheet, testShop);
  at.push(performance.now());
  pictureModel(repair, 'new', sheet);
  partLines(part);
  at.push(performance.now());
  strengthFinding({ part: old, materialId: old.materialId }, part);
  at.push(performance.now());
  sceneSvg(drawingSheet(repair.items[0]!.part!, { title: 'Shaft', released: '', quantity: 1 }, 'mm'));
  at.push(performance.now());
  if (i < WARM_UP) continue;
  times.push(at[4]! - at[0]!);
  (['repair', 'picture', 'strength', 'sheet'] as const).forEach((name, k) => (parts[name] += (at[k + 1]! - at[k]!) / ROUNDS));
}
const sorted = times.sort((p, q) => p - q);
const each = Object.entries(parts).map(([name, ms]) => `${name} ${ms.toFixed(2)}`);
console.log(
  `  a typed dimension of a shaft of ${old.features.length} features: ${sorted[Math.floor(ROUNDS / 2)]!.toFixed(2)} ms (median of ${ROUNDS}), slowest ${sorted.at(-1)!.toFixed(2)} ms: ${each.join(', ')}; a frame is 16.7 ms`,
);
