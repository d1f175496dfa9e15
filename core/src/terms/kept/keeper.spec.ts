import { keeper, sameMembers } from './keeper';

describe('an answer that is kept', () => {
  const thing = {};
  const part = { sizeMm: 20 };

  it('is worked out once while everything that it rests on is the very same', () => {
    const keep = keeper<object, number>();
    const make = jest.fn(() => 20);
    expect(keep(thing, [part, 'mm'], make)).toBe(20);
    expect(keep(thing, [part, 'mm'], make)).toBe(20);
    expect(make).toHaveBeenCalledTimes(1);
  });

  it('is worked out again when a part of it is another, more or missing', () => {
    const keep = keeper<object, number>();
    keep(thing, [part, 'mm'], () => 1);
    expect(keep(thing, [{ sizeMm: 20 }, 'mm'], () => 2)).toBe(2);
    expect(keep(thing, [part, 'mm'], () => 3)).toBe(3);
    expect(keep(thing, [part], () => 4)).toBe(4);
    expect(keep(thing, [part, undefined], () => 5)).toBe(5);
  });

  it('belongs to its thing alone, and to its own keeper', () => {
    const keep = keeper<object, string>();
    keep(thing, [], () => 'this');
    expect(keep({}, [], () => 'that')).toBe('that');
    expect(keeper<object, string>()(thing, [], () => 'elsewhere')).toBe('elsewhere');
  });
});

it('compares members by identity, so that a not-a-number is itself', () => {
  expect(sameMembers([Number.NaN, 1], [Number.NaN, 1])).toBe(true);
  expect(sameMembers([0], [-0])).toBe(false);
  expect(sameMembers([part()], [part()])).toBe(false);
});

const part = (): object => ({});
