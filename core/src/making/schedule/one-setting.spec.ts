import { newPart, surface, type Part } from '../part';
import { depthLadder } from '../setups';
import { oneSetting, type BatchHolding } from './one-setting';

const part: Part = {
  ...newPart('plain-pin', 'Pin', 20, 60),
  features: [],
  outside: [surface('a', 'cylinder', 'Spigot', 12, 10), surface('b', 'cylinder', 'Seat', 30, 16), surface('c', 'cylinder', 'Head', 18, 20)],
};
const ladder = depthLadder(part, {
  ...{ fromFarEnd: false, partingMm: 3, touched: 'left', dial: { unit: 'mm', perTurn: 20, perLine: 0.1 }, partOff: true, toLength: false },
  cuts: ['a', 'b', 'c'],
});
const of = (own: Partial<BatchHolding> = {}) =>
  oneSetting(
    { ...{ number: 1, machine: 'lathe', partsOff: true, betweenCentres: false, toLength: false, ladder, pieceMm: 65, pieces: 6 }, ...own },
    part,
  );
const told = (own: Partial<BatchHolding> = {}) => of(own)!.settings.map((s) => [s.figure.label, s.figure.value]);

it('of one piece nothing is set for others, nor at the press or the bench', () => {
  expect(of({ pieces: 1 })).toBeNull();
  expect([of({ machine: 'press' }), of({ machine: 'bench' })]).toEqual([null, null]);
});

it('from the bar: how far it is pulled out, and the carriage’s stop at the last shoulder, never at the part-off', () => {
  expect(told()).toEqual([
    ['bar pulled out for the next', 65],
    ['carriage stop, at shoulder seat to head', 42],
  ]);
  // As often as the bar is pulled out so far, a piece of 60 with both faces and the tool comes off: six pieces are 6 x 65.
  expect(of()!.title).toBe('One setting for all 6');
});

it('turned round: each lies with its finished end against a stop, as far from the tool as it is long', () => {
  expect(told({ partsOff: false, toLength: true, ladder: [] })).toEqual([['from the stop to the face that is cut', 60]]);
  expect(of({ partsOff: false, betweenCentres: true })!.words.join()).toContain('Centre all of them to one depth');
  expect(of({ machine: 'mill', partsOff: false, ladder: [] })).toMatchObject({
    settings: [],
    words: [expect.stringContaining('before anything is moved'), expect.any(String)],
  });
});
