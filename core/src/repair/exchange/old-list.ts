import { oldDay, type DayOrder, type IsoDay } from '../../terms/calendar';
import type { Problem } from '../../terms/outcome';

/** A job of before the program, as a shop's own list has it. Empty where the list does not say. */
export interface OldJob {
  /** Row of the file, 1 for the first below the header. */
  readonly line: number;
  readonly number: string;
  readonly doneOn: IsoDay | null;
  readonly customer: string;
  readonly machine: string;
  /** What it was: `Spindle, new bushes`. */
  readonly title: string;
  readonly cause: string;
  /** What was done. */
  readonly route: string;
  readonly lesson: string;
}

/** What a column of a list may be. */
export type OldField = Exclude<keyof OldJob, 'line'>;

interface FieldOf {
  readonly name: string;
  /** Most characters. */
  readonly most: number;
  /** How lists call it, in small letters; the likelier ones first. */
  readonly called: readonly string[];
}

export const OLD_FIELDS: Readonly<Record<OldField, FieldOf>> = {
  number: { name: 'Number', most: 40, called: ['number', 'job no', 'job', 'no', 'nr', 'order', 'id'] },
  doneOn: { name: 'Day', most: 40, called: ['date', 'day', 'done on', 'returned', 'finished', 'when'] },
  customer: { name: 'Customer', most: 120, called: ['customer', 'client', 'owner', 'who', 'for'] },
  machine: { name: 'Machine', most: 200, called: ['machine', 'equipment', 'vehicle', 'make', 'model', 'unit'] },
  title: { name: 'What it was', most: 200, called: ['what', 'part', 'title', 'item', 'description', 'subject', 'job'] },
  cause: { name: 'Why it failed', most: 2000, called: ['cause', 'fault', 'why', 'problem', 'complaint'] },
  route: { name: 'What was done', most: 2000, called: ['done', 'work', 'repair', 'action', 'remedy', 'description'] },
  lesson: { name: 'Lesson, remarks', most: 2000, called: ['lesson', 'remark', 'note', 'comment'] },
};
export const OLD_FIELD_IDS = Object.keys(OLD_FIELDS) as readonly OldField[];

/** Which column is what: its place from 0, or null where the list has none of it. */
export type OldColumns = Readonly<Record<OldField, number | null>>;

/** So many jobs come in at once. */
export const MOST_OLD_JOBS = 5000;

/** What the columns of a list are, by how they are headed; each is one thing at most. */
export function guessColumns(header: readonly string[]): OldColumns {
  const left = new Map(header.map((h, at) => [at, h.trim().toLowerCase()]));
  const guess: Record<OldField, number | null> = {
    ...{ number: null, doneOn: null, customer: null, machine: null, title: null, cause: null, route: null, lesson: null },
  };
  const take = (field: OldField, fits: (head: string, word: string) => boolean): void => {
    if (guess[field] !== null) return;
    for (const word of OLD_FIELDS[field].called)
      for (const [at, head] of left)
        if (fits(head, word)) {
          guess[field] = at;
          left.delete(at);
          return;
        }
  };
  for (const field of OLD_FIELD_IDS) take(field, (head, word) => head === word);
  for (const field of OLD_FIELD_IDS) take(field, (head, word) => new RegExp(`(^|[^\\p{L}])${word}`, 'u').test(head));
  return guess;
}

const plain = (text: string | undefined): string => (text ?? '').replace(/[\p{Cc}\s]+/gu, ' ').trim();

/** What a list comes to: its jobs, and everything that keeps it from coming in. */
export interface OldList {
  readonly jobs: readonly OldJob[];
  readonly problems: readonly Problem[];
}

/**
 * Reads a list of old jobs. All problems of all rows are told, with the row and column as the file has them; rows without anything in them
 * are passed over.
 *
 * @param rows below the header, cells as text
 */
export function readOldList(rows: readonly (readonly string[])[], columns: OldColumns, order: DayOrder, today: IsoDay): OldList {
  const problems: Problem[] = [];
  const jobs: OldJob[] = [];
  const say = (line: number, message: string): void =>
    void problems.push({ code: 'old-list', path: `rows.${line}`, message: `Row ${line}: ${message}` });
  if (columns.title === null && columns.route === null)
    problems.push({ code: 'columns', path: 'columns', message: 'Say which column tells what the job was, or what was done.' });
  rows.forEach((row, at) => {
    const line = at + 1;
    if (row.every((c) => plain(c) === '')) return;
    const of = (field: OldField): string => plain(columns[field] === null ? '' : row[columns[field]]);
    for (const field of OLD_FIELD_IDS)
      if (of(field).length > OLD_FIELDS[field].most)
        say(line, `${OLD_FIELDS[field].name.toLowerCase()} has ${of(field).length} characters; at most ${OLD_FIELDS[field].most}.`);
    const told = of('doneOn');
    const doneOn = told === '' ? null : oldDay(told, order, today);
    if (told !== '' && doneOn === null) say(line, `${told.slice(0, 40)} is no day in the order that is said.`);
    if (doneOn !== null && doneOn > today) say(line, `${told} is still to come.`);
    if (of('title') === '' && of('route') === '') say(line, 'it says neither what the job was nor what was done.');
    const { number, customer, machine, title, cause, route, lesson } = Object.fromEntries(OLD_FIELD_IDS.map((f) => [f, of(f)])) as Record<
      OldField,
      string
    >;
    jobs.push({ line, number, doneOn, customer, machine, title: title || route.slice(0, OLD_FIELDS.title.most), cause, route, lesson });
  });
  if (!jobs.length) problems.push({ code: 'empty', path: '', message: 'The file has no jobs below its header.' });
  if (jobs.length > MOST_OLD_JOBS)
    problems.push({
      code: 'too-many',
      path: '',
      message: `At most ${MOST_OLD_JOBS} jobs at once; this has ${jobs.length}. Bring it in as several files.`,
    });
  return { jobs, problems };
}
