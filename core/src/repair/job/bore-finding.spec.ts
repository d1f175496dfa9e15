import { press } from '../../book/interference';
import { materialOf } from '../../book/materials';
import { MM_PER_INCH } from '../../terms/quantity';
import { choiceKey } from './choices';
import type { PlaceRecord, JobSheet, ReadingRecord } from './records';
import { workOut } from './repair';
import { testChoice, testPlace, testReading, testSheet, testShop } from './testing';

const inch = (x: number): number => x * MM_PER_INCH;
const read = (placeId: string, valuesMm: readonly number[]): ReadingRecord[] =>
  valuesMm.map((valueMm, i) => testReading({ placeId, stationMm: 20, clockDeg: i * 45, valueMm }));

/** A bush, pressed into the barrel, on a shaft that stays. */
function bushJob(places: readonly PlaceRecord[], readings: JobSheet['readings'], choices: JobSheet['choices'] = []): JobSheet {
  const base = testSheet();
  const components = [
    ...base.components.map((c) => (c.id === 'pin' ? { ...c, name: 'Bush', materialId: 'bronze-tin' } : c)),
    { ...base.components[1]!, id: 'shaft-part', name: 'Shaft', role: 'mate' as const },
  ];
  return testSheet({ components, places: places, readings, choices });
}
const shaft = testPlace('shaft', { componentId: 'shaft-part', side: 'outside', matesPlaceId: 'bush-bore' });
const bushBore = testPlace('bush-bore', { componentId: 'pin', side: 'inside' });
const bushOutside = testPlace('bush-outside', { componentId: 'pin', side: 'outside' });
const hole = testPlace('hole', { componentId: 'barrel-part', side: 'inside', matesPlaceId: 'bush-outside', lengthMm: 30 });
const all = [shaft, bushBore, bushOutside, hole];
const runs = (id: string, kind: string) => testChoice(choiceKey.runs(id), { kind });
const boreOf = (sheet: JobSheet) => workOut(sheet, testShop).bores.find((b) => b.shaft.place.id === 'shaft')!;

it('a ring over a tube of 90.02 with 0.05 of room is bored 90.07 and up', () => {
  const own = testChoice(choiceKey.fit('shaft'), { schoolId: 'own:0.0500', hole: 'keep', truedMm: null });
  const bore = boreOf(bushJob(all, read('shaft', [90.02, 90.02, 90.02, 90.02]), [runs('shaft', 'sliding'), own]));
  expect(bore.target!.lowerMm).toBeCloseTo(90.07, 3);
  // H7 at 90 is 0.035 wide (ISO 286-1): the hole's own grade.
  expect(bore.target!.upperMm - bore.target!.lowerMm).toBeCloseTo(0.035, 6);
  expect(bore.figures!.lower.value).toBeCloseTo(bore.target!.lowerMm, 9);
});

it('goes over the largest place of an oval shaft, and says what play that leaves at the smallest', () => {
  const bore = boreOf(bushJob(all, read('shaft', [30, 29.95, 29.9, 29.95]), [runs('shaft', 'running-grease')]));
  const { smallestMm, largestMm } = bore.shaft.shape!;
  expect(bore.target!.lowerMm).toBeGreaterThan(largestMm);
  expect(bore.target!.playAtSmallestMm - bore.target!.playAtLargestMm).toBeCloseTo(largestMm - smallestMm, 9);
  expect(bore.cleanUpMm).toBeLessThan(smallestMm);
  expect(bore.figures!.playSmallest.value).toBeCloseTo(bore.target!.playAtSmallestMm, 9);
});

it('is not sized before it is known what runs there', () => {
  const bore = boreOf(bushJob(all, read('shaft', [30, 30, 30, 30])));
  expect(bore).toMatchObject({ target: null, figures: null });
  expect(bore.problem).toContain('Not known yet');
});

it('as the maker had it leads where a sound shaft and a sound bore were measured', () => {
  const places = all.map((f) => (['shaft', 'bush-bore'].includes(f.id) ? { ...f, land: 'unworn' as const } : f));
  const readings = [...read('shaft', [30, 30, 30, 30]), ...read('bush-bore', [30.06, 30.06, 30.06, 30.06])];
  const bore = boreOf(bushJob(places, readings, [runs('shaft', 'running-grease')]));
  expect(bore.options[0]!.id).toBe('maker');
  expect(bore.target!.clearanceMm).toBeCloseTo(0.06, 3);
});

