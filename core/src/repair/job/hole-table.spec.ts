import { cutKindOf, type BlockCut, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { holeTable } from './hole-table';
import { workOut } from './repair';
import type { Shop } from './records';
import { testChoice, testSheet, testShop } from './testing';
import type { DrillSet } from '../../book/drills';

const SIZES = { lengthMm: 96, widthMm: 58, heightMm: 34 };
const hole = (id: string, own: object, on = 'top'): BlockCut =>
  ({ ...cutKindOf('hole').start(SIZES, 'top'), id, kind: 'hole', on, name: `Hole ${id}`, fitsPlaceIds: [], ...own }) as unknown as BlockCut;
const rows = (cuts: BlockCut[], limits: Part['limits'] = {}, sets: readonly DrillSet[] = [], machines: Shop['machines'] = []) => {
  const part: Part = {
    ...{ name: 'Jaw', materialId: 'steel-c45', outside: [], bores: [], features: [] },
    ...{ block: { ...SIZES, cuts }, limits },
  };
  const found = workOut(testSheet({ places: [], readings: [], choices: [testChoice(choiceKey.part, part)] }), testShop).items[0]!.part!;
  return holeTable(found, { drillSets: sets, machines, tools: [] }, 'mm');
};
const H7 = (upperDev: number) => ({ lowerDev: 0, upperDev, text: 'H7' });

it('four holes of 70 x 36 on 96 x 58, lettered as on the drawing, from the left and the front edge', () => {
  const at = [
    [13, 11],
    [83, 11],
    [13, 47],
    [83, 47],
  ] as const;
  const found = rows(at.map(([atMm, upMm], i) => hole(`h${i}`, { atMm, upMm, diameterMm: 8.5, thread: 'M10' })));
  expect(found.map((r) => [r.letter, r.first.value, r.second.value])).toEqual(at.map(([u, v], i) => ['ABCD'[i], u, v]));
  expect(found[0]).toMatchObject({ edges: ['left', 'front'], face: 'top', drill: '8.5 mm, 77 % of thread' });
});

it('on an upright face places count from the lower edge', () =>
  expect(rows([hole('h', { atMm: 20, upMm: 10, diameterMm: 6 }, 'front')])[0]!.edges).toEqual(['left', 'lower']));

it('a plain hole takes a drill within its limits, one of the crib first; where none is, it says so', () => {
  const plain = [hole('h', { atMm: 20, upMm: 20, diameterMm: 6.4 })];
  expect(rows(plain)[0]!.drill).toBe('6.4 mm');
  // 1/4 in is 6.35: inside 6.2 to 6.6, and it hangs there.
  const inches: DrillSet = { id: 's', kind: 'fraction', fromMm: 1, toMm: 13, stepMm: null, version: 1 };
  expect(rows(plain, {}, [inches])[0]!.drill).toBe('1/4 in');
  expect(
    rows([hole('h', { atMm: 20, upMm: 20, diameterMm: 6.43 })], { h: { lowerDev: -0.005, upperDev: 0.005, text: '±0.005' } })[0]!.drill,
  ).toContain('outside its limits');
});

it('before a reamer of 8 stays 0.15 to 0.3, before a boring bar 2 mm; a tapped hole of which no drill is right is bored', () => {
  const reamed = rows([hole('h', { atMm: 20, upMm: 20, diameterMm: 8, made: 'reamed' })], { h: H7(0.015) })[0]!.drill;
  expect(reamed).toMatch(/^7\.8 mm, then reamed$/);
  const bored = rows([hole('h', { atMm: 20, upMm: 20, diameterMm: 20, made: 'bored' })], { h: H7(0.021) })[0]!.drill;
  expect(bored).toMatch(/^18 mm, then bored$/);
});

it('nothing but holes, and nothing of a turned part', () => {
  const step = { ...cutKindOf('step').start(SIZES, 'top'), id: 's', kind: 'step', on: 'top', name: 'Step' } as unknown as BlockCut;
  expect(rows([step])).toEqual([]);
});

it('from where the finder touched, a hole lies half the finder further, told in turns of the mill where its dial is known', () => {
  const one = [hole('h', { atMm: 19.2, upMm: 12.5, diameterMm: 8.5 })];
  const dial = { unit: 'mm', perTurn: 5, perLine: 0.05 } as const;
  const mill = { id: 'm', name: 'Mill', kind: 'mill', mill: { dial } } as unknown as Shop['machines'][number];
  const [row] = rows(one, {}, [], [mill]);
  // Touched at -5, half of a finder of 10: 24.2 is four turns and 4.2, 17.5 three and 2.5.
  expect(row!.go.map((g) => g.far.value)).toEqual([24.2, 17.5]);
  expect(row!.go.map((g) => g.dial)).toEqual(['4 turns + 4.200 mm', '3 turns + 2.500 mm']);
  expect(rows(one)[0]!.go.map((g) => g.dial)).toEqual(['', '']);
});
