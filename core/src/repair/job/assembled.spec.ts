import { hostOf, kindOf, type FeatureKindId } from '../../making/part';
import { choiceKey, type AssembledChoice } from './choices';
import { newItem, newStep } from './items';
import type { ChoiceRecord, JobSheet } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testJob, testSheet, testShop } from './testing';

const said = (id: string, more: Partial<AssembledChoice> = {}): ChoiceRecord =>
  testChoice(choiceKey.assembled(id), { what: 'Tried', state: 'good', measuredMm: null, remark: '', ...more });
const asked = (more: Partial<JobSheet>) => workOut(testSheet(more), testShop);
const ids = (more: Partial<JobSheet>): string[] => asked(more).assembled.map((c) => c.id);
const drawn = (...kinds: readonly FeatureKindId[]): ChoiceRecord => {
  const pin = { ...drawnPin(), outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })) };
  const features = kinds.map((kind, i) => ({ id: `f${i}`, on: 'body', name: kind, kind, ...kindOf(kind).start(hostOf(pin, 'body')!) }));
  return testChoice(choiceKey.part, { ...pin, features });
};
const pressure = { ...testJob, hazards: ['pressure'] as const };

it('is asked by what was made, what the job is, and what was done to it', () => {
  expect(ids({ choices: [] })).toEqual([]);
  expect(ids({ choices: [], job: pressure })).toEqual(['leak']);
  expect(ids({ choices: [drawn('ring-groove', 'keyseat', 'thread', 'seal-land')] })).toEqual(['ring', 'key', 'thread', 'turns', 'seal']);
  // What only is held, and has no mate on record, turns nowhere.
  expect(ids({ choices: [drawn('ring-groove', 'keyseat', 'thread')] })).toEqual(['ring', 'key', 'thread']);
  const item = { ...newItem('rework', 'Screw', [], 0), steps: [newStep('Straighten it in the press', 'rework')] };
  expect(ids({ choices: [testChoice(choiceKey.item('x'), item)] })).toEqual(['crack']);
  const off = { ...item, off: true };
  expect(ids({ choices: [testChoice(choiceKey.item('x'), off)] })).toEqual([]);
  expect(ids({ choices: [testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null })] })).toEqual(['turns']);
});

it('end play is measured against what was wanted, and one outside is wrong until somebody says why it may be', () => {
  const stack = testChoice(choiceKey.stack('job'), { shoulder: '', grooveId: '', pieces: [], leastMm: 0.05, mostMm: 0.15 });
  const at = (measuredMm: number, remark = '') =>
    asked({ choices: [stack, drawn(), said('end-play', { measuredMm, remark })] }).assembled.find((c) => c.id === 'end-play')!;
  expect(at(0.1).limits).toEqual({ lowerMm: 0.05, upperMm: 0.15 });
  expect([at(0.05).state, at(0.15).state, at(0.16).state, at(0.04).state]).toEqual(['good', 'good', 'out', 'out']);
  expect(at(0.2, 'customer agreed').state).toBe('good');
});

it('each end play that was asked for is measured by itself, and says what sits there', () => {
  const stack = (number: number, name: string, mostMm: number) =>
    testChoice(choiceKey.stack('job', number), {
      ...{ shoulder: '', grooveId: '', leastMm: 0, mostMm },
      pieces: [{ name, lengthMm: 15, lowerDev: 0, upperDev: 0 }],
    });
  const { assembled } = asked({ choices: [stack(1, '6205', 0.1), stack(3, 'Wheel', 0.4), drawn(), said('end-play', { measuredMm: 0.2 })] });
  expect(assembled.filter((c) => c.limits).map((c) => [c.id, c.what, c.limits!.upperMm, c.state])).toEqual([
    ['end-play', 'End play by the indicator, pushed and pulled: 6205', 0.1, 'out'],
    ['end-play:job:3', 'End play by the indicator, pushed and pulled: Wheel', 0.4, 'open'],
  ]);
});

it('what went wrong stands at Prove before anything else, and holds the hand-over until it is put right or said', () => {
  const bad = asked({ choices: [drawn('ring-groove'), said('ring', { state: 'failed', remark: 'jumps out' })] });
  expect(bad.stations.find((s) => s.id === 'prove')).toMatchObject({ state: 'out' });
  expect(bad.holds.filter((h) => h.station === 'prove' && h.message.includes('Rings seated'))).toMatchObject([{ passedBy: 'undone' }]);
  const good = asked({ choices: [drawn('ring-groove'), said('ring')] });
  expect(good.holds.some((h) => h.message.includes('Rings seated'))).toBe(false);
  // What nobody tried of the harmless holds nothing.
  expect(asked({ choices: [drawn('ring-groove')] }).holds.some((h) => h.message.includes('Rings seated'))).toBe(false);
});

it('a leak test that was not done, or failed, lets it go only as not passed', () => {
  const leak = (more: Partial<JobSheet>) => asked({ job: pressure, ...more }).holds.filter((h) => h.message.startsWith('Holds its oil'));
  expect(leak({ choices: [] })).toMatchObject([{ passedBy: 'beforeUse', message: expect.stringContaining('not tried yet') }]);
  expect(leak({ choices: [said('leak', { state: 'failed', remark: 'weeps' })] })).toMatchObject([{ passedBy: 'beforeUse' }]);
  expect(leak({ choices: [said('leak')] })).toEqual([]);
  expect(leak({ choices: [said('leak', { state: 'off', remark: 'the customer tests it' })] })).toEqual([]);
});

it('what people add is listed behind, by its own words', () => {
  const { assembled } = asked({ choices: [said('0b2f', { what: 'Blade runs clear of the deck' })] });
  expect(assembled.map((c) => [c.what, c.state, c.said?.personId])).toEqual([['Blade runs clear of the deck', 'good', 'tomas']]);
});
