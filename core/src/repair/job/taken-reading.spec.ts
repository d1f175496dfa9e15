import { takenReading, type TypedOut } from './taken-reading';
import { testReading } from './testing';

const { jobId: _, personId: __, valueMm: ___, ...typed } = testReading({ placeId: 'body', valueMm: 40 });
const given = { jobId: 'job', personId: 'tomas', valueMm: 40 };
const record = (more: Partial<TypedOut>) =>
  takenReading({ ...typed, itemId: undefined, piece: undefined, afterActId: undefined, ...more }, given);

it('what a reading of before states, items and pieces leaves out is as it was then', () => {
  expect(record({})).toMatchObject({ afterActId: null, itemId: null, piece: 1 });
  expect(record({ segmentId: 'body', placeId: null })).toMatchObject({ itemId: 'job', piece: 1 });
});

it('what it says stays, and that somebody was asked is not kept', () => {
  const said = record({ segmentId: 'body', itemId: 'item-2', piece: 3, afterActId: 'act', confirmed: true });
  expect(said).toMatchObject({ itemId: 'item-2', piece: 3, afterActId: 'act' });
  expect('confirmed' in said).toBe(false);
});

it('a reading as found belongs to no item, whatever is said', () => expect(record({ itemId: 'item-2' }).itemId).toBeNull());
