import { guessColumns, MOST_OLD_JOBS, OLD_FIELD_IDS, readOldList, type OldColumns } from '.';

const TODAY = '2026-12-04';
const NONE = Object.fromEntries(OLD_FIELD_IDS.map((f) => [f, null])) as OldColumns;
const COLUMNS: OldColumns = { ...NONE, number: 0, doneOn: 1, customer: 2, title: 3, route: 4 };
const read = (rows: readonly (readonly string[])[], columns = COLUMNS) => readOldList(rows, columns, 'dmy', TODAY);

it('knows columns by how they are headed, each for one thing', () => {
  expect(guessColumns(['Job No', 'Date', 'Customer', 'Machine', 'Description', 'Fault', 'Work done', 'Remarks'])).toEqual({
    ...{ number: 0, doneOn: 1, customer: 2, machine: 3, title: 4, cause: 5, route: 6, lesson: 7 },
  });
  expect(guessColumns(['', 'foo', 'DATE returned'])).toEqual({ ...NONE, doneOn: 2 });
  expect(guessColumns(['Job', 'Repair'])).toMatchObject({ number: 0, title: null, route: 1 });
  // "for" is a customer's column, and no part of "before" or "information".
  expect(guessColumns(['before', 'information']).customer).toBeNull();
});

it('takes rows as they are, in one line, and passes over empty ones', () => {
  const { jobs, problems } = read([
    ['17', '4.12.2019', ' Orchard ', 'Winch\npin', 'new pin,\t25 k6'],
    ['', ' ', '', '', ''],
    ['18', '', 'Co-op', '', 'bushed the hinge'],
    ['19'],
  ]);
  expect(problems.map((p) => p.message)).toEqual(['Row 4: it says neither what the job was nor what was done.']);
  expect(jobs[0]).toEqual({
    ...{ line: 1, number: '17', doneOn: '2019-12-04', customer: 'Orchard', machine: '', title: 'Winch pin' },
    ...{ cause: '', route: 'new pin, 25 k6', lesson: '' },
  });
  expect(jobs[1]).toMatchObject({ line: 3, doneOn: null, title: 'bushed the hinge' });
});

it('tells everything that is wrong, row by row', () => {
  const { problems } = read([
    ['x'.repeat(41), '31.2.2019', 'A', 'Pin', ''],
    ['1', '5.12.2026', 'A', 'Pin', ''],
    ['2', '1.1.2020', 'A', '', ''],
  ]);
  expect(problems.map((p) => p.message)).toEqual([
    'Row 1: number has 41 characters; at most 40.',
    'Row 1: 31.2.2019 is no day in the order that is said.',
    'Row 2: 5.12.2026 is still to come.',
    'Row 3: it says neither what the job was nor what was done.',
  ]);
  expect(read([['1', '', '', 'Pin', '']], NONE).problems[0]!.message).toContain('Say which column');
  expect(read([]).problems[0]!.message).toBe('The file has no jobs below its header.');
  const many = Array.from({ length: MOST_OLD_JOBS + 1 }, (_, i) => [String(i), '', '', 'Pin', '']);
  expect(read(many).problems[0]!.message).toContain('Bring it in as several files');
});
