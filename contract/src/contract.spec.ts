import { newPart, NO_DETAIL, type Outcome } from '@iron-patch/core';
import {
  check,
  choiceInput,
  etagOf,
  placeInput,
  houseRuleInput,
  instrumentInput,
  jobInput,
  machineInput,
  photoInput,
  readingInput,
  versionOf,
  type JobInput,
} from './index';

const id = '0b2f7a52-6a2b-4f0e-9b1e-0d8f6a1c2b3d';
const job: JobInput = {
  customerName: 'Osmere lake ferry',
  customerContact: '',
  title: 'Ramp hinge pin',
  machine: '',
  complaint: '',
  want: 'like-for-like',
  changes: [],
  restBy: '',
  askBefore: '',
  pieces: 2,
  promisedOn: '2026-12-04',
  unit: 'mm',
  shopTempC: 19.5,
  hazards: ['vessel'],
};
const reading = {
  id,
  purpose: 'found',
  placeId: id,
  segmentId: null,
  quantity: 'size',
  stationMm: 5,
  clockDeg: 45,
  text: '40.16',
  unit: 'mm',
  instrumentId: 'tele',
  partTempC: null,
  dial: null,
  takenAt: '2026-11-20T10:00:00Z',
  supersedesId: null,
  withdrawn: false,
  confirmed: false,
};
const paths = (o: Outcome<unknown>): string[] => (o.ok ? [] : o.problems.map((p) => p.path));
const first = (o: Outcome<unknown>): string => (o.ok ? 'ok' : o.problems[0]!.message);

describe('a job', () => {
  it('is taken with a customer in any script, trimmed', () => {
    const taken = check(jobInput, { ...job, customerName: '  Ōsumi 渡船 кооп  ' });
    expect(taken).toMatchObject({ ok: true, value: { customerName: 'Ōsumi 渡船 кооп' } });
  });

  it('keeps script tags as text: they are shown, never run', () => {
    expect(check(jobInput, { ...job, title: '<script>alert(1)</script>' })).toMatchObject({
      ok: true,
      value: { title: '<script>alert(1)</script>' },
    });
  });

  it('tells every problem at once, each at its field', () => {
    const bad = check(jobInput, {
      ...job,
      customerName: 'x'.repeat(500),
      title: '  ',
      pieces: -1,
      shopTempC: '20',
      promisedOn: '2026-02-30',
      unit: 'cubit',
      hazards: ['ghost'],
    });
    expect(paths(bad).sort()).toEqual(['customerName', 'hazards.0', 'pieces', 'promisedOn', 'shopTempC', 'title', 'unit']);
  });

  it('says what to do', () => {
    expect(first(check(jobInput, { ...job, customerName: 'x'.repeat(500) }))).toBe('Customer is 500 characters long; 120 at most.');
    expect(first(check(jobInput, { ...job, title: 'a\u0000b' }))).toBe('What it is holds characters that cannot be stored.');
    expect(first(check(jobInput, { ...job, pieces: 1e9 }))).toBe('Pieces received is a number from 0 to 10000.');
  });

  it('refuses what is no job at all', () => {
    for (const junk of [null, 'x', 4, []]) expect(check(jobInput, junk).ok).toBe(false);
  });
});

describe('a reading', () => {
  it('is taken as typed', () => expect(check(readingInput, reading)).toMatchObject({ ok: true, value: { text: '40.16' } }));
  it.each([
    ['stationMm', -1],
    ['stationMm', NaN],
    ['stationMm', '5'],
    ['clockDeg', 360],
    ['text', 'x'.repeat(65)],
    ['text', 5],
    ['id', 'not-an-id'],
    ['partTempC', 900],
    ['takenAt', 'yesterday'],
    ['withdrawn', 'no'],
  ])('is refused with %s %p', (path, value) => expect(paths(check(readingInput, { ...reading, [path]: value }))).toEqual([path]));
});

describe('a choice', () => {
  it('is checked by the kind of its key', () => {
    const part = choiceInput('part')!;
    expect(check(part, { value: newPart('flanged-bush', 'Bush', 50, 40), reason: '' }).ok).toBe(true);
    const { limits: _gone, ...less } = newPart('plain-pin', 'Pin', 40, 120);
    expect(check(part, { value: less, reason: '' }).ok).toBe(false);
    expect(check(part, { value: newPart('headed-pin', 'Pin', 40, 120), reason: '' }).ok).toBe(true);
    const broken = newPart('plain-pin', 'Pin', 40, 120);
    expect(paths(check(part, { value: { ...broken, outside: [{ ...broken.outside[0], lengthMm: -1 }] }, reason: '' }))).toEqual([
      'value.outside.0.lengthMm',
    ]);
  });
  it('of an unknown kind has no schema', () => expect(choiceInput('pardon:x')).toBeNull());
  it('needs its value', () => expect(check(choiceInput(`fit:${id}`)!, { reason: '' }).ok).toBe(false));
});

