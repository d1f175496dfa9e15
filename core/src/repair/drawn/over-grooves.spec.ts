import { overGrooves } from './over-grooves';
import type { ReadStretch } from './stretches';

const stretch = (name: string, fromMm: number, toMm: number, mm: number): ReadStretch => ({
  ...{ placeId: name, piece: 'shaft', name, land: false, fromMm, toMm, leftMm: mm, rightMm: mm },
});
const reach = (all: readonly ReadStretch[]) => all.map((s) => [s.name, s.fromMm, s.toMm]);
const thread = stretch('thread', 0, 18, 10);
const body = stretch('body', 20, 190, 12.5);

it('a relief between a thread and its shoulder is of the thread, on whichever side that is', () => {
  expect(reach(overGrooves([thread, body], [{ fromMm: 18, toMm: 20 }], 'outside'))).toEqual([
    ['thread', 0, 20],
    ['body', 20, 190],
  ]);
  const far = stretch('far thread', 192, 212, 9.5);
  expect(reach(overGrooves([body, far], [{ fromMm: 190, toMm: 192 }], 'outside'))).toEqual([
    ['body', 20, 190],
    ['far thread', 190, 212],
  ]);
});

it('in a bore it is of the wider', () => {
  const [wide, narrow] = [stretch('wide', 0, 18, 30), stretch('narrow', 20, 60, 25)];
  expect(reach(overGrooves([wide, narrow], [{ fromMm: 18, toMm: 20 }], 'inside'))[0]).toEqual(['wide', 0, 20]);
});

it('beyond the last and before the first it is of that', () => {
  expect(reach(overGrooves([body], [{ fromMm: 195, toMm: 196.6 }], 'outside'))).toEqual([['body', 20, 196.6]]);
  expect(reach(overGrooves([body], [{ fromMm: 10, toMm: 11 }], 'outside'))).toEqual([['body', 10, 190]]);
});

it('one that lies in what was read changes nothing, nor does one where nothing was', () => {
  expect(reach(overGrooves([thread, body], [{ fromMm: 50, toMm: 52 }], 'outside'))).toEqual(reach([thread, body]));
  expect(reach(overGrooves([thread, body], [{ fromMm: 17, toMm: 19 }], 'outside'))).toEqual(reach([thread, body]));
  expect(overGrooves([], [{ fromMm: 1, toMm: 2 }], 'outside')).toEqual([]);
});

it('two beside each other are both of the same stretch', () => {
  const both = [
    { fromMm: 19, toMm: 19.5 },
    { fromMm: 18, toMm: 18.5 },
  ];
  expect(reach(overGrooves([thread, body], both, 'outside'))).toEqual([
    ['thread', 0, 19.5],
    ['body', 20, 190],
  ]);
});
