import { choiceKey } from './choices';
import type { JobSheet } from './records';
import { drawnPin, testChoice, testPlace, testReading, testSheet, testShop } from './testing';
import { workOut } from './repair';

/** A station waits for what this job needs, and for nothing else. */
const state = (sheet: JobSheet, id: string) => workOut(sheet, testShop).stations.find((s) => s.id === id)!;
const states = (sheet: JobSheet): string[] => workOut(sheet, testShop).stations.map((s) => s.state);
const base = testSheet();
const pinAlone: JobSheet = {
  ...base,
  components: base.components.filter((c) => c.role === 'worn'),
  places: base.places.filter((f) => f.componentId === 'pin'),
  readings: base.readings.filter((r) => base.places.some((f) => f.id === r.placeId && f.componentId === 'pin')),
  choices: [],
};
const route = testChoice('route', { cause: 'Ran dry', route: 'Cleaned and put back', causeId: '', cure: '' });

it('Receive does not wait for a date', () => {
  expect(state({ ...base, job: { ...base.job, promisedOn: null } }, 'receive').state).toBe('done');
});

it('a part without its mate goes through Strip and Decide', () => {
  expect(state(pinAlone, 'strip').state).toBe('done');
  expect(state(pinAlone, 'decide')).toMatchObject({ state: 'under-way', waitsFor: 'the cause and the route' });
  expect(state({ ...pinAlone, choices: [route] }, 'decide').state).toBe('done');
  expect(state({ ...pinAlone, readings: [] }, 'decide')).toMatchObject({ state: 'not-yet', waitsFor: 'what was measured' });
});

it('a hole waits for its shaft only where a shaft is on record', () => {
  const barrel = base.places.filter((f) => f.side === 'inside').map((f) => ({ ...f, matesPlaceId: null }));
  const holesAlone = { ...base, places: barrel, choices: [] };
  expect(state(holesAlone, 'strip').state).toBe('done');
  expect(state({ ...holesAlone, places: [...barrel, testPlace('body', {})] }, 'strip').waitsFor).toContain('fits together with');
  // Said at the shaft or at the hole, it is one pair.
  expect(state({ ...holesAlone, places: [...barrel, testPlace('body', { matesPlaceId: barrel[0]!.id })] }, 'strip').state).toBe('done');
});

describe('where nothing new is made', () => {
  const kept = pinAlone.components.map((c) => ({ ...c, verdict: 'clean-up' as const }));
  const job = { ...pinAlone.job, hazards: [] };

  it('Draw, Plan, Cut and Prove are not needed, and the next move is the hand-over', () => {
    const sheet = { ...pinAlone, job, components: kept, choices: [route] };
    expect(states(sheet).slice(4)).toEqual(['not-needed', 'not-needed', 'not-needed', 'not-needed', 'not-yet']);
    expect(workOut({ ...sheet, readings: fullyRead(sheet) }, testShop).next).toMatchObject({ id: 'return' });
  });

  it('but a verdict that is open, or a new part, keeps them waiting', () => {
    const open = [...kept, { ...kept[0]!, id: 'other', role: 'other' as const, verdict: null }];
    expect(states({ ...pinAlone, job, components: open }).slice(4, 8)).not.toContain('not-needed');
    const remade = [...kept, { ...kept[0]!, id: 'other', role: 'other' as const, verdict: 'remake' as const }];
    expect(states({ ...pinAlone, job, components: remade }).slice(4, 8)).not.toContain('not-needed');
  });

  it('a licensed matter is still asked for at Prove', () => {
    const sheet = { ...pinAlone, job: { ...job, hazards: ['vessel'] as const }, components: kept };
    expect(state(sheet, 'prove')).toMatchObject({ state: 'under-way' });
    expect(state(sheet, 'prove').waitsFor).toContain('a licensed person');
    expect(state(sheet, 'cut').state).toBe('not-needed');
  });
});

/** A reading at each spot that is planned. */
function fullyRead(sheet: JobSheet) {
  return sheet.places.flatMap((f) =>
    f.stationsMm.flatMap((stationMm) => f.clocksDeg.map((clockDeg) => testReading({ placeId: f.id, stationMm, clockDeg, valueMm: 39.95 }))),
  );
}

it('a drawing is not done while it stands on the screen only', () => {
  const drawn = testChoice(choiceKey.part, drawnPin());
  const made = testSheet({ choices: [drawn] });
  expect(state(made, 'draw').state).toBe('done');
  expect(state({ ...made, choices: [{ ...drawn, at: '' }] }, 'draw')).toMatchObject({
    state: 'under-way',
    waitsFor: 'the drawing to be saved',
  });
});
