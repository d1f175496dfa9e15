import { capital } from './capital';

it.each([
  ['seat', 'Seat'],
  ['seat DE', 'Seat DE'],
  ['ölnut', 'Ölnut'],
  ['', ''],
  ['3/8 pin', '3/8 pin'],
])('%j is %j', (text, large) => expect(capital(text)).toBe(large));
