import { choiceKey } from './choices';
import { workOut } from './repair';
import { testJob, testPlace, testReading, testSheet, testShop, withChoices } from './testing';

const found = (findingId: string, more: object = {}) => ({
  ...{ findingId, componentId: 'pin', placeId: null, atMm: null, clockDeg: null, words: '', removed: false },
  ...more,
});
const diagnosis = (sheet = testSheet()) => workOut(sheet, testShop).diagnosis;

it('what was found somewhere is numbered in its order, along the axis of the job', () => {
  const sheet = withChoices(
    testSheet(),
    [choiceKey.finding('a'), found('bent')],
    [choiceKey.finding('b'), found('sheared', { atMm: 12 })],
    [choiceKey.finding('c'), found('bush-worn', { componentId: 'barrel-part', atMm: 12 })],
    [choiceKey.finding('d'), found('sheared', { componentId: 'gone', atMm: 12 })],
  );
  // The barrel lies 36 mm along; what is nowhere has a number and no place.
  expect(diagnosis(sheet).found.map((f) => [f.number, f.atMm])).toEqual([
    [2, 12],
    [3, 48],
  ]);
});

it('a worn track in the middle of a seal’s place speaks for its lip, one at its end does not', () => {
  const rod = (sizes: readonly number[]) =>
    testSheet({
      places: [
        testPlace('rod', { name: 'Rod', suspicions: ['seal-groove'], stationsMm: [5, 20, 35], clocksDeg: [0, 90], instrumentId: 'mic' }),
      ],
      readings: sizes.flatMap((valueMm, i) =>
        [0, 90].map((clockDeg) => testReading({ placeId: 'rod', stationMm: [5, 20, 35][i]!, clockDeg, valueMm, instrumentId: 'mic' })),
      ),
    });
  const words = (sizes: readonly number[]): string => JSON.stringify(diagnosis(rod(sizes)).causes);
  expect(words([39.97, 39.9, 39.97])).toContain('has a track 0.070 mm deep');
  expect(words([39.9, 39.97, 39.97])).not.toContain('track');
});

describe('like for like', () => {
  const alive = (more: object, job = testJob) =>
    diagnosis(
      withChoices({ ...testSheet(), job }, [
        choiceKey.route,
        { cause: 'one side', route: 'pin', causeId: 'load-one-way', cure: '', ...more },
      ]),
    ).keptAlive;
  it('is told that it keeps a cause alive that a copy does not cure', () => {
    expect(alive({})).toMatch(/^Like for like keeps this alive: .+ Say what is done against it, such as: .+\.$/);
  });
  it('is not, once something is done against it, where a copy does not bring the cause back, or where something better is wanted', () => {
    expect(alive({ cure: 'grease nipple' })).toBeNull();
    expect(alive({ cure: '   ' })).not.toBeNull();
    expect(alive({ causeId: '' })).toBeNull();
    expect(alive({ causeId: 'overload' })).toBeNull();
    expect(alive({}, { ...testJob, want: 'made-better' })).toBeNull();
  });
});

it('a job without anything measured or found has no causes and nothing to number', () => {
  const empty = testSheet({ components: [], places: [], readings: [] });
  expect(diagnosis(empty)).toMatchObject({ found: [], keptAlive: null });
});
