import { FEATURE_KINDS } from './features';
import type { FieldsOf } from './feature-kind';
import type { Chamfer } from './features/chamfer';

// The types are checked with the rest: the line that is marked would fail the build if it compiled.
it('a kind of feature whose form misses a field does not compile', () => {
  const whole: FieldsOf<Chamfer> = FEATURE_KINDS.chamfer.fields;
  const [first] = Object.keys(whole) as (keyof FieldsOf<Chamfer>)[];
  const { [first!]: _, ...rest } = whole;
  // @ts-expect-error -- a chamfer has one field more
  const part: FieldsOf<Chamfer> = rest;
  expect(Object.keys(part)).toHaveLength(Object.keys(whole).length - 1);
});
