import { noBarWords, sawStop, type SawNeed } from './saw-need';
import { testBar } from './testing';

const need = (more: Partial<SawNeed> = {}): SawNeed => ({
  ...{ itemId: 'i', name: 'Pin', each: 1, left: 1, sawn: { blanks: 0, pieces: 0 }, version: 0, flat: false, block: null, only: null },
  fit: {
    materialId: 'steel-c45',
    lengthMm: 162.53,
    diameterMm: 55,
    ownSizeMm: null,
    boreMm: null,
    unknownBarId: null,
    thickMm: 140,
    cutsOff: true,
  },
  ...more,
});
const sixty = { shape: 'round', diameterMm: 60, innerMm: null, finish: 'black' } as const;

it('the stop is set without the blade and never short: up to a tenth of a millimetre, or a sixteenth of an inch', () => {
  // 162.53 less 2.5 is 160.03 mm, 6.3004 in.
  expect(sawStop(need(), 'mm')).toBe('160.1');
  expect(sawStop(need(), 'in')).toBe('6 5/16');
});

it('says which bars are missing: of any, of the released one, long ones of the released one', () => {
  expect(noBarWords(need(), [])).toContain('no bar of this material');
  expect(noBarWords(need({ only: sixty }), [testBar('a', { diameterMm: 80 })])).toContain('that it was released for is gone');
  const short = [testBar('a', { lengthMm: 100 }), testBar('b', { diameterMm: 80 })];
  expect(noBarWords(need({ only: sixty }), short)).toContain('The longest is 100 mm');
  expect(noBarWords(need({ only: sixty }), [testBar('a')])).toContain('Other jobs of this list');
});
