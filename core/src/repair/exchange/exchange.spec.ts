import type { Hazard } from '../job';
import { testChoice, testReading, testSheet, testShop } from '../job/testing';
import { bundleOf } from './bundle';
import { asItWas, readingsToCsv, READINGS_CSV_COLUMNS } from './readings-csv';
import { importReadings } from './readings-import';
import { upgradeBundle } from './upgrade-bundle';

const row = (more: Record<string, string> = {}) => ({ place: 'Barrel bore', station_mm: '5', clock_deg: '0', reading: '40.31', ...more });

describe('readings out', () => {
  it('one line a live reading, text as typed', () => {
    const csv = readingsToCsv(testSheet(), testShop).split('\r\n');
    expect(csv[0]).toBe(READINGS_CSV_COLUMNS.join(','));
    expect(csv).toHaveLength(17);
    expect(csv[1]).toBe('Hinge pin,Body,60,0,size,as found,39.67,mm,Outside mic 25 to 50,,39.67000,Tomas Quill,2026-11-20T10:00:00Z');
  });

  it('disarms what a spreadsheet would run, and takes it back as it was', () => {
    const out = (text: string): string =>
      readingsToCsv(testSheet({ readings: [testReading({ placeId: 'body', text, valueMm: 2 })] }), testShop)
        .split('\r\n')[1]!
        .split(',')[6]!;
    for (const text of ['=1+1', '+1', '@a', '-1+2', "-2+cmd|'!A0", '-x', '-', '-0.02 over 40mm']) {
      expect(out(text)).toBe(`'${text}`);
      expect(asItWas(out(text))).toBe(text);
    }
    for (const text of ['-0.02', '-3', '-.5', '40.31', "'quoted"]) expect(asItWas(out(text))).toBe(text);
    expect(out('-0.02')).toBe('-0.02');
  });
});

describe('readings in', () => {
  it('takes inch, fractions and metric as typed, by place and instrument name', () => {
    const taken = importReadings(
      [row(), row({ reading: '1.5870 in', instrument: 'outside mic 25 to 50', part_temp_c: '31' })],
      testSheet(),
      testShop,
    );
    expect(taken).toMatchObject({
      ok: true,
      value: [
        { placeId: 'barrel', length: { valueMm: 40.31 }, instrumentId: 'tele', partTempC: null },
        { length: { valueMm: expect.closeTo(40.3098, 4), unit: 'in' }, instrumentId: 'mic', partTempC: 31 },
      ],
    });
  });

  it('lists every problem of every row and gives nothing to store', () => {
    const r = importReadings(
      [row({ place: 'Nose' }), row({ reading: 'abc', station_mm: '-4' }), row({ clock_deg: '400', instrument: 'ruler' })],
      testSheet(),
      testShop,
    );
    expect(r.ok ? [] : r.problems.map((p) => p.path)).toEqual([
      'rows.0.place',
      'rows.1.station_mm',
      'rows.1.reading',
      'rows.2.clock_deg',
      'rows.2.instrument',
    ]);
  });

  it('of a comma shop take a comma as its mark, where a point shop asks', () => {
    const rows = [row({ reading: '40,127' })];
    const comma = { ...testShop, card: { ...testShop.card, decimalMark: ',' as const } };
    expect(importReadings(rows, testSheet(), comma)).toMatchObject({ ok: true, value: [{ length: { valueMm: 40.127 } }] });
    expect(importReadings(rows, testSheet(), testShop)).toMatchObject({ ok: false, problems: [{ code: 'ambiguous-comma' }] });
  });

  it('catches a row ten times off', () => {
    const r = importReadings([row(), row({ clock_deg: '45' }), row({ clock_deg: '90', reading: '403.1' })], testSheet(), testShop);
    expect(r).toMatchObject({ ok: false, problems: [{ code: 'implausible', path: 'rows.2.reading' }] });
  });

  it('says what the file lacks', () => {
    expect(importReadings([], testSheet(), testShop)).toMatchObject({ problems: [{ code: 'empty' }] });
    expect(importReadings([{ size: '4' }], testSheet(), testShop)).toMatchObject({
      problems: [{ code: 'columns', message: expect.stringContaining('place, station_mm') }],
    });
  });
});

it('reads a drawing of cylinders, one bore and cross holes in a job file of before', () => {
  const segments = [
    { id: 'b', kind: 'cylinder', name: 'Body', lengthMm: 60, diameterMm: 40, chamferLeftMm: 1, chamferRightMm: 0, fitsPlaceIds: [] },
  ];
  const old = { name: 'Pin', materialId: 'steel-c45', segments, bore: null, crossHoles: [] };
  const now = upgradeBundle(bundleOf(testSheet({ choices: [testChoice('part', old)] }), testShop, []));
  expect(now.choices[0]!.value).toMatchObject({
    outside: [{ id: 'b', lengthMm: 60 }],
    features: [{ kind: 'chamfer', on: 'b', end: 'left' }],
  });
});

it('reads a job file of before cautions were taken apart and hand-overs had an outcome', () => {
  const old = testSheet({
    choices: [testChoice('returned', { lesson: 'L', stillToDo: '' }), testChoice('caution:vessel', { signedBy: 'S' })],
  });
  const bundle = bundleOf({ ...old, job: { ...old.job, hazards: ['vessel', 'burning-metals' as Hazard] } }, testShop, []);
  const now = upgradeBundle(bundle);
  expect(now.job.hazards).toEqual(['vessel', 'magnesium', 'beryllium', 'lead-bronze']);
  expect(now.choices.map((c) => c.value)).toEqual([
    { lesson: 'L', stillToDo: '', outcome: 'passed', beforeUse: '', unproved: '', undone: '' },
  ]);
});
