import { withLater } from './later';

/** A field that counts how often it was worked out. */
function counted() {
  const asked = { times: 0 };
  const value = withLater({ name: 'shaft' }, { plan: () => ({ number: ++asked.times }) });
  return { asked, value };
}

it('nothing is worked out until it is asked for, and then once', () => {
  const { asked, value } = counted();
  expect(value.name).toBe('shaft');
  expect(asked.times).toBe(0);
  expect(value.plan).toBe(value.plan);
  expect(asked.times).toBe(1);
});

it('what is put on top of another leaves open what that had open', () => {
  const { asked, value } = counted();
  const seen = withLater(value, { at: () => value.plan.number });
  expect(asked.times).toBe(0);
  expect(seen.at).toBe(1);
  expect(seen.plan).toBe(value.plan);
  expect(asked.times).toBe(1);
});

it('a newer field stands in place of an older one, and what is sent somewhere is all there', () => {
  const { value } = counted();
  const other = withLater(value, { plan: () => null });
  expect(JSON.parse(JSON.stringify(other))).toEqual({ name: 'shaft', plan: null });
  expect({ ...value }).toEqual({ name: 'shaft', plan: { number: 1 } });
});

it('an error of it comes to whoever asks, each time', () => {
  const value = withLater(
    {},
    {
      plan: (): number => {
        throw new Error('no lathe');
      },
    },
  );
  expect(() => value.plan).toThrow('no lathe');
  expect(() => value.plan).toThrow('no lathe');
});
