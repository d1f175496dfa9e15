import { blockSetUps } from '../../making/holdings';
import { hostOf, kindOf, newPart, surface, type Part, type PartFeature } from '../../making/part';
import { schedulesOf } from '../../making/schedule';
import { TEST_BENCH } from '../../making/schedule/testing-bench';
import { coolantIn, coolantOnBlock, coolantWords } from './coolant-in';

function bush(boreMm: number): Part {
  const blank = { ...newPart('plain-pin', 'Bush', 40, 50), materialId: 'bronze-tin', features: [] };
  const bored: Part = {
    ...blank,
    bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 50, boreMm)] }],
  };
  const key = { ...kindOf('keyseat').start(hostOf(bored, bored.outside[0]!.id)!), id: 'key', kind: 'keyseat', on: bored.outside[0]!.id };
  return { ...bored, features: [{ ...key, name: 'Keyseat' } as unknown as PartFeature] };
}
const told = (part: Part, machine: 'lathe' | 'mill' | 'press', cuts: readonly string[], holeMm: number | null = null): string[] =>
  coolantIn(part, { machine, cuts }, schedulesOf(part, { ...TEST_BENCH, holeMm }), false).flatMap((c) => [...c.on]);

it('a bush out of solid bronze is turned, bored and drilled, a small one reamed; out of a tube nothing is drilled', () => {
  expect(told(bush(20), 'lathe', ['body', 'in'])).toEqual(['turn', 'drill']);
  expect(told(bush(6), 'lathe', ['body', 'in'])).toEqual(['turn', 'drill', 'ream']);
  expect(told(bush(20), 'lathe', ['body', 'in'], 15)).toEqual(['turn']);
});

it('its keyseat is milled, and a press puts nothing on', () => {
  expect(told(bush(20), 'mill', ['key'])).toEqual(['mill']);
  expect(told(bush(20), 'press', ['key'])).toEqual([]);
});

it('of a block: squared by milling, its tapped holes drilled and threaded', () => {
  const jaw = { ...newPart('jaw', 'Jaw', 50, 80), materialId: 'aluminium-6082' };
  const block = {
    ...jaw.block!,
    cuts: jaw.block!.cuts.map((c) => (c.kind === 'hole' ? { ...c, made: 'drilled' as const, thread: 'M8' } : c)),
  };
  const [square, top] = blockSetUps(block);
  expect(coolantOnBlock(block, jaw.materialId, square!).flatMap((c) => c.on)).toEqual(['mill']);
  const words = coolantOnBlock(block, jaw.materialId, top!);
  expect(words.flatMap((c) => c.on)).toEqual(expect.arrayContaining(['drill', 'thread']));
  expect(coolantWords(words[0]!)).toMatch(/^Drilling.*: emulsion.*\.$/);
});
