import { choiceKey, chosenReturn, signedCaution, type ReturnChoice } from './choices';
import { handOverHolds, stillHeld } from './hand-over';
import { LICENSED_HAZARDS } from './cautions.data';
import type { JobSheet } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testItem, testSheet, testShop, testReading } from './testing';

const dry = testChoice(choiceKey.assembled('leak'), { what: 'Leak', state: 'good', measuredMm: null, remark: '' });
const route = testChoice(choiceKey.route, { cause: 'Dry and dirty', route: 'New pin', causeId: '', cure: '' });
const act = (state: string, removed = false) =>
  testChoice(choiceKey.act('a'), { componentId: 'pin', kind: 'saw', where: '', state, override: '', removed });
const pass = (segmentId: string, passed = true) =>
  ({
    id: segmentId,
    jobId: 'job',
    itemId: 'job',
    piece: 1,
    segmentId,
    passed,
    measuredMm: 40,
    gaugedWith: '',
    remark: 'As agreed.',
    personId: 'tomas',
    at: '',
  }) as const;
const codes = (sheet: JobSheet): string[] => workOut(sheet, testShop).holds.map((h) => h.code);
const given: ReturnChoice = { lesson: 'Grease it.', stillToDo: '', outcome: 'passed', beforeUse: '', unproved: '', undone: '' };
const quiet = testSheet({ choices: [route] });
const calm: JobSheet = { ...quiet, job: { ...quiet.job, hazards: [] } };

it('lets a job go that lacks nothing', () => {
  expect(codes(calm)).toEqual([]);
  expect(stillHeld([], given)).toEqual([]);
});

it('wants findings and what was done on record', () => {
  expect(codes({ ...calm, choices: [] })).toEqual(['found', 'made']);
});

it('holds every dimension of what was made until it is passed', () => {
  const drawn: JobSheet = { ...calm, choices: [route, testChoice(choiceKey.part, drawnPin())] };
  expect(codes(drawn)).toEqual(['unproved', 'unproved']);
  const read = ['head', 'body'].map((segmentId) => testReading({ purpose: 'proof', segmentId, valueMm: 40, instrumentId: 'mic' }));
  const measured = { ...drawn, readings: [...drawn.readings, ...read] };
  expect(codes({ ...measured, proofs: [pass('head'), pass('body', false)] })).toEqual(['unproved']);
  expect(codes({ ...measured, proofs: [pass('head'), pass('body')] })).toEqual([]);
  // Passed and withdrawn since: nobody passed what there is.
  expect(codes({ ...drawn, proofs: [pass('head'), pass('body')] })).toEqual(['unproved', 'unproved']);
  const { holds } = workOut(drawn, testShop);
  expect(stillHeld(holds, given)).toHaveLength(2);
  expect(stillHeld(holds, { ...given, unproved: 'Maud: scrap test piece.' })).toEqual([]);
});

it('holds planned acts that are neither done nor called off', () => {
  expect(codes({ ...calm, choices: [route, act('planned')] })).toEqual(['undone']);
  expect(codes({ ...calm, choices: [route, act('planned', true)] })).toEqual([]);
  expect(codes({ ...calm, choices: [route, act('done')] })).toEqual([]);
});

it('holds a new part that somebody asked for and nobody drew', () => {
  const spoken = (off: boolean) => testChoice(choiceKey.item('x'), testItem('make', 'Bush', { off }));
  const { holds } = workOut({ ...calm, choices: [route, spoken(false)] }, testShop);
  expect(holds).toMatchObject([{ code: 'undone', station: 'draw', passedBy: 'undone' }]);
  expect(holds[0]!.message).toContain('Bush: nothing of it is drawn');
  expect(stillHeld(holds, { ...given, undone: 'The customer brought one.' })).toEqual([]);
  expect(codes({ ...calm, choices: [route, spoken(true)] })).toEqual([]);
});

describe('a licensed matter', () => {
  it.each(LICENSED_HAZARDS)('%s needs a name and a licence, and no reason lets it pass', (hazard) => {
    const sheet: JobSheet = { ...calm, job: { ...calm.job, hazards: [hazard] } };
    const holds = handOverHolds(sheet, [], []);
    expect(holds.map((h) => h.code)).toEqual(['licensed']);
    expect(stillHeld(holds, { ...given, unproved: 'x', undone: 'x', beforeUse: 'x' })).toHaveLength(1);
    const nameOnly = { ...sheet, choices: [route, dry, testChoice(choiceKey.caution(hazard), { signedBy: 'A surveyor' })] };
    expect(signedCaution(nameOnly, hazard)).toBeNull();
    expect(codes(nameOnly)).toEqual(['licensed']);
    const both = { ...sheet, choices: [route, dry, testChoice(choiceKey.caution(hazard), { signedBy: 'A surveyor', licence: '7' })] };
    expect(codes(both)).toEqual([]);
  });

  it('goes out only as not passed, with what must be done before it is used', () => {
    const holds = handOverHolds({ ...calm, job: { ...calm.job, hazards: ['vessel'] } }, [], []);
    expect(stillHeld(holds, { ...given, outcome: 'not-passed' }).map((h) => h.message)).toEqual([
      'Say what must be done before it is used.',
    ]);
    expect(stillHeld(holds, { ...given, outcome: 'not-passed', beforeUse: 'A surveyor passes it.' })).toEqual([]);
  });
});

it('reads a hand-over that was stored before outcomes were asked for', () => {
  const old = testSheet({ choices: [testChoice(choiceKey.returned, { lesson: 'Grease it.', stillToDo: '' })] });
  expect(chosenReturn(old)).toEqual(given);
});