it('measures places in finite numbers only', () => {
  const place = {
    componentId: id,
    kind: 'diameter',
    suspicions: ['oval'],
    detail: NO_DETAIL,
    name: 'Bore',
    side: 'inside',
    startMm: 0,
    lengthMm: 40,
    land: 'worn',
    matesPlaceId: null,
    stationsMm: [5],
    clocksDeg: [0],
    instrumentId: 'tele',
  };
  expect(check(placeInput, place).ok).toBe(true);
  expect(paths(check(placeInput, { ...place, lengthMm: 0, stationsMm: [] })).sort()).toEqual(['lengthMm', 'stationsMm']);
  expect(paths(check(placeInput, { ...place, stationsMm: [5, Infinity] }))).toEqual(['stationsMm.1']);
  expect(paths(check(placeInput, { ...place, kind: 'hole', suspicions: ['haunted'] })).sort()).toEqual(['kind', 'suspicions.0']);
  expect(paths(check(placeInput, { ...place, detail: { ...NO_DETAIL, vDeg: 91, pitches: 2.5 } })).sort()).toEqual([
    'detail.pitches',
    'detail.vDeg',
  ]);
  expect(check(placeInput, { ...place, detail: { ...NO_DETAIL, vDeg: 60 } }).ok).toBe(true);
});

it('writes and reads entity tags', () => {
  expect(versionOf(etagOf(7))).toBe(7);
  for (const tag of [undefined, '*', 'W/"v7"', '"v"', '"v-1"']) expect(versionOf(tag)).toBeNull();
});

describe('a house rule', () => {
  const rule = {
    name: 'Barn door',
    baseMm: 0.1,
    ratePerDiameter: 0.002,
    mostPlayFactor: 2,
    grade: 'IT7',
    reason: 'Hinges in the open.',
    removed: false,
    because: 'Asked for.',
  };
  const problemsOf = (change: object): string[] => {
    const checked = check(houseRuleInput, { ...rule, ...change });
    return checked.ok ? [] : checked.problems.map((p) => p.path);
  };

  it('passes whole, interference too', () => {
    expect(problemsOf({})).toEqual([]);
    expect(problemsOf({ baseMm: -0.01, ratePerDiameter: -0.001 })).toEqual([]);
  });

  it.each([
    ['baseMm', [NaN, Infinity, 3, '0.1', null, undefined]],
    ['ratePerDiameter', [NaN, 0.5, -0.5, '', {}]],
    ['mostPlayFactor', [0, 11, NaN, 'two']],
    ['grade', ['IT4', 'it6', '', 6, null]],
    ['name', ['', '   ', 'x'.repeat(500), 7]],
    ['because', ['', ' ', null]],
    ['reason', ['', undefined]],
    ['removed', ['false', 0, null]],
  ])('says what is wrong with %s', (path, values) => {
    for (const value of values) expect(problemsOf({ [path]: value })).toEqual([path]);
  });
});

describe('what a pair runs at', () => {
  const schema = choiceInput('running:place')!;
  const value = { pinC: 60, holeC: 20, hubOutsideMm: 80 };
  const problemsOf = (change: object): string[] => {
    const checked = check(schema, { value: { ...value, ...change }, reason: '' });
    return checked.ok ? [] : checked.problems.map((p) => p.path);
  };

  it('passes, the metal round the hole known or not', () => {
    expect(problemsOf({})).toEqual([]);
    expect(problemsOf({ hubOutsideMm: null })).toEqual([]);
  });

  it.each([
    ['value.pinC', { pinC: 900 }],
    ['value.pinC', { pinC: '60' }],
    ['value.holeC', { holeC: -200 }],
    ['value.holeC', { holeC: NaN }],
    ['value.hubOutsideMm', { hubOutsideMm: 0 }],
    ['value.hubOutsideMm', { hubOutsideMm: 1e9 }],
  ])('says what is wrong with %s', (path, change) => expect(problemsOf(change)).toEqual([path]));
});

describe('what sits on a shaft', () => {
  const schema = choiceInput('stack:item')!;
  const stack = {
    shoulder: 'seat.left',
    grooveId: 'g',
    pieces: [{ name: '6205', lengthMm: 15, lowerDev: -0.12, upperDev: 0 }],
    leastMm: 0,
    mostMm: 0.2,
  };
  const at = (change: object): string[] => paths(check(schema, { value: { ...stack, ...change }, reason: '' }));
  it('is taken whole', () => expect(at({})).toEqual([]));
  it.each([
    [{ shoulder: '' }, 'value.shoulder'],
    [{ pieces: [{ ...stack.pieces[0], lengthMm: 0 }] }, 'value.pieces.0.lengthMm'],
    [{ pieces: Array.from({ length: 31 }, () => stack.pieces[0]) }, 'value.pieces'],
    [{ leastMm: Number.NaN }, 'value.leastMm'],
    [{ leastMm: 0.3 }, 'value.mostMm'],
  ])('%j is told at %s', (change, path) => expect(at(change)).toContain(path));
});

