import { isRelief } from './relief';

it.each([
  ['Thread relief', true],
  ['undercut, left', true],
  ['Run-out', true],
  ['runout groove', true],
  ['Recess', true],
  ['Ring groove', false],
  ['Body', false],
  ['relieved land', false],
])('%s holds no ring: %s', (name, relief) => expect(isRelief(name)).toBe(relief));
