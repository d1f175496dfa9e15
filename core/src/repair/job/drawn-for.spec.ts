import { newPart } from '../../making/part';
import { choiceKey } from './choices';
import { drawnFor } from './drawn-for';
import { drawnPin, testChoice, testItem, testSheet } from './testing';

it('is the part that fits the place, else the only one that is drawn', () => {
  const pin = drawnPin();
  const one = testSheet({ choices: [testChoice(choiceKey.part, pin)] });
  expect(drawnFor(one, 'barrel')?.name).toBe('Hinge pin');
  expect(drawnFor(one, 'body')?.name).toBe('Hinge pin');
  const two = testSheet({
    choices: [
      testChoice(choiceKey.item('other'), testItem('make', 'Spacer')),
      testChoice(`${choiceKey.part}:other`, newPart('spacer', 'Spacer', 50, 10)),
      testChoice(choiceKey.part, pin),
    ],
  });
  expect(drawnFor(two, 'barrel')?.name).toBe('Hinge pin');
  expect(drawnFor(two, 'body')).toBeNull();
});

it('nothing is drawn for a job without a drawing', () => expect(drawnFor(testSheet(), 'barrel')).toBeNull());
