import { workOut, type JobSheet } from '@iron-patch/core';
import { drawnPin, testChoice, testReading, testSheet, testShop } from '@iron-patch/core/testing';
import { TEXT_LIMITS } from '@iron-patch/contract';
import { jobSlip } from './job-slip';
import { measuredRows } from './measured-rows';
import { printable } from './page';
import { report } from './report';

const pages = (pdf: Buffer): number => (pdf.toString('latin1').match(/\/Type \/Page\b/g) ?? []).length;
const drawn = (more: Partial<JobSheet> = {}): JobSheet =>
  testSheet({
    choices: [testChoice('fit:barrel', { schoolId: 'grease', hole: 'keep', truedMm: null }), testChoice('part', drawnPin())],
    ...more,
  });

describe('what the standard fonts can print', () => {
  it.each([
    ['⌀ 40', 'dia  40'],
    ['Ōsumi', 'Osumi'],
    ['“quoted” – dash', '"quoted" - dash'],
    ['渡船', '??'],
    ['20 °C ±0.01', '20 °C ±0.01'],
  ])('%s', (text, printed) => expect(printable(text)).toBe(printed));
});

describe('papers stay on one page', () => {
  const long = 'Word '.repeat(700);

  it('with a drawn and planned part', async () => {
    const sheet = drawn();
    const repair = workOut(sheet, testShop);
    expect(pages(await jobSlip(sheet, repair))).toBe(1);
    expect(pages(await report(sheet, repair, testShop, 'UTC'))).toBe(1);
  });

  it('with nothing in it', async () => {
    const sheet = testSheet({ components: [], features: [], readings: [] });
    const repair = workOut(sheet, testShop);
    expect(pages(await jobSlip(sheet, repair))).toBe(1);
    expect(pages(await report(sheet, repair, testShop, 'UTC'))).toBe(1);
  });

  it('with the longest texts, many places and every caution', async () => {
    const { job } = testSheet();
    const base = drawn();
    const sheet: JobSheet = {
      ...base,
      job: {
        ...job,
        title: long.slice(0, 120),
        machine: long.slice(0, 120),
        complaint: long,
        hazards: ['lifting', 'vessel', 'pressure', 'spring', 'fuel', 'steering', 'welding', 'press', 'old-linings'],
      },
      features: [...base.features, ...Array.from({ length: 40 }, (_, i) => ({ ...base.features[0]!, id: `more${i}`, name: `Place ${i}` }))],
      readings: [
        ...base.readings,
        ...Array.from({ length: 40 }, (_, i) => testReading({ featureId: `more${i}`, stationMm: 60, valueMm: 40 })),
      ],
      choices: [
        ...base.choices.filter((c) => c.key !== 'part'),
        testChoice('part', {
          ...drawnPin(),
          segments: Array.from({ length: 24 }, (_, i) => ({
            ...drawnPin().segments[1]!,
            id: `s${i}`,
            name: `Step ${i}`,
            fitsFeatureIds: [],
          })),
        }),
        testChoice('route', { cause: long, route: long }),
        testChoice('returned', {
          lesson: long,
          stillToDo: long,
          outcome: 'not-passed',
          beforeUse: long.slice(0, TEXT_LIMITS.large),
          unproved: long,
          undone: long,
        }),
      ],
    };
    const repair = workOut(sheet, testShop);
    expect(pages(await jobSlip(sheet, repair))).toBe(1);
    expect(pages(await report(sheet, repair, testShop, 'UTC'))).toBe(1);
  });
});

it('tells a place as it was found and, beside it, as it was after an act', () => {
  const base = testSheet();
  const barrel = base.features.find((f) => f.id === 'barrel')!;
  const act = { componentId: barrel.componentId, kind: 'bore', where: '', state: 'done', override: 'told', removed: false };
  const bored = [0, 45, 90, 135].map((clockDeg) =>
    testReading({ featureId: 'barrel', stationMm: 5, clockDeg, valueMm: 40.5, afterActId: 'a1' }),
  );
  const sheet = testSheet({ choices: [testChoice('act:a1', act)], readings: [...base.readings, ...bored] });
  const rows = measuredRows(workOut(sheet, testShop).features, (mm) => mm.toFixed(2), 'mm').filter((r) => r[0]!.startsWith('Barrel'));
  expect(rows.map((r) => [r[0], r[1], r[2], r[4]])).toEqual([
    ['Barrel bore', '40.16', '40.31', '12'],
    ['Barrel bore, after act 1, bored', '40.50', '40.50', '4'],
  ]);
});
