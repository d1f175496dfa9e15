import { inSentence } from './in-sentence';

it.each([
  ['Barrel bore', 'barrel bore'],
  ['Lug bore, head side', 'lug bore, head side'],
  ['Seat DE', 'Seat DE'],
  ['PTO shaft', 'PTO shaft'],
  ['M12 thread', 'M12 thread'],
  ['Ines’s pin', 'Ines’s pin'],
  ['6204 seat', '6204 seat'],
  ['Ölnut', 'ölnut'],
  ['pin', 'pin'],
  ['', ''],
])('%s', (name, said) => expect(inSentence(name)).toBe(said));
