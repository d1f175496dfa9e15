import { number, string } from 'yup';
import { shapeOf } from './shape';

interface Peg {
  readonly name: string;
  readonly sizeMm: number;
  readonly note?: string;
}

// The types are checked with the rest: each line that is marked would fail the build if it compiled.
describe('a schema and its type', () => {
  it('a schema that misses a field of its type does not compile, not of one that may be absent either', () => {
    // @ts-expect-error -- the size has no schema
    shapeOf<Peg>({ name: string(), note: string() });
    // @ts-expect-error -- the note has no schema
    shapeOf<Peg>({ name: string(), sizeMm: number() });
    expect(Object.keys(shapeOf<Peg>({ name: string(), sizeMm: number(), note: string() }).fields)).toEqual(['name', 'sizeMm', 'note']);
  });
  it('nor one with a field too many', () => {
    // @ts-expect-error -- a peg has no colour
    shapeOf<Peg>({ name: string(), sizeMm: number(), note: string(), colour: string() });
    expect(true).toBe(true);
  });
});
