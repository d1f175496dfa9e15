import { workOut, type PlaceFinding } from '@iron-patch/core';
import { testPlace, testReading, testSheet, testShop } from '@iron-patch/core/testing';
import { spotGrid, type SpotGridModel } from './spot-rows';

const NOWHERE = { stationMm: null, clockDeg: null };
const hole = testPlace('hole', { side: 'inside', stationsMm: [20, 5], clocksDeg: [0, 90], instrumentId: 'tele' });
const at = (stationMm: number, clockDeg: number, valueMm: number) =>
  testReading({ placeId: 'hole', stationMm, clockDeg, valueMm, instrumentId: 'tele' });

function gridOf(readings: ReturnType<typeof at>[], more: Partial<Parameters<typeof spotGrid>[0]> = {}): SpotGridModel {
  const repair = workOut(testSheet({ places: [hole], readings }), testShop);
  return spotGrid({ finding: repair.places[0]!, selected: NOWHERE, unit: 'mm', shop: testShop, mostPlayMm: null, ...more });
}

describe('the grid of a hole', () => {
  it('has the planned stations in order, the first spot marked as next', () => {
    const grid = gridOf([]);
    expect(grid.rows.map((r) => r.key)).toEqual([5, 20]);
    expect(grid.clocks).toEqual([0, 90]);
    expect(grid.rows.flatMap((r) => r.cells.map((c) => c.text))).toEqual(['next', '·', '·', '·']);
    expect(grid.rows[0]!.cells[0]).toMatchObject({ next: true, spoken: 'Station 5, 0 degrees, next' });
    expect(grid.rows[0]).toMatchObject({ sum: '', oval: '', state: 'unknown' });
  });

  it('shows the newest of a spot with how many there are, and a spot that was not planned', () => {
    const grid = gridOf([at(5, 0, 40.1), at(5, 0, 40.12), at(11, 30, 40.2)]);
    expect(grid.rows.map((r) => r.key)).toEqual([5, 11, 20]);
    expect(grid.clocks).toEqual([0, 30, 90]);
    expect(grid.rows[0]!.cells[0]!.text).toMatch(/^40[.]12\d* ×2$/);
    expect(grid.rows[1]!.cells[1]!.text).toMatch(/^40[.]2/);
    // Not planned, so nothing is missing there.
    expect(grid.rows[1]!.cells[0]!.spoken).toBe('Station 11, 0 degrees, no reading');
  });

  it('tells the mean of a station and the least that the oval can be', () => {
    const [row] = gridOf([at(5, 0, 40.1), at(5, 90, 40.3)]).rows;
    expect(row).toMatchObject({ sum: '40.200', oval: '≥ 0.200', state: 'close' });
  });

  it('calls an oval out once it eats more than half of the play that the fit allows', () => {
    const readings = [at(5, 0, 40.1), at(5, 90, 40.3)];
    expect(gridOf(readings, { mostPlayMm: 0.3 }).rows[0]!.state).toBe('out');
    expect(gridOf(readings, { mostPlayMm: 0.5 }).rows[0]!.state).toBe('close');
  });

  it('marks what is picked, and nothing else', () => {
    const grid = gridOf([], { selected: { stationMm: 20, clockDeg: 90 } });
    expect(grid.rows.flatMap((r) => r.cells.map((c) => c.on))).toEqual([false, false, false, true]);
  });

  it('shows the reading that counts where another instrument is believed', () => {
    const mic = { ...at(5, 0, 40.3), instrumentId: 'mic' };
    expect(gridOf([mic, at(5, 0, 40.1)]).rows[0]!.cells[0]!.text).toBe('40.300 ×2');
  });

  it('says what was passed over, and misses it no more', () => {
    const repair = workOut(testSheet({ places: [hole], readings: [at(5, 0, 40.1)] }), testShop);
    const finding: PlaceFinding = { ...repair.places[0]!, skipped: [{ stationMm: 5, clockDeg: 90, quantity: 'size' }] };
    const [row] = spotGrid({ finding, selected: NOWHERE, unit: 'in', shop: testShop, mostPlayMm: null }).rows;
    expect(row!.cells[1]!).toMatchObject({ text: 'next', spoken: expect.stringContaining('0.197') });
    const passed = spotGrid({ finding: { ...finding, next: null }, selected: NOWHERE, unit: 'mm', shop: testShop, mostPlayMm: null })
      .rows[0]!;
    expect(passed.cells[1]!).toMatchObject({ text: 'passed', spoken: 'Station 5, 90 degrees, passed over' });
    expect(passed.state).toBe('unknown');
  });
});

describe('the grid of an indicator', () => {
  it('signs the readings and tells the total of a station', () => {
    const rod = testPlace('rod', { kind: 'straightness', stationsMm: [10], clocksDeg: [0, 180], instrumentId: 'dti' });
    const readings = [0.03, -0.05].map((valueMm, i) =>
      testReading({ placeId: 'rod', quantity: 'indicator', stationMm: 10, clockDeg: 180 * i, valueMm, instrumentId: 'dti' }),
    );
    const [finding] = workOut(testSheet({ places: [rod], readings }), testShop).places;
    const grid = spotGrid({ finding: finding!, selected: NOWHERE, unit: 'mm', shop: testShop, mostPlayMm: null });
    expect(grid).toMatchObject({ diameter: false, quantity: 'indicator' });
    expect(grid.rows[0]!.cells.map((c) => c.text[0])).toEqual(['+', '-']);
    expect(grid.rows[0]).toMatchObject({ sum: '0.080', oval: null, state: 'fits' });
  });
});
