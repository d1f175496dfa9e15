import { MATERIALS, materialOf } from '../../book/materials';
import { materialChange } from './material-change';

const said = (old: string, now: string): string => materialChange(materialOf(old)!, materialOf(now)!).join(' ');

it('a stronger steel feels a notch more, and is welded with care', () => {
  const better = said('steel-c45', 'steel-42crmo4');
  expect(better).toContain('nearly twice the yield');
  // Shigley 6-34, read off its chart at 0.5 mm: 620 MPa q about 0.63, 900 MPa about 0.72.
  const [now, was] = /costs it (\d\.\d\d) times, the old one (\d\.\d\d) times/.exec(better)!.slice(1).map(Number);
  expect(was).toBeGreaterThan(1.58);
  expect(was).toBeLessThan(1.68);
  expect(now).toBeGreaterThan(1.68);
  expect(now).toBeLessThan(1.78);
  expect(better).toContain('round the corners');
  expect(better).toContain('preheat');
  expect(said('steel-42crmo4', 'steel-c45')).not.toContain('round the corners');
});

it('iron in place of steel breaks without giving and hardly feels a notch', () => {
  const iron = said('steel-c45', 'iron-grey');
  expect(iron).toContain('breaks without giving');
  expect(iron).toMatch(/costs it 1\.20 times/);
});

it('stainless in place of steel grows more, a hard one gives little', () => {
  expect(said('steel-c45', 'stainless-304')).toContain('grows more');
  expect(said('steel-c45', 'stainless-17-4')).toContain('gives little before it breaks');
  expect(said('stainless-304', 'steel-c45')).toContain('grows less');
});

it('the same is no change, and every other pair says what it is in place of', () => {
  for (const a of MATERIALS)
    for (const b of MATERIALS) {
      const words = materialChange(a, b);
      if (a === b) expect(words).toEqual([]);
      else expect(words[0]).toMatch(/ in place of /);
    }
});
