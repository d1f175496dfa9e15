import { shareUnchanged } from './share-unchanged';

const row = (id: string, text: string): { id: string; text: string; clocks: number[] } => ({ id, text, clocks: [0, 45] });
const copy = <T>(x: T): T => JSON.parse(JSON.stringify(x)) as T;

describe('a fresh answer beside the one before', () => {
  const before = { job: { id: 'j', title: 'Shaft', at: null }, readings: [row('a', '1'), row('b', '2')] };

  it('is the very same object when nothing changed', () => {
    expect(shareUnchanged(before, copy(before))).toBe(before);
  });

  it('keeps every row but the changed one', () => {
    const after = copy(before);
    after.readings[1]!.text = '2.5';
    const shared = shareUnchanged(before, after);
    expect(shared).toEqual(after);
    expect(shared.job).toBe(before.job);
    expect(shared.readings[0]).toBe(before.readings[0]);
    expect(shared.readings[1]).not.toBe(before.readings[1]);
    expect(shared.readings[1]!.clocks).toBe(before.readings[1]!.clocks);
  });

  it('knows a row by its id when another came before it', () => {
    const after = copy(before);
    after.readings.unshift(row('c', '0'));
    const shared = shareUnchanged(before, after);
    expect(shared.readings.map((r) => r.id)).toEqual(['c', 'a', 'b']);
    expect(shared.readings[1]).toBe(before.readings[0]);
  });

  it('tells a field that is gone, one that is new and one that became nothing', () => {
    expect(shareUnchanged({ a: 1, b: 2 }, { a: 1 })).toEqual({ a: 1 });
    expect(shareUnchanged<object>({ a: 1 }, { a: 1, b: undefined })).toEqual({ a: 1, b: undefined });
    expect(shareUnchanged({ a: { b: 1 } }, { a: null })).toEqual({ a: null });
    expect(shareUnchanged([1, 2], [1])).toEqual([1]);
    expect(shareUnchanged({ a: [] }, { a: {} })).toEqual({ a: {} });
  });
});
