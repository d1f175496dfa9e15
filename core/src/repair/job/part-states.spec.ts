import { choiceKey } from './choices';
import { asItIsNow, inHand, inState } from './in-state';
import type { JobSheet, ReadingRecord } from './records';
import { workOut } from './repair';
import type { ActChoice } from './strip-records';
import { testChoice, testPlace, testReading, testSheet, testShop } from './testing';

const act = (id: string, more: Partial<ActChoice> = {}) =>
  testChoice(choiceKey.act(id), {
    componentId: 'barrel-part',
    kind: 'bore',
    where: '',
    state: 'done',
    override: 'told',
    removed: false,
    ...more,
  } satisfies ActChoice);

/** A round section read in four directions, all alike. */
const round = (placeId: string, stationMm: number, valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord[] =>
  [0, 45, 90, 135].map((clockDeg) => testReading({ placeId, stationMm, clockDeg, valueMm, ...more }));

const base = testSheet();
const barrelPart = base.places.find((f) => f.id === 'barrel')!.componentId;
const bored = (more: Partial<JobSheet> = {}): JobSheet =>
  testSheet({
    choices: [...base.choices, act('a1', { componentId: barrelPart, placeId: 'barrel' })],
    readings: [...base.readings, ...[5, 30].flatMap((at) => round('barrel', at, 40.5, { afterActId: 'a1' }))],
    ...more,
  });
const barrel = (sheet: JobSheet) => workOut(sheet, testShop).places.find((f) => f.place.id === 'barrel')!;

describe('a hole that was bored after it was measured', () => {
  it('keeps what was found and shows what it is now beside it, neither mixed into the other', () => {
    const before = barrel(base);
    const found = barrel(bored());
    expect(found.smallest!.value).toBe(before.smallest!.value);
    expect(found.largest!.value).toBe(before.largest!.value);
    expect(found.readings).toHaveLength(before.readings.length);
    expect(found.after).toHaveLength(1);
    const [after] = found.after;
    expect(after!.state).toMatchObject({ actId: 'a1', number: 1, words: 'after act 1, bored' });
    expect(after!.smallest!.value).toBeCloseTo(40.5, 3);
    expect(after!.largest!.value).toBeCloseTo(40.5, 3);
    expect(after!.smallest!.label).toContain('after act 1');
    expect(after!.smallest!.key).not.toBe(found.smallest!.key);
  });

  it('asks the new pin to fit the hole as it is now; what it was is told by how it was found', () => {
    const { fits } = workOut(bored(), testShop);
    const fit = fits.find((f) => f.hole.place.id === 'barrel')!;
    expect(fit.target!.holeSmallestMm).toBeCloseTo(40.5, 3);
    expect(barrel(bored()).nominal.ranked[0]!.sizeMm).toBe(barrel(base).nominal.ranked[0]!.sizeMm);
  });

  it('is looked at as it is now unless somebody picks how it was found', () => {
    const found = barrel(bored());
    expect(inHand(found).state.actId).toBe('a1');
    expect(inHand(found, null).state.actId).toBeNull();
    expect(asItIsNow(found).state.actId).toBe('a1');
    expect(inState(found, 'nothing of the kind').state.actId).toBeNull();
  });

  it('is what was found while nothing was read since', () => {
    const found = barrel(bored({ readings: base.readings }));
    expect(found.after).toHaveLength(1);
    expect(asItIsNow(found)).toBe(found);
    expect(found.after[0]!.open.length).toBe(found.planned.length);
  });

  it('leaves other places of the part as found', () => {
    const other = testPlace('second', { componentId: barrelPart, side: 'inside' });
    const sheet = bored({ places: [...base.places, other] });
    expect(workOut(sheet, testShop).places.find((f) => f.place.id === 'second')!.after).toEqual([]);
  });

  it('loses no reading when the act is taken off again', () => {
    const sheet = bored({ choices: [act('a1', { componentId: barrelPart, removed: true })] });
    const found = barrel(sheet);
    expect(found.after.map((a) => [a.readings.length, a.state.words])).toEqual([[8, 'after an act that is not on record as done']]);
  });
});

it('weighs readings of one state against each other alone: a bored hole stands out from nothing', () => {
  const { standOut, after } = barrel(bored());
  expect(standOut).toEqual(barrel(base).standOut);
  expect(after[0]!.standOut).toEqual({ suspects: [], repeats: [] });
});

it('tells two straightenings apart by their number and place', () => {
  const choices = ['one', 'two'].map((where, i) => act(`b${i}`, { componentId: 'pin', kind: 'bend', where }));
  const body = workOut(testSheet({ choices }), testShop).places.find((f) => f.component.id === 'pin')!;
  expect(body.after.map((a) => a.state.words)).toEqual(['after act 1, straightened (one)', 'after act 2, straightened (two)']);
});

it('asks for nothing as found any more once an act has changed it', () => {
  const open = testSheet({ readings: base.readings.filter((r) => r.placeId !== 'barrel') });
  const waits = (sheet: JobSheet) => workOut(sheet, testShop).stations.find((s) => s.id === 'measure')!.waitsFor;
  expect(waits(open)).toMatch(/next .*barrel/i);
  const gone = { ...open, choices: [...open.choices, act('a1', { componentId: barrelPart, placeId: 'barrel' })] };
  expect(waits(gone)).not.toMatch(/barrel/i);
});
