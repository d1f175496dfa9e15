import { validatePart } from '../validate-part';
import { newPart } from '../templates';
import { addedFeature } from '../../drawing';

const pin = newPart('plain-pin', 'Pin', 25, 80);
const problems = (fields: object): string[] => {
  const checked = validatePart(addedFeature(pin, 'body', 'hardness', 'h', fields)!.part);
  return checked.ok ? [] : checked.problems.map((p) => p.path.split('.').at(-1)!);
};

it.each([
  [{ scale: 'HRC', from: 45, to: 55 }, []],
  [{ scale: 'HRC', from: 15, to: 55 }, ['from']],
  [{ scale: 'HRC', from: 45, to: 71 }, ['to']],
  [{ scale: 'HBW', from: 200, to: 240 }, []],
  [{ scale: 'HBW', from: 60, to: 240 }, ['from']],
  [{ scale: 'HV', from: 500, to: 700 }, []],
  [{ scale: 'HRC', from: 55, to: 45 }, ['to']],
  [{ scale: 'HRC', from: 50, to: 50 }, ['to']],
] as const)('%j: %j', (fields, wrong) => expect(problems(fields)).toEqual([...wrong]));
