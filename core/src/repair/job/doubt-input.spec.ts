import { choiceKey } from './choices';
import { doubtInputFor, type AboutToKeep } from './doubt-input';
import { workOut } from './repair';
import { drawnPin, testChoice, testPlace, testReading, testSheet, testShop } from './testing';

const base: AboutToKeep = {
  ...{ purpose: 'found', placeId: 'body', segmentId: null, afterActId: null },
  ...{ spot: { stationMm: 60, clockDeg: 0, quantity: 'size' }, expectedMm: 39.68, valueMm: 39.7 },
  ...{ unit: 'mm', decimals: 3, instrumentId: 'mic', dial: null, supersedesId: null },
};
const input = (sheet = testSheet(), more: Partial<AboutToKeep> = {}) =>
  doubtInputFor(workOut(sheet, testShop), testShop, 'mm', { ...base, ...more });

it('a place that was read is held against its own readings, but not against the one that it replaces', () => {
  const sheet = testSheet();
  const taken = input(sheet).taken;
  expect(taken.map((r) => r.valueMm)).toEqual([39.67, 39.69]);
  expect(input(sheet, { supersedesId: taken[0]!.id }).taken.map((r) => r.valueMm)).toEqual([39.69]);
});

it('the scale is what else was read of the same component, never the mate', () => {
  expect(input().scaleMm).toEqual([39.975]);
  expect(input(testSheet(), { placeId: 'barrel' }).scaleMm).toEqual([]);
});

it('the pitch of a thread is on no scale of diameters', () => {
  const base = testSheet();
  const sheet = { ...base, places: [...base.places, testPlace('thread', { name: 'Thread', kind: 'thread' })] };
  const spot = (quantity: 'major' | 'crests') => ({ placeId: 'thread', spot: { stationMm: 10, clockDeg: 0, quantity }, valueMm: 1.5 });
  expect(input(sheet, spot('major')).scaleMm.length).toBeGreaterThan(0);
  expect(input(sheet, spot('crests')).scaleMm).toEqual([]);
});

describe('a cut', () => {
  // One line of a radius dial of 0.001 in takes 0.0508 mm off the diameter.
  const cutSheet = (side: 'outside' | 'inside') => {
    const part = drawnPin();
    const bored =
      side === 'inside'
        ? {
            ...part,
            bores: [
              {
                id: 'b',
                from: 'near' as const,
                through: true,
                surfaces: [{ ...part.outside[1]!, id: 'in', name: 'Bore', diameterMm: 12, fitsPlaceIds: [], lengthMm: 0 }],
              },
            ],
          }
        : part;
    const segmentId = side === 'inside' ? 'in' : 'body';
    return testSheet({
      choices: [
        testChoice('fit:barrel', { schoolId: 'grease', hole: 'keep', truedMm: null }),
        testChoice(choiceKey.plan, { latheId: 'gap-bed', barId: null }),
        testChoice('part', bored),
      ],
      readings: [...testSheet().readings, testReading({ purpose: 'cut', segmentId, valueMm: side === 'inside' ? 11.5 : 41, dial: 0.1 })],
    });
  };
  const at = (side: 'outside' | 'inside', dial: number | null, stationMm = 0) =>
    input(cutSheet(side), {
      ...{ purpose: 'cut', placeId: null, segmentId: side === 'inside' ? 'in' : 'body', dial, expectedMm: 40.5 },
      spot: { stationMm, clockDeg: 0, quantity: 'size' },
    });

  it('outside is expected smaller by twice what the radius dial went in, and the dial alone is believed', () => {
    const cut = at('outside', 0.105);
    expect(cut.cut).toMatchObject({ side: 'outside', beforeMm: 41 });
    expect(cut.cut!.dialMm).toBeCloseTo(41 - 2 * 0.005 * 25.4, 9);
    expect(cut.expectedMm).toBeNull();
  });
  it('in a bore the dial goes back as the tool goes out, and the hole grows', () => {
    expect(at('inside', 0.095).cut!.dialMm).toBeCloseTo(11.5 + 2 * 0.005 * 25.4, 9);
  });
  it('a dial that was wound the other way, not moved, or not read foretells nothing', () => {
    for (const dial of [0.095, 0.1, null]) expect(at('outside', dial).cut!.dialMm).toBeNull();
    expect(at('inside', 0.105).cut!.dialMm).toBeNull();
  });
  it('read along the same cut it is expected like where the cuts are measured: nothing was cut since', () => {
    expect(at('outside', null, 80)).toMatchObject({ cut: null, expectedMm: 40.5 });
  });
  it('anywhere between the stock and its size it was roughed before it was read: nothing strange', () => {
    const fresh = testSheet({ choices: cutSheet('outside').choices });
    const of = (valueMm: number) =>
      input(fresh, { purpose: 'cut', placeId: null, segmentId: 'body', dial: 0.1, expectedMm: 60, valueMm }).expectedMm;
    expect([of(59.4), of(45), of(40.2)]).toEqual([null, null, null]);
    // Larger than the bar, or smaller than it may get: that is asked.
    expect([of(60.5), of(39)]).toEqual([60, 60]);
  });
  it('before the first reading the plan’s own size is what is expected', () => {
    const fresh = testSheet({ choices: cutSheet('outside').choices });
    expect(input(fresh, { purpose: 'cut', placeId: null, segmentId: 'body', dial: 0.1, expectedMm: 40.5 })).toMatchObject({
      expectedMm: 40.5,
      cut: { beforeMm: null, dialMm: null },
    });
  });
});
