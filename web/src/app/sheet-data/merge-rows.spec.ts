import { choiceKey, type JobSheet } from '@iron-patch/core';
import { testChoice, testReading, testSheet } from '@iron-patch/core/testing';
import { mergeRows } from './merge-rows';

const reading = (valueMm: number) => testReading({ placeId: 'barrel', stationMm: 5, clockDeg: 0, valueMm });
const [a, b, c] = [reading(40.1), reading(40.2), reading(40.3)];
const sheet: JobSheet = testSheet({ readings: [a, b], choices: [testChoice(choiceKey.route, { cause: 'x' })] });

it('puts a changed row in its place, a new one at the end, and takes off what is not there any more', () => {
  const changed = { ...a, valueMm: 40.15 };
  const merged = mergeRows(
    sheet,
    [
      ['readings', a.id],
      ['readings', c.id],
      ['readings', b.id],
    ],
    { readings: [changed, c] },
  );
  expect(merged.readings).toEqual([changed, c]);
  expect(merged.places).toBe(sheet.places);
});

it('knows a choice by its key', () => {
  const later = { ...sheet.choices[0]!, version: 2, value: { cause: 'y' } };
  expect(mergeRows(sheet, [['choices', choiceKey.route]], { choices: [later] }).choices).toEqual([later]);
});

it('takes no older state for news: the answer may come after a later change', () => {
  const mine = { ...sheet, choices: [{ ...sheet.choices[0]!, version: 3 }], job: { ...sheet.job, version: 5, title: 'Mine' } };
  const merged = mergeRows(
    mine,
    [
      ['choices', choiceKey.route],
      ['jobs', sheet.job.id],
    ],
    {
      choices: [{ ...sheet.choices[0]!, version: 2 }],
      job: { ...sheet.job, version: 4, title: 'Theirs' },
    },
  );
  expect([merged.choices[0]!.version, merged.job.title]).toEqual([3, 'Mine']);
});
