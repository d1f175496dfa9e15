import { newPart, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { newStep, type ItemChoice, type ItemStep } from './items';
import type { ProofRecord, ReadingRecord, JobSheet } from './records';
import { workOut } from './repair';
import { stepActOf, STEP_ACT_IDS, STEP_ACTS } from './step-acts.data';
import { drawnPin, testChoice, testItem, testPlace, testReading, testSheet, testShop, withChoices } from './testing';

const read = (placeId: string, mm: number): ReadingRecord[] =>
  [0, 45, 90, 135].map((clockDeg) => testReading({ placeId, stationMm: 20, clockDeg, valueMm: mm }));

/** A bush for a shaft of 25.36 that stays, pressed into a hole of 31.76. */
function bushJob(...choices: (readonly [string, unknown])[]): JobSheet {
  const base = testSheet();
  const plain = newPart('plain-bush', 'Bush', 31.8, 40);
  const bush: Part = {
    ...plain,
    outside: plain.outside.map((s) => ({ ...s, fitsPlaceIds: ['hole'] })),
    bores: plain.bores.map((b) => ({ ...b, surfaces: b.surfaces.map((s) => ({ ...s, fitsPlaceIds: ['shaft'] })) })),
  };
  const sheet = testSheet({
    components: [
      ...base.components.map((c) => (c.id === 'pin' ? { ...c, name: 'Bush', materialId: 'bronze-tin' } : c)),
      { ...base.components[1]!, id: 'shaft-part', name: 'Shaft', role: 'mate' },
    ],
    places: [
      testPlace('shaft', { componentId: 'shaft-part', side: 'outside', matesPlaceId: 'bush-bore' }),
      testPlace('bush-bore', { componentId: 'pin', side: 'inside' }),
      testPlace('bush-outside', { componentId: 'pin', side: 'outside' }),
      testPlace('hole', { componentId: 'barrel-part', side: 'inside', matesPlaceId: 'bush-outside', lengthMm: 30 }),
    ],
    readings: [...read('hole', 31.7627), ...read('shaft', 25.3619)],
    choices: [
      testChoice(choiceKey.runs('hole'), { kind: 'pressed-bush' }),
      testChoice(choiceKey.runs('shaft'), { kind: 'running-grease' }),
      testChoice(choiceKey.part, bush),
    ],
  });
  return withChoices(sheet, ...choices);
}
const step = (what: string, doneAt: string | null = null): ItemStep => ({ ...newStep(what, 'join'), done: doneAt !== null, doneAt });
const join = (steps: readonly ItemStep[], more: Partial<ItemChoice> = {}): [string, unknown] => [
  choiceKey.item('join'),
  testItem('join', 'Press it home', { after: ['job'], steps, ...more }),
];
const joined = (sheet: JobSheet) => workOut(sheet, testShop).items.find((i) => i.item.id === 'join')!;
const prove = (sheet: JobSheet) => workOut(sheet, testShop).stations.find((s) => s.id === 'prove')!;

describe('proved again once it is joined', () => {
  it('a bush that is pressed in: its bore, within what it has to have in place, not what it was bored to', () => {
    const sheet = bushJob(join([step('Press the bush in')]));
    const { bores, items } = workOut(sheet, testShop);
    const { part, releasable } = joined(sheet);
    const [only, ...rest] = part!.dimensions;
    expect(rest).toEqual([]);
    const { target, figures } = bores[0]!;
    expect(only!.limits!.lowerMm).toBeCloseTo(target!.lowerMm, 9);
    expect(only!.limits!.upperMm).toBeCloseTo(target!.upperMm, 9);
    const before = items[0]!.part!.dimensions.find((d) => d.dimension.what === 'inside')!;
    expect(before.limits!.lowerMm - only!.limits!.lowerMm).toBeCloseTo(figures!.closing!.value, 9);
    expect(figures!.closing!.value).toBeGreaterThan(0.01);
    expect(releasable).toEqual([]);
  });
  it('waits for the press; is not drawn, planned or cut; then is read, and held until somebody passes it', () => {
    const waiting = bushJob(join([step('Press the bush in')]));
    expect(workOut(waiting, testShop).stations.map((s) => [s.id, s.waitsFor])).toContainEqual([
      'prove',
      'bush: readings of the finished part',
    ]);
    const done = bushJob(join([step('Press the bush in', '2026-11-22T09:00:00Z')]));
    const { part, pieces } = joined(done);
    const { key } = part!.dimensions[0]!.dimension;
    expect(pieces[0]!.cuts).toEqual([]);
    const name = 'Bore of bush, joined is not measured.';
    expect(workOut(done, testShop).holds.map((h) => h.message)).toContain(`2 Press it home: ${name[0]!.toLowerCase()}${name.slice(1)}`);
    const size = part!.dimensions[0]!.figure.value;
    const again = [0, 90].map((clockDeg) =>
      testReading({
        ...{ purpose: 'proof', itemId: 'join', segmentId: key, clockDeg, valueMm: size, instrumentId: 'tele' },
        takenAt: '2026-11-22T10:00:00Z',
      }),
    );
    const proof = joined({ ...done, readings: [...done.readings, ...again] }).pieces[0]!.proofs[0]!;
    expect(proof).toMatchObject({ name: 'Bore of bush, joined', gauged: false });
    expect(proof.measured!.value).toBeCloseTo(size, 3);
  });
  it('what is welded on: every diameter that must be proved, outside and inside', () => {
    const keys = joined(bushJob(join([step('Weld it on, three tacks first')]))).part!.dimensions.map((d) => d.dimension.key);
    expect(keys).toEqual(['job.body', 'job.hole']);
  });
  it('of three bushes that are pressed in each: three pieces, read and passed for themselves', () => {
    const three: [string, unknown] = [choiceKey.item('job'), testItem('make', 'Bush', { componentIds: ['pin'], quantity: 3 })];
    const sheet = bushJob(three, join([step('Press the bush in', '2026-11-22T09:00:00Z')]));
    const { pieces, part } = joined(sheet);
    expect(pieces.map((p) => [p.piece.number, p.proofs.length])).toEqual([
      [1, 1],
      [2, 1],
      [3, 1],
    ]);
    const { key } = part!.dimensions[0]!.dimension;
    const second = testReading({
      ...{ purpose: 'proof', itemId: 'join', piece: 2, segmentId: key, valueMm: part!.dimensions[0]!.figure.value, instrumentId: 'tele' },
      takenAt: '2026-11-22T10:00:00Z',
    });
    const read = joined({ ...sheet, readings: [...sheet.readings, second] }).pieces;
    expect(read.map((p) => p.proofs[0]!.readings.length)).toEqual([0, 1, 0]);
    expect(workOut(sheet, testShop).holds.filter((h) => h.message.includes('joined is not measured'))).toHaveLength(3);
  });
  it('the one housing that they go into is proved once, with the first of them', () => {
    const sheet = bushJob(
      [choiceKey.item('job'), testItem('make', 'Bush', { componentIds: ['pin'], quantity: 2 })],
      [choiceKey.item('other'), testItem('make', 'Ring', { quantity: 1 })],
      [`${choiceKey.part}:other`, { ...newPart('spacer', 'Ring', 50, 20), limits: { body: { lowerDev: -0.02, upperDev: 0, text: 'h' } } }],
      join([step('Weld it on, three tacks first')], { after: ['job', 'other'] }),
    );
    const keys = joined(sheet).pieces.map((p) => p.proofs.map((q) => q.dimension.dimension.key.split('.')[0]));
    expect(keys).toEqual([
      ['job', 'job', 'other', 'other'],
      ['job', 'job'],
    ]);
  });
  it('nothing where no step moves sizes, or somebody says that it does not', () => {
    expect(joined(bushJob(join([step('Pin it across')]))).part).toBeNull();
    expect(joined(bushJob(join([{ ...step('Press the bush in'), moves: false }]))).part).toBeNull();
    expect(joined(bushJob(join([step('Press the bush in')], { after: [] }))).part).toBeNull();
  });
});

describe('what moves sizes on the way', () => {
  const pin = { ...drawnPin(), outside: drawnPin().outside.map((s) => ({ ...s, fitsPlaceIds: [] })) };
  const job = (steps: readonly ItemStep[], readings: readonly ReadingRecord[] = [], proofs: readonly ProofRecord[] = []): JobSheet => {
    const sheet = withChoices(
      testSheet(),
      [choiceKey.part, pin],
      [choiceKey.item('job'), testItem('make', 'Hinge pin', { componentIds: ['pin'], steps })],
    );
    return { ...sheet, readings: [...sheet.readings, ...readings], proofs };
  };
  const at = (takenAt: string) =>
    [0, 90].map((clockDeg) => testReading({ purpose: 'proof', segmentId: 'body', clockDeg, valueMm: 40, instrumentId: 'mic', takenAt }));
  const pass = (time: string): ProofRecord => ({
    ...{ id: 'p', jobId: 'job', itemId: 'job', piece: 1, segmentId: 'body', passed: true, measuredMm: 40, gaugedWith: '' },
    ...{ remark: '', personId: 'tomas', at: time },
  });
  const body = (sheet: JobSheet) => workOut(sheet, testShop).proofs.find((p) => p.dimension.dimension.key === 'body')!;
  const plated = (doneAt: string | null) => [step('Have it hard chromed', doneAt)];

  it('holds Prove until it is done, and what was read and passed before no longer counts', () => {
    expect(prove(job(plated(null)))).toMatchObject({ waitsFor: 'have it hard chromed first: it moves sizes' });
    const early = [at('2026-11-21T10:00:00Z'), pass('2026-11-21T10:05:00Z')] as const;
    expect(body(job([], early[0], [early[1]])).signed?.passed).toBe(true);
    const after = body(job(plated('2026-11-22T09:00:00Z'), early[0], [early[1]]));
    expect([after.readings.length, after.signed]).toEqual([0, null]);
    const late = [at('2026-11-22T10:00:00Z'), pass('2026-11-22T10:05:00Z')] as const;
    expect(body(job(plated('2026-11-22T09:00:00Z'), [...early[0], ...late[0]], [early[1], late[1]]))).toMatchObject({
      signed: { passed: true },
    });
    expect(body(job(plated('2026-11-22T09:00:00Z'), [...early[0], ...late[0]])).readings).toHaveLength(2);
  });
  it('what is pressed in by a step of its own is covered: its sizes stay as they were read', () => {
    expect(newStep('Press the pin in', 'make').moves).toBe(false);
    expect(newStep('Press the pin in', 'join').moves).toBe(true);
    expect(newStep('Have it ground to size', 'make').moves).toBe(true);
  });
  it('a step of before steps had an act and a time leaves what was proved as it was', () => {
    const old = [{ what: 'Have it hard chromed', done: true }] as unknown as ItemStep[];
    expect(body(job(old, at('2026-11-21T10:00:00Z'), [pass('2026-11-21T10:05:00Z')])).signed?.passed).toBe(true);
  });
  it('a new part is not handed over with a step that is neither done nor taken off', () =>
    expect(workOut(job(plated(null)), testShop).holds.map((h) => h.message)).toContain(
      'Hinge pin: have it hard chromed is neither done nor taken off.',
    ));
});

it.each([
  ['Straighten in the press', 'straighten'],
  ['Press the bush in', 'press'],
  ['Pressure test with oil', 'other'],
  ['Shrink the collar on', 'shrink'],
  ['Weld the ring, four tacks', 'weld'],
  ['Build up the journal', 'weld'],
  ['Have it hard chromed', 'plate'],
  ['Have it case hardened', 'heat-treat'],
  ['Check the temperature', 'other'],
  ['Drill and ream both together', 'pin'],
  ['Fit the pinion', 'other'],
  ['Check with a straight edge', 'other'],
  ['File the thread true', 'other'],
  ['Hone after the weld', 'weld'],
  ['Have it ground to size', 'grind'],
] as const)('“%s” is: %s', (what, act) => expect(stepActOf(what)).toBe(act));

it('each act that is hard on hands or sizes says what to mind', () => {
  for (const id of STEP_ACT_IDS) expect(STEP_ACTS[id].caution !== '').toBe(id !== 'other');
});