describe('what is written down at Strip', () => {
  const problemsOf = (key: string, value: object): string[] => paths(check(choiceInput(key)!, { value, reason: '' }));

  it.each([
    ['strip:x', { faced: '', shims: [{ side: 'port', thicknessMm: 0.4 }], endPlayMm: 0.2, sidePlayMm: null, noPlay: false, damaged: '' }],
    ['soft:x', { componentId: null, what: 'o-ring', size: 'AS568-210', count: 2, ordered: false, removed: false }],
    ['fragment:x', { what: 'Half a ring', where: 'in the barrel', settled: '', removed: false }],
    ['earlier:x', { componentId: id, what: 'Pin remade', judged: 'the fault', removed: false }],
    ['act:x', { componentId: id, kind: 'saw', where: '', state: 'planned', override: '', removed: false }],
    ['finding:x', { findingId: 'bent', componentId: id, placeId: null, atMm: 40, clockDeg: null, words: '', removed: false }],
    ['seen:x', { surface: 'scored', hardness: 42, scale: 'HRC', clockDeg: 30, timedToPlaceId: id }],
    ['settle:x:mic|tele', { believed: 'mic' }],
    ['skip:x', { spots: [{ stationMm: 5, clockDeg: 0, quantity: 'size' }] }],
    ['route', { cause: 'dry', route: 'bush', causeId: 'dry', cure: 'nipple' }],
    ['route', { cause: 'who knows', route: 'bush', causeId: '', cure: '' }],
  ])('passes: %s', (key, value) => expect(problemsOf(key, value)).toEqual([]));

  it.each([
    ['strip:x', { faced: '', shims: [{ side: '', thicknessMm: 0 }], endPlayMm: -1, sidePlayMm: null, noPlay: false, damaged: '' }, 3],
    ['soft:x', { componentId: null, what: 'o-ring', size: ' ', count: 0, ordered: false, removed: false }, 2],
    ['act:x', { componentId: 'x', kind: 'burn', where: '', state: 'later', override: '', removed: 'no' }, 4],
    ['finding:x', { findingId: 'ghost', componentId: id, placeId: null, atMm: -5, clockDeg: 360, words: '', removed: false }, 3],
    ['route', { cause: 'dry', route: 'bush', causeId: 'fate', cure: '' }, 1],
  ])('tells each bad field: %s %p', (key, value, count) => expect(problemsOf(key, value)).toHaveLength(count));
});

describe('the crib and the photographs', () => {
  const mic = {
    name: 'Outside mic',
    kind: 'micrometer',
    unit: 'mm',
    uMm: 0.002,
    repeatMm: null,
    resolutionMm: 0.001,
    biasMm: -0.001,
    rangeLowMm: 0,
    rangeHighMm: 25,
    calibratedOn: '2026-01-10',
    dueOn: null,
  };
  it('take an instrument with its record', () => {
    expect(paths(check(instrumentInput, mic))).toEqual([]);
    expect(paths(check(instrumentInput, { ...mic, rangeHighMm: 0, biasMm: 4, dueOn: 'soon', kind: 'eye' })).sort()).toEqual([
      'biasMm',
      'dueOn',
      'kind',
      'rangeHighMm',
    ]);
  });

  it('take markers inside the picture only', () => {
    const marker = { id, x: 0.5, y: 1, placeId: null, text: 'crack' };
    expect(check(photoInput, { caption: '', markers: [marker] }).ok).toBe(true);
    expect(paths(check(photoInput, { caption: '', markers: [{ ...marker, x: 1.2 }] }))).toEqual(['markers.0.x']);
  });
});

it('the day on which a machine works again may be a day, none, or never asked for', () => {
  const saw = {
    name: 'Saw',
    kind: 'saw',
    powerKw: null,
    note: '',
    lathe: null,
    mill: null,
    capacityMm: null,
    tonnes: null,
    removed: false,
  };
  const wrong = (more: object): string[] => {
    const found = check(machineInput, { ...saw, ...more });
    return found.ok ? [] : found.problems.map((p) => p.path);
  };
  for (const more of [{}, { backOn: null }, { backOn: '2026-12-04' }]) expect(wrong(more)).toEqual([]);
  for (const backOn of ['2026-02-30', 'soon', '', 7]) expect(wrong({ backOn })).toEqual(['backOn']);
});
