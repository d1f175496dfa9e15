import { everyFigure, stationFigure, workOut } from '.';
import { STATIONS } from '../../terms/stations';
import { drawnPin, testChoice, testSheet, testShop } from './testing';

const pin = testSheet({
  choices: [testChoice('fit:barrel', { schoolId: 'grease', hole: 'keep', truedMm: null }), testChoice('part', drawnPin())],
});
const repair = workOut(pin, testShop);

it.each([
  ['receive', null, null],
  ['measure', 'barrel', 'barrel.largest'],
  ['measure', 'body', 'body.smallest'],
  ['decide', 'barrel', repair.fits[0]!.figures!.upper.key],
  ['plan', null, 'stock.length'],
] as const)('at %s, looking at %s, it starts with %s', (station, spanId, key) => {
  expect(stationFigure(repair, station, spanId)?.key ?? null).toBe(key);
});

it('at Draw and Plan it is the segment that is looked at, by its own id or by what it fits', () => {
  const body = repair.part!.segments.find((s) => s.fits.length)!;
  expect(stationFigure(repair, 'draw', body.segment.id)).toBe(body.diameter);
  expect(stationFigure(repair, 'plan', 'barrel')).toBe(body.diameter);
});

it('a place that is not read yet has no number to start with, rather than another place’s', () => {
  const unread = { ...pin.places[0]!, id: 'unread', name: 'Unread' };
  const more = workOut({ ...pin, places: [...pin.places, unread] }, testShop);
  expect(stationFigure(more, 'measure', 'unread')).toBeNull();
});

it('every start of every station can be found again by its key', () => {
  const places = [null, ...pin.places.map((f) => f.id), ...repair.part!.segments.map((s) => s.segment.id)];
  const keys = new Set(everyFigure(repair).map((f) => f.key));
  for (const station of STATIONS)
    for (const spanId of places) {
      const start = stationFigure(repair, station, spanId);
      if (start) expect(keys).toContain(start.key);
    }
});

it('an empty job has none anywhere', () => {
  const empty = workOut(testSheet({ components: [], places: [], readings: [] }), testShop);
  expect(STATIONS.map((s) => stationFigure(empty, s, null))).toEqual(STATIONS.map(() => null));
  expect(everyFigure(empty)).toEqual([]);
});
