import { playDistribution } from '../../evidence/proof';
import { choiceKey } from './choices';
import { workOut } from './repair';
import { figureScore, FORMS } from './testing-figures';
import { drawnPin, testChoice, testPlace, testReading, testSheet, testShop } from './testing';

/** Prints how long a whole job takes to work out, and how fast plays are drawn. */
const median = (times: number[]): number => times.sort((p, q) => p - q)[Math.floor(times.length / 2)]!;
const choices = [
  testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null }),
  testChoice(choiceKey.part, drawnPin()),
];

for (const count of [20, 200, 2000]) {
  const readings = Array.from({ length: count }, (_, i) =>
    testReading({ placeId: 'barrel', stationMm: 5 + (i % 30), clockDeg: (i * 45) % 180, valueMm: 40.2 + (i % 7) * 0.01 }),
  );
  const sheet = testSheet({ readings, choices });
  for (let i = 0; i < 20; i++) workOut(sheet, testShop);
  const times = Array.from({ length: 40 }, () => {
    const start = performance.now();
    workOut(sheet, testShop);
    return performance.now() - start;
  });
  console.log(`  whole job, ${count} readings: ${median(times).toFixed(2)} ms (median of 40)`);
}
{
  const places = Array.from({ length: 10 }, (_, i) => testPlace(`f${i}`, { stationsMm: [5], clocksDeg: [0] }));
  const readings = Array.from({ length: 5000 }, (_, i) =>
    testReading({
      placeId: `f${i % 10}`,
      stationMm: 5 + (Math.floor(i / 10) % 25),
      clockDeg: (i * 45) % 180,
      valueMm: 40 + (i % 7) * 0.002,
    }),
  );
  let sheet = testSheet({ places, readings });
  workOut(sheet, testShop);
  const times = Array.from({ length: 40 }, (_, i) => {
    const more = testReading({ placeId: `f${i % 10}`, stationMm: 5, valueMm: 40.003 });
    sheet = { ...sheet, readings: [...sheet.readings, more] };
    const start = performance.now();
    workOut(sheet, testShop);
    return performance.now() - start;
  });
  const slowest = Math.max(...times);
  console.log(
    `  one more of 5,000 readings: ${median(times).toFixed(2)} ms (median of 40), slowest ${slowest.toFixed(2)} ms; a frame is 16.7 ms`,
  );
}
const draws = 2_000_000;
const input = { pinMm: 40.04, pinPlusMinusMm: 0.004, holeSmallestMm: 40.16, holeLargestMm: 40.31, holePlusMinusMm: 0.016, draws, seed: 1 };
const start = performance.now();
playDistribution(input);
console.log(`  plays drawn and sorted: ${(draws / ((performance.now() - start) / 1000) / 1e6).toFixed(2)} million a second`);
for (const directions of [2, 3, 4, 6, 8]) {
  const said = FORMS.map((form) => {
    const s = figureScore(150, directions, form, 'straight', 'mm', 50_000);
    return `${form} ${s.tight} of ${s.places}, the other end ${s.other} of ${s.otherCounted}${form === 'round' ? `, called oval ${s.ovalTold}` : ''}`;
  });
  console.log(`  figures as shown, ${directions} directions, the end that decides a fit within its band: ${said.join('; ')}`);
}
for (const along of ['taper', 'step'] as const) {
  const s = figureScore(150, 4, 'oval', along, 'mm', 60_000);
  console.log(
    `  figures as shown, a ${along} under an oval: ${along === 'taper' ? `within its band ${s.taper} of ${s.tapers}` : `found and within its band ${s.stepFound} of ${s.places}`}`,
  );
}
