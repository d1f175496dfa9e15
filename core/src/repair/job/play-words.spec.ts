import { foretoldWords, playWords } from './play-words';

const show = (mm: number): string => `${mm.toFixed(3)} mm`;

it.each([
  [0.087, 0.257, 'Play in press hole', '0.087 mm to 0.257 mm'],
  [0.05, 0.05, 'Play in press hole', '0.050 mm'],
  [0, 0, 'Play in press hole', '0.000 mm'],
  // What is pressed is never called play, and never below nought.
  [-0.026, -0.026, 'Interference in press hole', '0.026 mm'],
  [-0.04, -0.012, 'Interference in press hole', '0.012 mm to 0.040 mm'],
  [-0.01, 0.02, 'Fit in press hole', 'from 0.010 mm tight to 0.020 mm loose'],
])('%d to %d: %s, %s', (tight, loose, name, words) => expect(playWords('Press hole', tight, loose, show)).toEqual({ name, words }));

it('what is foretold says of its average what it is', () => {
  expect(foretoldWords('Hole', { lowMm: -0.04, highMm: -0.02, meanMm: -0.03 }, show)).toBe(
    'Interference in hole: 0.020 mm to 0.040 mm in 95 of 100 places, 0.030 mm on the average.',
  );
  expect(foretoldWords('Hole', { lowMm: -0.01, highMm: 0.005, meanMm: -0.002 }, show)).toBe(
    'Fit in hole: from 0.010 mm tight to 0.005 mm loose in 95 of 100 places, 0.002 mm tight on the average.',
  );
});
