import { coarseSlips, fineSlips } from './slips';

const meant = (slips: readonly { mm: number; why: string }[], mm: number): string[] =>
  slips.filter((s) => Math.abs(s.mm - mm) < 1e-6).map((s) => s.why);

it.each([
  [39.975, 'mm', 39975, 'micrometres'],
  [12.5, 'mm', 125, 'the point one place off'],
  [12.5, 'mm', 1.25, 'the point one place off'],
  [19.05, 'mm', 0.75, 'typed in inch'],
  [0.6878 * 25.4, 'in', 687.8 * 25.4, 'thou'],
  [1.25 * 25.4, 'in', 31.75 * 25.4, 'typed in mm'],
] as const)('%d mm, in a job of %s, typed as %d mm', (mm, unit, typed, why) => expect(meant(coarseSlips(typed, unit), mm)).toContain(why));

it.each([
  [24.985, 'mm', 25.485, 'one turn of the thimble, 0.5 mm'],
  [24.985, 'mm', 24.485, 'one turn of the thimble, 0.5 mm'],
  [24.985, 'mm', 34.985, 'the tens miscounted'],
  [24.985, 'mm', 24.958, 'two digits swapped'],
  [0.7515 * 25.4, 'in', 0.7765 * 25.4, 'one turn of the thimble, 0.025 in'],
  [0.7515 * 25.4, 'in', 0.7551 * 25.4, 'two digits swapped'],
] as const)('%d mm, in a job of %s, read as %d mm', (mm, unit, read, why) =>
  expect(meant(fineSlips(read, unit, unit === 'mm' ? 3 : 4), mm)).toContain(why),
);
