import { drillSteps, turnedOnMill } from './drill-steps';

const of = { id: 'h' };

it('names each drill of the ladder, and says of the last what it leaves', () => {
  const steps = drillSteps(of, [3.5, 13, 20], 'leaves the bar enough', () => []).map((s) => s.figure);
  expect(steps.map((f) => [f.label, f.value])).toEqual([
    ['pilot drill, 3.5 mm', 3.5],
    ['drill between, 13 mm', 13],
    ['drill, 20 mm', 20],
  ]);
  expect(drillSteps(of, [], '', () => [])).toEqual([]);
});

it('a drill turns by the mill’s own gears, none where the book has no speed for the metal', () => {
  const mill = { name: 'Mill', gearsRpm: [100, 560, 1000] };
  const bench = { mill, drillSets: [], finderMm: 10, unit: 'mm' } as const;
  // 0.8 x 1000 x 24 / (pi x 10) is 611: the gear below.
  const [rpm] = turnedOnMill(of, { ...bench, hssMMin: 24 })('0', 'drill', 'drill', 10);
  expect(rpm!.figure.value).toBe(560);
  expect(turnedOnMill(of, { ...bench, hssMMin: 0 })('0', 'drill', 'drill', 10)).toEqual([]);
});