it('never lets a pressed hub go loose, nor what runs go tight', () => {
  const round = read('shaft', [30, 30, 30, 30]);
  const pick = (schoolId: string) => testChoice(choiceKey.fit('shaft'), { schoolId, hole: 'keep', truedMm: null });
  expect(boreOf(bushJob(all, round, [runs('shaft', 'pressed-bush'), pick('grease')])).target).toBeNull();
  expect(boreOf(bushJob(all, round, [runs('shaft', 'running-oil'), pick('press-bush')])).target).toBeNull();
});

it('is bored larger by what pressing closes in: a bronze bush of 1.250 on 0.9985', () => {
  const readings = [
    ...read('hole', [1.2505, 1.2505, 1.2505, 1.2505].map(inch)),
    ...read('shaft', [0.9985, 0.9985, 0.9985, 0.9985].map(inch)),
  ];
  const choices = [runs('hole', 'pressed-bush'), runs('shaft', 'running-grease')];
  const job = bushJob(all, readings, choices);
  const { fits, bores } = workOut(job, testShop);
  // House rule: 0.0005 in and 0.001 in per inch: 1.2523.
  expect(fits[0]!.target!.upperMm / MM_PER_INCH).toBeCloseTo(1.25225, 4);
  const { figures, target } = bores[0]!;
  const closes = figures!.closing!.value;
  // Between 0.6 and 1.0 of the interference: a thin bush in a thick hub gives way nearly all of it (about 0.0015 in here).
  expect(closes / MM_PER_INCH).toBeGreaterThan(0.0009);
  expect(closes / MM_PER_INCH).toBeLessThan(0.0017);
  expect(figures!.aimBefore!.value).toBeCloseTo(target!.aimMm + closes, 9);
  // The same by the sum of a press fit alone.
  const again = press({
    diameterMm: inch(1.2505),
    hubOutsideMm: 2 * inch(1.2505),
    shaftBoreMm: inch(0.9985),
    lengthMm: 30,
    interferenceMm: fits[0]!.target!.aimMm - inch(1.2505),
    rzHubMm: 0.004,
    rzShaftMm: 0.004,
    hub: materialOf('steel-c45')!,
    shaft: materialOf('bronze-tin')!,
    friction: 0.12,
  });
  if (!again.ok) throw new Error('no press');
  expect(closes).toBeCloseTo(again.value.boreClosesMm, 3);
});

it('asks nothing of the outside of a mate that no hole of the new part goes over', () => {
  const outer = testPlace('outer', { componentId: 'barrel-part', side: 'outside' });
  const base = testSheet();
  expect(workOut(testSheet({ places: [...base.places, outer] }), testShop).bores).toEqual([]);
});

it('a ring that only goes over a tube is asked for no fit in the tube’s own bore', () => {
  const tubeBore = testPlace('tube-bore', { componentId: 'shaft-part', side: 'inside' });
  const job = bushJob([shaft, bushBore, tubeBore], read('shaft', [90, 90, 90, 90]));
  expect(workOut(job, testShop).fits).toEqual([]);
  expect(workOut(bushJob(all, []), testShop).fits).toHaveLength(1);
});

it('pressed into metal that nobody knows a bush is taken to close in as in steel, which is more than in anything else that houses are of', () => {
  const readings = [...read('hole', [32, 32, 32, 32]), ...read('shaft', [25, 25, 25, 25])];
  const job = bushJob(all, readings, [runs('hole', 'pressed-bush'), runs('shaft', 'running-grease')]);
  const into = (materialId: string) => {
    const components = job.components.map((c) => (c.id === 'barrel-part' ? { ...c, materialId } : c));
    return boreOf({ ...job, components }).figures!.closing!;
  };
  const origin = (c: ReturnType<typeof into>): string => JSON.stringify(c.origin);
  const unknown = into('unknown');
  expect(origin(unknown)).toContain('what it is in taken for steel');
  expect(origin(into('steel-c45'))).not.toContain('taken for');
  expect(unknown.value).toBeCloseTo(into('steel-c45').value, 9);
  for (const known of ['iron-grey', 'bronze-tin', 'aluminium-6082']) expect(into(known).value).toBeLessThan(unknown.value);
});
