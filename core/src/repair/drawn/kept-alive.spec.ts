import { newPart, surface, type Part, type PartFeature } from '../../making/part';
import { keptAlive } from './kept-alive';
import { strengthFinding } from './strength-finding';

const shaft = (...features: object[]): Part => ({
  ...newPart('plain-pin', 'Shaft', 30, 60),
  outside: [surface('a', 'cylinder', 'Seat', 40, 25), surface('b', 'cylinder', 'Body', 60, 35)],
  features: features as PartFeature[],
});
const fillet = { id: 'f', kind: 'fillet', on: 'a', name: 'Fillet', end: 'right', radiusMm: 2 };
const ring = (atMm: number) => ({
  id: 'g',
  kind: 'ring-groove',
  on: 'a',
  name: 'Ring groove',
  atMm,
  widthMm: 1.3,
  diameterMm: 23.9,
  ring: 'book',
});
const said = (causeId: string, old: Part | null, now: Part): string[] =>
  keptAlive(causeId, now, strengthFinding(old && { part: old, materialId: old.materialId }, now), 'mm');

it('what broke at a sharp corner and is drawn with it again keeps its cause alive; a radius cures it', () => {
  expect(said('stress-raiser', shaft(), shaft())).toEqual([
    expect.stringMatching(/bears no more: its weakest place is the shoulder of Seat/),
  ]);
  expect(said('stress-raiser', shaft(), shaft(fillet))).toEqual([]);
  // Where the old one was not read, the corner itself is told.
  expect(said('stress-raiser', null, shaft())).toEqual([expect.stringMatching(/give it a radius/)]);
  expect(said('stress-raiser', null, shaft(fillet))).toEqual([]);
});

it('a wall that gave way is not drawn thin again', () => {
  expect(said('thin-wall', null, shaft(ring(0.5)))).toEqual([expect.stringMatching(/gave way, and it is thin again/)]);
  expect(said('thin-wall', null, shaft(ring(10)))).toEqual([]);
});

it('of another cause, or none, a drawing says nothing', () => {
  for (const cause of ['', 'dry', 'overload', 'gone']) expect(said(cause, shaft(), shaft())).toEqual([]);
});
