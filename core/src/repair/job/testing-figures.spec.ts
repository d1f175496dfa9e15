import { figureScore, FORMS, type Along, type FigureScore, type Form } from './testing-figures';

/** Figures as the screen shows them, of places worn by solved contacts, held against the truth. */
const each = 18;
const pooled = (directions: number, forms: readonly Form[], along: Along, unit: 'mm' | 'in' = 'mm'): FigureScore => {
  const all = forms.map((form, i) => figureScore(each, directions, form, along, unit, 1 + 1000 * i));
  const sum = (key: keyof FigureScore): number => all.reduce((s, x) => s + x[key], 0);
  return {
    places: sum('places'),
    tight: sum('tight'),
    other: sum('other'),
    otherCounted: sum('otherCounted'),
    taper: sum('taper'),
    tapers: sum('tapers'),
    stepFound: sum('stepFound'),
    ovalTold: sum('ovalTold'),
  };
};

it.each([3, 4, 6, 8])('with %d directions both ends lie within what is shown in 93 of 100, round, oval, arc and mixed', (directions) => {
  const s = pooled(directions, FORMS, 'straight');
  expect(s.tight / s.places).toBeGreaterThanOrEqual(0.93);
  expect(s.other / s.otherCounted).toBeGreaterThanOrEqual(0.9);
  // None of them is tapered.
  expect(s.taper / s.tapers).toBeGreaterThanOrEqual(0.92);
});

it('in an inch job as well, read to a tenth', () => {
  const s = pooled(4, FORMS, 'straight', 'in');
  expect(s.tight / s.places).toBeGreaterThanOrEqual(0.93);
  expect(s.other / s.otherCounted).toBeGreaterThanOrEqual(0.9);
});

it('two directions leave an oval between them open: the bands are wide, not wrong', () => {
  const s = pooled(2, FORMS, 'straight');
  expect(s.tight / s.places).toBeGreaterThanOrEqual(0.88);
  expect(s.ovalTold).toBe(0);
});

it('a round place of three stations is called oval in 6 of 100 at most', () => {
  let told = 0;
  for (const directions of [3, 4, 6, 8]) told += figureScore(25, directions, 'round', 'straight', 'mm', 7000).ovalTold;
  // Two standard errors beside it: 100 places cannot show less.
  expect(told / 100).toBeLessThanOrEqual(0.06 + 2 * Math.sqrt((0.06 * 0.94) / 100));
});

it.each([2, 4])('a taper is within its band, and a step is found and named as one, with %d directions', (directions) => {
  const taper = pooled(directions, ['oval', 'arc'], 'taper');
  expect(taper.tapers).toBeGreaterThanOrEqual(0.9 * taper.places);
  expect(taper.taper / taper.tapers).toBeGreaterThanOrEqual(0.9);
  const step = pooled(directions, ['round', 'oval'], 'step');
  expect(step.stepFound / step.places).toBeGreaterThanOrEqual(0.9);
});
