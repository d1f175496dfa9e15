import { newPart } from '../../making/part';
import { choiceKey } from './choices';
import { ledgerCard } from './ledger-card';
import type { JobSheet } from './records';
import { workOut } from './repair';
import { testSheet, testShop, withChoices } from './testing';

const handed = { lesson: 'Grease both ends', stillToDo: '', outcome: 'passed', beforeUse: '', unproved: '', undone: '' };
const cardOf = (sheet: JobSheet) => {
  const { places, items } = workOut(sheet, testShop);
  return ledgerCard(sheet, places, items);
};
const part = {
  ...newPart('headed-pin', 'Hinge pin', 40, 120),
  // ISO 286: k6 of 40 is +2 to +18 µm.
  limits: { body: { lowerDev: 0.002, upperDev: 0.018, text: 'k6' } },
};
const made = withChoices(testSheet(), [choiceKey.part, part], [choiceKey.returned, handed]);

it('is of a job that is handed back, and of no other', () => {
  expect(cardOf(withChoices(testSheet(), [choiceKey.part, part]))).toBeNull();
  expect(cardOf(made)).not.toBeNull();
  expect(cardOf(withChoices(made, [choiceKey.calledOff, { off: true, why: 'by mistake' }]))).toBeNull();
});

it('has sizes as they were made with what they are called, and as they were found', () => {
  const { sizes } = cardOf(made)!;
  const body = sizes.find((s) => s.kind === 'made' && /body/i.test(s.name))!;
  expect(body.mm).toBeCloseTo(40.01, 6);
  expect(body.words).toContain('k6');
  const read = workOut(made, testShop).places.filter((p) => p.mean);
  expect(sizes.filter((s) => s.kind === 'found').map((s) => s.mm)).toEqual(read.map((p) => p.mean!.value));
  expect(read.length).toBeGreaterThan(0);
});

it('has the words of ticket, cause, parts, faults and lesson, each once', () => {
  const cause = { cause: 'Ran dry', route: 'new pin', causeId: 'dry', cure: '' };
  const bent = { findingId: 'bent', componentId: 'pin', placeId: null, atMm: null, clockDeg: null, words: 'near the head', removed: false };
  const words = cardOf(withChoices(made, [choiceKey.route, cause], [choiceKey.finding('f'), bent]))!.words.split('\n');
  for (const said of [
    'Ran dry',
    'new pin',
    'near the head',
    'Grease both ends',
    made.customer.name,
    made.job.machine,
    String(made.job.number),
  ])
    expect(words).toContain(said);
  expect(new Set(words).size).toBe(words.length);
});
