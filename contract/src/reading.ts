import { keptTime, QUANTITY_IDS } from '@iron-patch/core';
import { boolean, object, string, type InferType } from 'yup';
import { idOf, lengthOf, numberOf, oneOf, optionalIdOf, pieceOf } from './fields';
import { requiredText, textOf, TEXT_LIMITS } from './text';

/** Readings this far ahead of the server's clock are taken as now, minutes. */
export const CLOCK_SLACK_MIN = 5;

/** What is told of every reading, new or out of a file. */
export const readingFields = {
  id: idOf('Reading'),
  purpose: oneOf('a purpose', ['found', 'cut', 'proof'] as const),
  placeId: idOf('Place').nullable(),
  segmentId: textOf('Segment', TEXT_LIMITS.name).nullable(),
  /** Item and piece of what is cut and proved; missing for the job's own new part and its first piece. */
  itemId: optionalIdOf('Item'),
  piece: pieceOf(),
  /** Missing where it was written before parts had states: as found. */
  afterActId: optionalIdOf('Act'),
  quantity: oneOf('what was read', QUANTITY_IDS),
  stationMm: lengthOf('Station'),
  clockDeg: numberOf('Clock angle', 0, 359.99, '°'),
  text: textOf('Reading', 64),
  unit: oneOf('a unit', ['mm', 'in'] as const),
  instrumentId: requiredText('Instrument', TEXT_LIMITS.name),
  partTempC: numberOf('Part temperature', -30, 200, '°C').nullable(),
  dial: numberOf('Dial', -10_000, 10_000).nullable(),
  takenAt: string()
    .strict()
    .required('When it was taken is needed.')
    .test('time', 'When it was taken is a time.', (v) => keptTime(v ?? '') !== null),
  supersedesId: idOf('Superseded reading').nullable(),
  withdrawn: boolean().strict().required('Withdrawn: yes or no.'),
};

/**
 * One reading as it was typed. The server parses the text itself; the id is made in the browser, so that a reading typed while
 * the line was down is recorded once however often it is sent.
 */
export const readingInput = object({
  ...readingFields,
  /** Somebody was asked about an implausible value and said that it is right. */
  confirmed: boolean().strict().required('Confirmed: yes or no.'),
});
export type ReadingInput = InferType<typeof readingInput>;

/** Readings brought in as a CSV file's text. */
export const readingsFileInput = object({
  csv: string().strict().required('Choose a file or paste its text.').max(2_000_000, 'The file is over 2 MB.'),
});
